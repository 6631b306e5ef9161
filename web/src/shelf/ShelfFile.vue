<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { computed, ref, shallowRef } from 'vue';
import { lookIntoShelfFile, movedIn, shelfFileText, type ShelfFileLook } from '@pace-bend/core/exchange';
import { handOver } from '../parts/handOver.ts';
import FilePick from '../parts/FilePick.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useAction } from '../parts/useAction.ts';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';

/** What the practice made, saved as a file; and what another one made, looked at and taken in. */
const open = defineModel<boolean>('open', { required: true });
const shelf = useShelf();
const session = useSession();
const { busy, problem, run } = useAction();

const MOST_BYTES = 4_000_000;
const ours = computed(() => {
  const replaced = new Set(shelf.items.map(({ supersedes }) => supersedes));
  return shelf.items.filter(({ id, retiredAt }) => retiredAt === null && !replaced.has(id));
});
const save = () =>
  handOver(new Blob([shelfFileText(ours.value)], { type: 'application/json' }), `shelf-${new Date().toISOString().slice(0, 10)}.json`);

const look = shallowRef<ShelfFileLook | null>(null);
const chosen = ref<string[]>([]);
const told = ref('');
const mayTakeIn = computed(() => session.may('PUT', '/shelf/:id'));
const KINDS = { way: 'way of working', entry: 'entry', protocol: 'sequence' } as const;

async function read(file: File): Promise<void> {
  told.value = '';
  look.value = file.size > MOST_BYTES ? { items: [], problem: 'This file is larger than 4 MB.' } : lookIntoShelfFile(await file.text());
  chosen.value = look.value.items.filter(({ problems }) => problems.length === 0).map(({ id }) => id);
}

/** One after the other, so that a sequence names what has just come in under its new id. What is in is told, also where one fails. */
async function takeIn(): Promise<void> {
  const newIds = new Map<string, string>();
  const all = look.value!.items.filter(({ id }) => chosen.value.includes(id));
  const done = await run(async () => {
    for (const { id, fields } of all) {
      newIds.set(id, await shelf.save(movedIn(fields, newIds), null));
      chosen.value = chosen.value.filter((each) => each !== id);
    }
  });
  told.value = newIds.size === 0 ? '' : `${newIds.size} imported.`;
  if (done) look.value = null;
}
</script>

<template>
  <SheetDialog v-model:open="open" title="Ours as a file" :width="620">
    <section aria-label="Save as a file">
      <h3>Save</h3>
      <p class="soft small">
        {{ ours.length === 0 ? 'Nothing of your own yet.' : `${ours.length} of your own, in the versions that stand, as JSON.` }}
      </p>
      <p><Button :disabled="ours.length === 0" @click="save">Save the file</Button></p>
    </section>
    <section v-if="mayTakeIn" aria-label="Import from a file">
      <h3>Import</h3>
      <FilePick label="Choose a file (.json)" accept=".json,application/json" @pick="read" />
      <p v-if="look?.problem" class="wrong" role="alert">{{ look.problem }}</p>
      <template v-else-if="look">
        <ul class="items" aria-label="In the file">
          <li v-for="item in look.items" :key="item.id">
            <Checkbox
              :checked="chosen.includes(item.id)"
              :disabled="item.problems.length > 0"
              @change="chosen = chosen.includes(item.id) ? chosen.filter((each) => each !== item.id) : [...chosen, item.id]"
              >{{ item.fields.name || 'Without a name' }} <span class="soft small">{{ KINDS[item.fields.kind] }}</span></Checkbox
            >
            <span v-if="item.problems[0]" class="wrong small">{{ item.problems[0].message }}</span>
          </li>
        </ul>
        <p>
          <Button type="primary" :loading="busy" :disabled="chosen.length === 0" @click="takeIn">Import {{ chosen.length }}</Button>
        </p>
      </template>
      <p v-if="told" role="status">{{ told }}</p>
      <ProblemNote v-if="problem" :problem="problem" />
    </section>
  </SheetDialog>
</template>

<style scoped>
section + section {
  margin-top: 18px;
}

section p {
  margin: 6px 0;
}

.choice {
  display: inline-block;
}

.items {
  list-style: none;
  margin: 6px 0;
  padding: 0;
  max-height: 46vh;
  overflow-y: auto;
}

.items li {
  padding: 3px 0;
}

.wrong {
  color: var(--clay-text);
}
</style>
