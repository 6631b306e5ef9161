<script setup lang="ts">
import { useSwipe } from '@vueuse/core';
import { computed, nextTick, ref } from 'vue';
import { blocking, cautionsFor, measuring as measuringAction, overriddenFor } from '@pace-bend/core/caution';
import type { Side } from '@pace-bend/core/body';
import type { Judgement } from '@pace-bend/core/limiter';
import type { Moment, MotionComparison } from '@pace-bend/core/record';
import EndOfMotion from '../findings/EndOfMotion.vue';
import type { Findings } from '../findings/useFindings.ts';
import DeviceTab from './DeviceTab.vue';
import { formatValue } from '@pace-bend/core/measure';
import { askedOf } from '@pace-bend/core/sport';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import FigureDialog from './FigureDialog.vue';
import PosedFigure from '../parts/PosedFigure.vue';
import TabSet from '../parts/TabSet.vue';
import LimiterCard from './LimiterCard.vue';
import TrialsTab from './TrialsTab.vue';
import type { Measuring } from './useMeasuring.ts';
import { t } from '../words/measuring.ts';

/** One motion: its figure, and behind four tabs the trials, the end of the motion, what may hold it, and the device. */
const props = defineProps<{
  row: MotionComparison;
  measuring: Measuring;
  moment: Moment;
  findings: Findings;
  judged: (side: Side) => Judgement;
}>();
const emit = defineEmits<{ advance: [side: Side, index: number]; step: [by: 1 | -1]; measure: [motionId: string] }>();

const visit = useVisit();
const practice = usePractice();
const motion = computed(() => props.row.motion);
const TABS = computed(() => [
  { id: 'read', label: t('read') },
  ...(props.moment === 'before'
    ? [
        { id: 'end', label: t('end') },
        { id: 'holds', label: t('whatHolds') },
      ]
    : []),
  ...(motion.value.unit === 'deg' ? [{ id: 'device', label: t('device') }] : []),
]);
const tab = ref('read');
const large = ref(false);
/** With a finger across the panel to the next motion, or back. */
const panelElement = ref<HTMLElement | null>(null);
const SWIPE_PX = 70;
const { lengthX, lengthY } = useSwipe(panelElement, {
  threshold: SWIPE_PX,
  onSwipeEnd: (_event, direction) => {
    if (Math.abs(lengthX.value) < 2 * Math.abs(lengthY.value)) return;
    if (direction === 'left') emit('step', 1);
    if (direction === 'right') emit('step', -1);
  },
});
/** The trials stand by themselves and beneath the device's value: those that are on the page. */
let trials: InstanceType<typeof TrialsTab> | null = null;
const holdTrials = (shown: unknown) => {
  if (shown) trials = shown as InstanceType<typeof TrialsTab>;
};
const read = computed(() => ({ row: props.row, measuring: props.measuring, moment: props.moment }));
const advance = (side: Side, index: number) => emit('advance', side, index);
const step = (by: 1 | -1) => emit('step', by);

async function focus(side: Side, index: number): Promise<void> {
  if (tab.value !== 'device') tab.value = 'read';
  await nextTick();
  trials?.focus(side, index);
}
defineExpose({ focus });

const values = computed(() => Object.fromEntries(props.row.sides.map((each) => [each.side, each.now?.value ?? null])));
const short = computed(() => props.row.sides.filter((each) => each.short).map((each) => each.side));
/** What the athlete's sports ask for, side by side, as it is marked in the figure. */
const demands = computed(() => {
  const played = practice.played(visit.file!.athlete.sports);
  return motion.value.sides.flatMap((side) => askedOf(played, motion.value.id, side) ?? []);
});
const asked = computed(() => Object.fromEntries(demands.value.map(({ side, value }) => [side, value])));
const askedWords = computed(() => {
  const [first] = demands.value;
  if (!first) return '';
  const { unit, better } = motion.value;
  const alike = demands.value.every(({ value, why }) => value === first.value && why === first.why);
  const values = alike
    ? formatValue(first.value, unit, 0)
    : demands.value.map(({ side, value, why }) => `${side} ${formatValue(value, unit, 0)}, ${why}`).join('; ');
  return t('asksFor', {
    sport: first.sport,
    what: better === 'higher' ? '' : `${t('atMost')} `,
    values,
    what2: alike ? ` (${first.why})` : '',
    what3: first.source ?? first.sure,
  });
});
const judgedSides = computed(() => (tab.value === 'holds' ? short.value.map((side) => ({ side, judgement: props.judged(side) })) : []));
/** Whether the motion may not be taken to its end on a side. */
const closed = (side: Side) =>
  blocking(
    cautionsFor(visit.cautionContext!, measuringAction(motion.value.id, side)),
    overriddenFor(visit.file!.overrides, motion.value.id, side),
  ).length > 0;
</script>

<template>
  <section ref="panelElement" class="card panel" :aria-label="`${motion.name}, ${motion.testPosition}`">
    <header>
      <h2>{{ motion.name }}</h2>
      <span class="soft small">{{ motion.testPosition }} · {{ motion.mode }}</span>
    </header>
    <button type="button" class="posed" :aria-label="t('showLarge', { name: motion.name })" @click="large = true">
      <PosedFigure :motion="motion" :values="values" :short="short" :bands="row.bands" :asked="asked" :size="150" :shape="1.95" />
    </button>
    <FigureDialog v-if="large" v-model:open="large" :row="row" :values="values" :short="short" :asked="asked" />
    <p v-if="askedWords" class="soft small asks"><span aria-hidden="true">◆</span> {{ askedWords }}</p>
    <TabSet v-model:active="tab" :tabs="TABS" :label="t('whatMotion')">
      <template #read><TrialsTab :ref="holdTrials" v-bind="read" @advance="advance" @step="step" /></template>
      <template #end><EndOfMotion :motion="motion" :findings="findings" :closed="closed" /></template>
      <template #holds><LimiterCard :motion="motion" :judged="judgedSides" @measure="(id) => emit('measure', id)" /></template>
      <template #device>
        <DeviceTab :motion="motion" :measuring="measuring" :moment="moment" />
        <TrialsTab :ref="holdTrials" class="under" v-bind="read" @advance="advance" @step="step" />
      </template>
    </TabSet>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 10px;
}

header .small {
  display: block;
}

.posed {
  justify-self: center;
  padding: 0;
  border: 0;
  background: none;
  cursor: zoom-in;
}

.under {
  margin-top: 14px;
  padding-top: 12px;
  border-top: 1px solid var(--line-faint);
}
</style>
