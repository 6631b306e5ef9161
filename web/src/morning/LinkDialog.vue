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
import { t } from '../words/morning.ts';

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
  <SheetDialog v-model:open="open" :title="athlete ? t('checkPage', { who: who() }) : t('tabletOf', { who: who() })" :width="560">
    <div class="link-dialog">
      <p class="soft">
        {{ athlete ? t('todayOnlyOnePerson') : t('onePageSquadName') }}
      </p>
      <ProblemNote v-if="problem ?? unread" :problem="(problem ?? unread)!" />
      <template v-if="address">
        <!-- eslint-disable-next-line vue/no-v-html -- made here from an address of our own -->
        <div class="code" role="img" :aria-label="t('codeOpensCheckPage', { who: who() })" v-html="code" />
        <label class="field"
          >{{ t('linkUntil', { until }) }}<TextInput readonly :model-value="address" @focus="($event.target as HTMLInputElement).select()"
        /></label>
        <div class="choices">
          <Button type="primary" @click="copy">{{ copied ? t('copied') : t('copyLink') }}</Button>
          <Button @click="address = ''">{{ t('done') }}</Button>
        </div>
        <p class="soft small">{{ t('shownOnceIfGets') }}</p>
      </template>
      <Button v-else type="primary" :loading="busy" @click="make">{{ t('openPage') }}</Button>
      <template v-if="links.length > 0">
        <h2>{{ t('openNow') }}</h2>
        <ul class="plain">
          <li v-for="each in links" :key="each.id">
            <span>{{ each.of }}</span>
            <span class="soft small">{{
              t('until', {
                what: each.squadId ? t('tablet') : t('phone'),
                what2: each.untilDate === practice.today ? t('tonight') : each.untilDate,
                madeBy: each.madeBy,
              })
            }}</span>
            <button type="button" class="link small" :aria-label="t('closePage', { of: each.of })" @click="close(each.id)">
              {{ t('close') }}
            </button>
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
