<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import QRCode from 'qrcode';
import { v7 as uuid } from 'uuid';
import { ref, shallowRef, watch } from 'vue';
import { api } from '../api/api.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import TextInput from '../parts/TextInput.vue';

/** A check-in page for one athlete today, or for a squad's tablet: opened here, shown as a link and a code, closed here again. */
interface Link {
  readonly id: string;
  readonly of: string;
  readonly athleteId: string | null;
  readonly squadId: string | null;
  readonly untilDate: string;
  readonly madeBy: string;
}
const props = defineProps<{
  athlete?: { readonly id: string; readonly name: string } | null;
  squad?: { readonly id: string; readonly name: string } | null;
}>();
const open = defineModel<boolean>('open', { required: true });

const practice = usePractice();
const { busy, problem, run } = useAction();
/** Looking what is open is an action of its own: a press that opens a page does not wait for it. */
const { problem: unread, run: reading } = useAction();
const links = shallowRef<readonly Link[]>([]);
const address = ref('');
const code = ref('');
const until = ref('');
const copied = ref(false);

const load = () =>
  reading(async () => {
    links.value = (await api<{ links: Link[] }>('GET', '/check-in-links')).links;
  });
watch(
  open,
  (now) => {
    address.value = '';
    code.value = '';
    copied.value = false;
    if (now) void load();
  },
  { immediate: true },
);

const make = () =>
  run(async () => {
    const made = await api<{ token: string; untilDate: string; links: Link[] }>('POST', '/check-in-links', {
      id: uuid(),
      athleteId: props.athlete?.id ?? null,
      squadId: props.athlete ? null : (props.squad?.id ?? null),
    });
    // The token stands behind the hash: no server's log and no other page ever sees it.
    address.value = `${location.origin}/check-in#${made.token}`;
    until.value = made.untilDate;
    links.value = made.links;
    code.value = await QRCode.toString(address.value, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' });
  });
const close = (id: string) =>
  run(async () => {
    links.value = (await api<{ links: Link[] }>('DELETE', `/check-in-links/${id}`, {})).links;
    address.value = '';
    code.value = '';
  });
async function copy(): Promise<void> {
  await navigator.clipboard?.writeText(address.value).then(
    () => {
      copied.value = true;
    },
    () => undefined,
  );
}
const who = () => props.athlete?.name ?? props.squad?.name ?? '';
</script>

<template>
  <SheetDialog v-model:open="open" :title="athlete ? `Check-in page for ${who()}` : `Tablet of ${who()}`" :width="560">
    <div class="link-dialog">
      <p class="soft">
        {{
          athlete
            ? 'For today only, and for this one person. Whoever has the link can answer for them; nothing that was answered can be read there. It ends tonight by itself.'
            : 'One page for the squad: a name, the questions, and back to the names. It ends in two weeks by itself. Nothing that was answered can be read there.'
        }}
      </p>
      <ProblemNote v-if="problem ?? unread" :problem="(problem ?? unread)!" />
      <template v-if="address">
        <!-- eslint-disable-next-line vue/no-v-html -- made here from an address of our own -->
        <div class="code" role="img" :aria-label="`Code that opens the check-in page of ${who()}`" v-html="code" />
        <label class="field"
          >Link, until {{ until }}<TextInput readonly :model-value="address" @focus="($event.target as HTMLInputElement).select()"
        /></label>
        <div class="choices">
          <Button type="primary" @click="copy">{{ copied ? 'Copied' : 'Copy link' }}</Button>
          <Button @click="address = ''">Done</Button>
        </div>
        <p class="soft small">It is shown this once. If it gets lost, close it below and open another.</p>
      </template>
      <Button v-else type="primary" :loading="busy" @click="make">Open a page</Button>
      <template v-if="links.length > 0">
        <h2>Open now</h2>
        <ul class="plain">
          <li v-for="each in links" :key="each.id">
            <span>{{ each.of }}</span>
            <span class="soft small"
              >{{ each.squadId ? 'tablet' : 'phone' }}, until {{ each.untilDate === practice.today ? 'tonight' : each.untilDate }},
              {{ each.madeBy }}</span
            >
            <button type="button" class="link small" :aria-label="`Close the page of ${each.of}`" @click="close(each.id)">Close</button>
          </li>
        </ul>
      </template>
    </div>
  </SheetDialog>
</template>

<style scoped>
.link-dialog {
  display: grid;
  gap: 12px;
  padding-top: 6px;
}

/* A code is read by cameras: dark on light, whatever the theme. */
.code {
  width: 220px;
  padding: 6px;
  border-radius: 4px;
  background: #fff;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 12px;
  align-items: baseline;
  padding: 4px 0;
  border-top: 1px solid var(--line-faint);
}
</style>
