<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { computed, ref, shallowRef } from 'vue';
import { LICENCES, lookIntoShelfFile, movedIn, shelfFileText, versionOf, type ShelfFileLook } from '@pace-bend/core/exchange';
import type { OwnSport } from '@pace-bend/core/sport';
import { v7 as uuid } from 'uuid';
import { api } from '../api/api.ts';
import { handOver } from '../parts/handOver.ts';
import FilePick from '../parts/FilePick.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TextInput from '../parts/TextInput.vue';
import { useAction } from '../parts/useAction.ts';
import { originWords } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';
import { t } from '../words/shelf.ts';

/** What the practice made, saved as a file with its licence; and what another one made, looked at and taken in with where it comes from. */
const open = defineModel<boolean>('open', { required: true });
const shelf = useShelf();
const practice = usePractice();
const session = useSession();
const { busy, problem, run } = useAction();

const MOST_BYTES = 4_000_000;
const ours = computed(() => {
  const replaced = new Set(shelf.items.map(({ supersedes }) => supersedes));
  return shelf.items.filter(({ id, retiredAt }) => retiredAt === null && !replaced.has(id));
});
const ownSports = computed(() => practice.practice?.ownSports ?? []);
const count = computed(() => ours.value.length + ownSports.value.length);

const OTHER = 'other';
const LICENCE_CHOICES = [
  ...LICENCES.map(({ line, words }) => ({ value: line, label: `${line}: ${words}` })),
  { value: OTHER, label: t('otherWords') },
];
/** Until something else is chosen: as little as can be given. */
const licence = ref<string>(LICENCES.at(-1)!.line);
const ownWords = ref('');
const licenceLine = computed(() => (licence.value === OTHER ? ownWords.value.trim() : licence.value));
function save(): void {
  const savedOn = practice.today;
  const text = shelfFileText({
    from: practice.practice!.name,
    licence: licenceLine.value,
    savedOn,
    items: ours.value.map(({ id, fields }) => ({ id, version: versionOf(id, shelf.items), fields })),
    sports: ownSports.value.map(({ id, revision, ...sport }) => ({ id, version: revision, sport })),
  });
  handOver(new Blob([text], { type: 'application/json' }), `shelf-${savedOn}.json`);
}

const look = shallowRef<ShelfFileLook | null>(null);
const chosen = ref<string[]>([]);
const told = ref('');
const mayTakeIn = computed(() => session.may('PUT', '/shelf/:id'));
const KINDS = { way: t('wayOfWorking'), entry: 'entry', protocol: 'sequence' } as const;
interface Line {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly terms: string;
  readonly wrong: string;
  readonly here: boolean;
}
const lines = computed<Line[]>(() => [
  ...(look.value?.items ?? []).map((item) => ({
    id: item.id,
    name: typeof item.fields.name === 'string' ? item.fields.name : '',
    kind: KINDS[item.fields.kind],
    terms: originWords(item.origin),
    wrong: item.problems[0]?.message ?? '',
    here: ours.value.some(({ fields }) => fields.kind === item.fields.kind && fields.name === item.fields.name),
  })),
  ...(look.value?.sports ?? []).map((each) => ({
    id: each.id,
    name: typeof each.sport.name === 'string' ? each.sport.name : '',
    kind: 'sport',
    terms: originWords(each.origin),
    wrong: each.problems[0]?.message ?? '',
    here: ownSports.value.some(({ name }) => name === each.sport.name),
  })),
]);

async function read(file: File): Promise<void> {
  told.value = '';
  look.value = file.size > MOST_BYTES ? { items: [], sports: [], problem: t('fileLargerThan4') } : lookIntoShelfFile(await file.text());
  chosen.value = lines.value.filter(({ wrong, here }) => wrong === '' && !here).map(({ id }) => id);
}

/** One after the other, so that a sequence names what has just come in under its new id. What is in is told, also where one fails. */
async function takeIn(): Promise<void> {
  const newIds = new Map<string, string>();
  const { items, sports } = look.value!;
  const wanted = <T extends { readonly id: string }>(all: readonly T[]) => all.filter(({ id }) => chosen.value.includes(id));
  const done = await run(async () => {
    for (const item of wanted(items)) {
      newIds.set(item.id, await shelf.save(movedIn(item, newIds), null));
      chosen.value = chosen.value.filter((each) => each !== item.id);
    }
    for (const { id, sport, origin } of wanted(sports)) {
      const answer = await api<{ ownSports: OwnSport[] }>('PUT', `/sports/${uuid()}`, { ...sport, origin, revision: 0 });
      practice.take({ ...practice.practice!, ownSports: answer.ownSports });
      newIds.set(id, id);
      chosen.value = chosen.value.filter((each) => each !== id);
    }
  });
  told.value = newIds.size === 0 ? '' : t('imported', { size: newIds.size });
  if (done) look.value = null;
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('oursFile')" :width="620">
    <section :aria-label="t('saveAsAFile')">
      <h3>{{ t('save') }}</h3>
      <p class="soft small">
        {{ count === 0 ? t('nothingYourOwnYet') : t('yourOwnVersionsStand', { count }) }}
      </p>
      <div v-if="count > 0" class="field">
        <span class="label">{{ t('licenceWhatYouMade') }}</span>
        <PickOne :label="t('licenceWhatYouMade')" :value="licence" :options="LICENCE_CHOICES" @change="(line) => (licence = line)" />
        <TextInput v-if="licence === OTHER" id="licence-words" v-model="ownWords" :aria-label="t('licenceOneLine')" :maxlength="160" />
      </div>
      <p>
        <Button :disabled="count === 0 || licenceLine === ''" @click="save">{{ t('saveFile') }}</Button>
      </p>
    </section>
    <section v-if="mayTakeIn" :aria-label="t('importFromFile')">
      <h3>{{ t('import') }}</h3>
      <FilePick :label="t('chooseFileJson')" accept=".json,application/json" @pick="read" />
      <p v-if="look?.problem" class="wrong" role="alert">{{ look.problem }}</p>
      <template v-else-if="look">
        <ul class="items" :aria-label="t('inTheFile')">
          <li v-for="line in lines" :key="line.id">
            <Checkbox
              :checked="chosen.includes(line.id)"
              :disabled="line.wrong !== ''"
              @change="chosen = chosen.includes(line.id) ? chosen.filter((each) => each !== line.id) : [...chosen, line.id]"
              >{{ line.name || t('withoutName') }} <span class="soft small">{{ line.kind }}, {{ line.terms }}</span></Checkbox
            >
            <span v-if="line.wrong" class="wrong small">{{ line.wrong }}</span>
            <span v-else-if="line.here" class="soft small">{{ t('oneNameHereAlready') }}</span>
          </li>
        </ul>
        <p>
          <Button type="primary" :loading="busy" :disabled="chosen.length === 0" @click="takeIn">{{
            t('import2', { count: chosen.length })
          }}</Button>
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

section h3 {
  margin: 0 0 8px;
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
