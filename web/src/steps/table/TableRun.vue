<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { formatNumber, referenceBands } from '@pace-bend/core/measure';
import { phaseKind } from '@pace-bend/core/method';
import { edgeFromDigits, redrawn } from '@pace-bend/core/table';
import StairDrawing from '../../parts/StairDrawing.vue';
import { usePractice } from '../../stores/practice.ts';
import TableActions from './TableActions.vue';
import TableHeader from './TableHeader.vue';
import TableStage from './TableStage.vue';
import { useRun } from './useRun.ts';
import { useTableKeys } from './useTableKeys.ts';
import { useWakeLock } from './useWakeLock.ts';

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
  redrawn(line.value!, { adjustments: adjustments.value, cueIndex: cueIndex.value }, cue.value.blockIndex, cue.value.side),
);
const drawn = computed(() => sideCues.value.find((each) => each.index === cue.value.index) ?? cue.value);
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
function edgeKey(): void {
  if (unit.value === 'of10') return;
  if (status.value === 'ready' || status.value === 'finished') return;
  edgeDigits.value = edgeDigits.value === null ? '' : null;
}

function digit(value: number): void {
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
  if (edgeDigits.value !== null) edgeDigits.value = null;
  else run.act({ kind: 'stop' });
}

function close(): void {
  void run.flush();
  void router.push(`/visit/${visit.id}/close`);
}

function space(): void {
  if (linkState.value !== 'elsewhere' && status.value !== 'finished' && line.value?.cues.length) run.space();
}

/** What was found ends in the referral: the limb is left where it is held, the clock waits. */
function refer(): void {
  if (visit.finished) return;
  if (status.value === 'running') run.act({ kind: 'hold' });
  void router.push(`/visit/${visit.id}/letter`);
}

useTableKeys({
  space,
  next: () => run.act(status.value === 'eased' ? { kind: 'ease' } : { kind: 'next' }),
  again: () => run.act(status.value === 'eased' ? { kind: 'lighter' } : { kind: 'again' }),
  stop,
  digit,
  edge: edgeKey,
  erase: () => {
    if (edgeDigits.value) edgeDigits.value = edgeDigits.value.slice(0, -1);
  },
  muted: run.toggleMuted,
  spoken: run.toggleSpoken,
  refer,
  enter: () => {
    if (status.value === 'finished') close();
  },
});
</script>

<template>
  <div v-if="!line || line.cues.length === 0" class="table empty">
    <h1>Nothing to run yet</h1>
    <p>Plan a block first, then come back here. <RouterLink :to="`/visit/${visit.id}/plan`">Plan</RouterLink></p>
  </div>
  <main
    v-else-if="view"
    class="table"
    :class="`is-${status}`"
    data-phases
    :style="{ '--accent': `var(--phase-${status === 'eased' || status === 'stopped' ? 'contract' : family}-far, #f3eddf)` }"
    data-testid="table"
    :data-status="status"
    :data-cue="cue.index"
    :data-position="Math.round(state.positionMs)"
  >
    <TableHeader :run="run" :status="status" />

    <TableStage :run="run" :drawn="drawn" :status="status" :last-score="lastScore" :edge-digits="edgeDigits" />

    <div class="drawing">
      <StairDrawing
        :cues="sideCues"
        :better="block.better"
        :unit="unit"
        :bands="bands"
        :height="196"
        :playhead="lineMs"
        :read-edges="readEdges"
        :label="`Stair, ${cue.side}, round ${Math.min(Math.max(cue.round, 1), cue.rounds)} of ${cue.rounds}`"
      />
    </div>

    <TableActions
      :run="run"
      :status="status"
      :last-score="lastScore"
      :edge-open="edgeDigits !== null"
      @space="space"
      @stop="stop"
      @close="close"
      @score="score"
    />
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
  grid-template: auto 1fr auto auto / minmax(0, 1fr);
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
  padding: 8px 28px 4px;
}

@media (max-width: 640px) {
  .drawing {
    padding: 4px 12px;
  }
}

.table :deep(kbd) {
  font: 600 0.82em var(--figures);
}
</style>
