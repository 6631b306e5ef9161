<script setup lang="ts">
import { computed, defineAsyncComponent, onScopeDispose, ref, watch } from 'vue';
import { useMediaQuery, useWindowSize } from '@vueuse/core';
import { useRouter } from 'vue-router';
import { strongestPress } from '@pace-bend/core/finding';
import { formatNumber, referenceBands } from '@pace-bend/core/measure';
import { phaseKind } from '@pace-bend/core/method';
import { edgeFromDigits, farType, redrawn } from '@pace-bend/core/table';
import StairDrawing from '../../parts/StairDrawing.vue';
import { usePractice } from '../../stores/practice.ts';
import TableActions from './TableActions.vue';
import TableHeader from './TableHeader.vue';
import TableStage from './TableStage.vue';
import ThinStair from './ThinStair.vue';
import { useNumberAsked } from './useNumberAsked.ts';
import FoundSheet from './FoundSheet.vue';
import LivePanel from './LivePanel.vue';
import { useLive } from './useLive.ts';
import PutSheet from './PutSheet.vue';
import { useRun } from './useRun.ts';
import { useStairHeight } from './useStairHeight.ts';
import { useTableKeys } from './useTableKeys.ts';
import { useWakeLock } from './useWakeLock.ts';
import type { TableAct } from '../../parts/keys.ts';
import { t } from '../../words/table.ts';

const SettingsDialog = defineAsyncComponent(() => import('./SettingsDialog.vue'));

type HandAct = Extract<TableAct, 'more' | 'leave' | 'until' | 'drift' | 'brace' | 'other' | 'swap' | 'add' | 'found' | 'refer'>;

/** Capitals of the far view's type as a share of its size; `widths.spec` measures it in the browser. */
const CAP_SHARE = 0.68;
/** A page at least this large has room for the far view. */
const FAR_FROM = { width: 1000, height: 640 } as const;

const props = defineProps<{ rate: number }>();

const router = useRouter();
const practice = usePractice();
const run = useRun(props.rate);
const { visit, line, state, view, reopened, linkState } = run;
useWakeLock();

/** Digits of an edge being typed, or null when digits mean discomfort. */
const edgeDigits = ref<string | null>(null);

const status = computed(() => (reopened.value && state.value.status === 'running' ? 'held' : state.value.status));
const cue = computed(() => view.value!.cue);
const block = computed(() => line.value!.blocks[cue.value.blockIndex]!);
// Of the state only what changes the drawing: a frame moves the playhead and redraws nothing else.
const adjustments = computed(() => state.value.adjustments);
const cueIndex = computed(() => state.value.cueIndex);
/** With the rest of the line as it is to be after easing off or reading the edge. */
const sideCues = computed(() =>
  redrawn(line.value!, { adjustments: adjustments.value, cueIndex: cueIndex.value, line: null }, cue.value.blockIndex, cue.value.side),
);
const drawn = computed(() => sideCues.value.find((each) => each.index === cue.value.index) ?? cue.value);
const live = useLive(
  run,
  () => drawn.value,
  (muscles, side) => (visit.file ? strongestPress(muscles, side, visit.file.findings, visit.file.lastFindings) : null),
);
const bands = computed(() => referenceBands(block.value.motionId, visit.file!.athlete, practice.dayOf(visit.file!.visit.startsAt)));
const family = computed(() => phaseKind(cue.value.kind).family);
const lastScore = computed(() => {
  const note = state.value.discomfort.at(-1);
  return note &&
    line.value!.cues[note.cueIndex]!.blockIndex === cue.value.blockIndex &&
    line.value!.cues[note.cueIndex]!.side === cue.value.side
    ? note.score
    : null;
});
const readEdges = computed(() =>
  state.value.edges
    .filter((edge) => edge.blockIndex === cue.value.blockIndex && edge.side === cue.value.side)
    .map((edge) => ({ atLineMs: edge.positionMs, value: edge.value })),
);
const unit = computed(() => block.value.unit);
const lineMs = () => state.value.positionMs;
/** Lower where the screen is: what is told and the keys come first. */
const stairHeight = useStairHeight();
/** Read from where the therapist stands, unless the screen is too small for it or somebody chose otherwise. */
const screen = useWindowSize();
const far = computed(() => run.settings.far ?? (screen.width.value >= FAR_FROM.width && screen.height.value >= FAR_FROM.height));
const farSizes = computed(() => {
  const { read, glance } = farType({ width: screen.width.value, height: screen.height.value }, CAP_SHARE);
  return { '--far-read': `${read}px`, '--far-glance': `${glance}px` };
});
/** A phone shows what counts: its keys, the bar, and devices only where one is connected. */
const phone = useMediaQuery('(max-width: 640px)');
const settingsOpen = ref(false);
const stage = ref<InstanceType<typeof TableStage> | null>(null);
function edgeKey(): void {
  // Between two blocks there are readings to be taken: the key goes to their fields.
  if (stage.value?.focusReadings()) return;
  if (unit.value === 'of10') return;
  if (status.value === 'ready' || status.value === 'finished') return;
  edgeDigits.value = edgeDigits.value === null ? '' : null;
}

/** Digits of how it felt before it softened and after, or null. */
const feltDigits = ref<string | null>(null);
/** Nobody has to answer: after this the digits are discomfort again. */
const FELT_MS = 8000;
let feltTimer: ReturnType<typeof setTimeout> | undefined;
function askHowItFelt(wanted: boolean): void {
  clearTimeout(feltTimer);
  feltDigits.value = wanted ? '' : null;
  if (wanted) feltTimer = setTimeout(() => (feltDigits.value = null), FELT_MS);
}
watch(
  () => state.value.softened.length,
  (now, before) => askHowItFelt(now > before),
);
onScopeDispose(() => clearTimeout(feltTimer));

/** What is done instead, or as well; and what a finger found. */
const putting = ref<'instead' | 'added' | null>(null);
const finding = ref(false);
const number = useNumberAsked(run, cue);

function digit(value: number): void {
  if (feltDigits.value !== null) {
    feltDigits.value += String(value);
    if (feltDigits.value.length < 2) return;
    const [before, after] = [...feltDigits.value].map(Number) as [number, number];
    askHowItFelt(false);
    return run.act({ kind: 'felt', before, after });
  }
  if (edgeDigits.value === null || unit.value === 'of10') return score(value);
  edgeDigits.value += String(value);
  if (edgeDigits.value.length < 2) return;
  run.act({ kind: 'edge', value: edgeFromDigits(Number(edgeDigits.value), view.value!.edge, unit.value) });
  edgeDigits.value = null;
}

function score(value: number): void {
  run.act({ kind: 'discomfort', score: value });
}

function stop(): void {
  if (feltDigits.value !== null) askHowItFelt(false);
  else if (edgeDigits.value !== null) edgeDigits.value = null;
  else run.act({ kind: 'stop' });
}

function close(): void {
  void run.flush();
  void router.push(`/visit/${visit.id}/close`);
}

function space(): void {
  if (linkState.value !== 'elsewhere' && status.value !== 'finished' && line.value?.cues.length) run.space();
}

/**
 * What was found ends in the referral: the run is over, and the letter opens with what happened. Until then the key can be taken back;
 * pressed once more, or with Enter, it opens at once.
 */
function refer(): void {
  if (visit.finished) return;
  if (status.value === 'ready' || state.value.referredMs !== null || status.value === 'finished') return openLetter();
  run.act({ kind: 'refer' });
}
function openLetter(): void {
  void run.flush();
  void router.push(`/visit/${visit.id}/letter`);
}
/** Five seconds after the run was ended to refer them, unless that was taken back. */
watch([() => state.value.referredMs, () => run.undo.value?.kind], ([referred, kind], [before]) => {
  if (referred !== null && before === referred && kind !== 'refer') openLetter();
});

/** Keys that mean nothing while a sheet lies over the table, or before it has begun. */
const isOn = () => status.value !== 'ready' && status.value !== 'finished' && linkState.value !== 'elsewhere';
function put(how: 'instead' | 'added'): void {
  if (!isOn()) return;
  if (status.value === 'running') run.act({ kind: 'hold' });
  putting.value = how;
}
function found(): void {
  if (visit.finished) return;
  if (status.value === 'running') run.act({ kind: 'hold' });
  finding.value = true;
}
const hand: Record<HandAct, () => void> = {
  more: () => run.act({ kind: 'more' }),
  leave: () => run.act({ kind: 'leave' }),
  until: () => run.act({ kind: 'until' }),
  drift: () => run.act({ kind: 'drift' }),
  brace: () => run.act({ kind: 'brace' }),
  other: () => run.act({ kind: 'other' }),
  swap: () => put('instead'),
  add: () => put('added'),
  found,
  refer,
};
/** The one step that is due: begin, go on, read what is to be read, measure again. */
function step(): void {
  const isLetter = state.value.referredMs !== null;
  if (status.value === 'ready' || status.value === 'held') space();
  else if (status.value === 'finished' && isLetter) openLetter();
  else if (status.value === 'finished') {
    const isInField = document.activeElement instanceof HTMLInputElement;
    if (isInField || !stage.value?.focusReadings()) close();
  } else if (status.value === 'showing') space();
  else keys.next();
}
const keys = {
  space,
  step,
  ...hand,
  undo: () => run.act({ kind: 'undo' }),
  number: number.another,
  next: () => run.act(status.value === 'eased' ? { kind: 'ease' } : { kind: 'next' }),
  again: () => run.act(status.value === 'eased' || status.value === 'showing' ? { kind: 'lighter' } : { kind: 'again' }),
  stop,
  digit,
  edge: edgeKey,
  erase: () => {
    if (feltDigits.value) feltDigits.value = feltDigits.value.slice(0, -1);
    else if (edgeDigits.value) edgeDigits.value = edgeDigits.value.slice(0, -1);
  },
  muted: run.toggleMuted,
  spoken: run.toggleSpoken,
  enter: () => {
    if (state.value.referredMs !== null) openLetter();
    else if (status.value === 'finished') close();
  },
  far: () => {
    run.change({ far: !far.value });
  },
};
useTableKeys(keys, () => run.settings.pedals);
</script>

<template>
  <div v-if="!line || line.cues.length === 0" class="table empty">
    <h1>{{ t('nothingRunYet') }}</h1>
    <p>
      {{ t('planBlockFirstThen') }} <RouterLink :to="`/visit/${visit.id}/plan`">{{ t('plan') }}</RouterLink>
    </p>
  </div>
  <main
    v-else-if="view"
    class="table"
    :class="[`is-${status}`, { far, phone }]"
    data-phases
    data-large
    :style="{
      ...farSizes,
      '--accent': `var(--phase-${status === 'eased' || status === 'stopped' || status === 'showing' ? 'contract' : family}-far, #f3eddf)`,
    }"
    data-testid="table"
    :data-status="status"
    :data-cue="cue.index"
    :data-position="Math.round(state.positionMs)"
  >
    <TableHeader :run="run" :status="status" :far="far" @far="keys.far()" @settings="settingsOpen = true" />

    <TableStage
      ref="stage"
      :run="run"
      :drawn="drawn"
      :status="status"
      :last-score="lastScore"
      :edge-digits="edgeDigits"
      :felt-digits="feltDigits"
      :number-asked="number.isAsked.value"
      :far="far"
    />

    <LivePanel v-if="(!far && !phone) || status === 'ready' || live.isConnected.value" :live="live" />

    <div class="drawing">
      <ThinStair
        v-if="far || phone"
        :cues="sideCues"
        :position-ms="state.positionMs"
        :label="t('stairRound', { side: cue.side, max: Math.min(Math.max(cue.round, 1), view.rounds), rounds: view.rounds })"
      />
      <StairDrawing
        v-else
        :cues="sideCues"
        :better="block.better"
        :unit="unit"
        :bands="bands"
        :height="stairHeight"
        :playhead="lineMs"
        :read-edges="readEdges"
        :live-edge="live.edge.value"
        :label="t('stairRound', { side: cue.side, max: Math.min(Math.max(cue.round, 1), view.rounds), rounds: view.rounds })"
      />
    </div>

    <TableActions
      :run="run"
      :status="status"
      :last-score="lastScore"
      :edge-open="edgeDigits !== null"
      :felt-open="feltDigits !== null"
      :number-mode="number.words.value"
      :phone="phone"
      @hand="(act) => hand[act as HandAct]()"
      @number="number.another"
      @letter="openLetter"
      @space="space"
      @stop="stop"
      @close="close"
      @score="score"
    />
    <PutSheet v-if="putting" :open="putting !== null" :run="run" :how="putting" @update:open="putting = null" />
    <FoundSheet v-if="finding" v-model:open="finding" :run="run" />
    <SettingsDialog v-if="settingsOpen" v-model:open="settingsOpen" :settings="run.settings" @change="run.change" @try="run.trySound()" />
    <p class="sr-only" role="status">{{ status === 'running' ? '' : status }} {{ formatNumber(view.edge) }}</p>
  </main>
</template>

<style scoped>
.table {
  /* The lamp is low here whatever the desk looks like. */
  --ground: #0f1c18;
  --ink: #f3eddf;
  --soft: #a3b3ab;
  --line: #42554c;
  --line-faint: #20322b;
  --paper: #16261f;
  --spruce-fill: #2e7d68;
  --stair-hold: #2e7d68;
  --clay: #f0a07a;
  --clay-text: #f0a07a;
  --clay-soft: #552b1a;
  --sun: #f2c14e;
  --sun-soft: #4d4120;
  --slate: #9cc0d8;
  --slate-soft: #223c48;
  --slate-mid: #2b4654;
  --band: #1f4438;
  --plum: #e3a9da;
  --plum-soft: #3d2a39;
  /* Read from where the therapist stands: the colours of the phases, lighter. */
  --phase-contract-far: #f3b08c;
  --phase-oscillate-far: #e3a9da;
  --phase-hold-far: #8fd0b8;
  --phase-relax-far: #f2c14e;
  --phase-move-far: #a9cbe2;
  --phase-breathe-far: #a9cbe2;
  display: grid;
  grid-template: auto 1fr auto auto auto / minmax(0, 1fr);
  min-height: 100vh;
  min-height: 100dvh;
  background: var(--ground);
  color: var(--ink);
}

.empty {
  align-content: center;
  justify-items: center;
  grid-template-rows: none;
  gap: 12px;
}

.empty a {
  color: #8fd0b8;
}

.drawing {
  padding: 4px 28px 2px;
}

@media (max-width: 640px) {
  .drawing {
    padding: 4px 12px;
  }
}

.far {
  grid-template-rows: auto minmax(0, 1fr) auto auto auto;
  height: 100vh;
  height: 100dvh;
}

.far .drawing {
  padding: 0 28px 4px;
}

.table :deep(kbd) {
  font: 600 0.82em var(--figures);
}
</style>
