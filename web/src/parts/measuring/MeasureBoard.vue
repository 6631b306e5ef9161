<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { MOTIONS, type Motion, type Side } from '@pace-bend/core/body';
import { formatNumber, formatSigned, TRIALS_USUAL, type ChangeKind } from '@pace-bend/core/measure';
import type { Moment, MotionComparison, SideComparison } from '@pace-bend/core/record';
import { cautionsFor, measuring as measuringAction } from '@pace-bend/core/caution';
import { useVisit } from '../../stores/visit.ts';
import { LEVEL_WORDS } from '../words.ts';
import BendPair, { type FanValues } from '../BendPair.vue';
import PickOne from '../PickOne.vue';
import ReadingPanel from './ReadingPanel.vue';
import { useMeasuring } from './useMeasuring.ts';

/** The list of motions with their bend pairs, and the panel where the trials of one of them are typed. */
const props = defineProps<{ moment: Moment }>();

const visit = useVisit();
const measuring = useMeasuring(props.moment);
const { comparisons, motions } = measuring;
const activeId = ref(motions.value[0]?.id ?? '');
const active = computed(() => comparisons.value.find((row) => row.motion.id === activeId.value) ?? comparisons.value[0] ?? null);
const panel = ref<InstanceType<typeof ReadingPanel> | null>(null);
watch(motions, (now) => { if (!now.some((motion) => motion.id === activeId.value)) activeId.value = now[0]?.id ?? ''; });

const options = computed(() => [...new Set(MOTIONS.map((motion) => motion.joint))].map((joint) => ({
  label: joint[0]!.toUpperCase() + joint.slice(1),
  options: MOTIONS.filter((motion) => motion.joint === joint).map((motion) => ({
    value: motion.id, label: `${motion.name}, ${motion.testPosition}`, disabled: motions.value.some((each) => each.id === motion.id),
  })),
})));

function sideOf(row: MotionComparison, side: Side): SideComparison | undefined {
  return row.sides.find((each) => each.side === side);
}

function fans(row: MotionComparison): FanValues[] {
  return row.sides.map((each) => ({
    side: each.side,
    now: each.now?.value ?? null,
    earlier: props.moment === 'after' ? each.before?.value ?? null : null,
    baseline: each.baseline?.value ?? null,
    low: each.short,
  }));
}

const GAIN_WORDS: Record<ChangeKind, string> = { 'real-gain': 'a real gain', 'real-loss': 'a real loss', 'inside-error': 'inside your error' };

/** What a row says: one sentence, after work one for each side. */
function words(row: MotionComparison): string {
  if (props.moment === 'after') {
    const gains = row.sides.filter((each) => each.gained).map((each) => {
      const side = each.side === 'midline' ? '' : `${each.side === 'left' ? 'Left' : 'Right'} `;
      return `${side}${formatSigned(each.gained!.gain, row.motion.unit)}, ${GAIN_WORDS[each.gained!.kind]}`;
    });
    return gains.length > 0 ? gains.join('\n') : 'Measure again, same position';
  }
  if (row.sideVerdict && row.sideVerdict.kind !== 'even') return row.sideVerdict.words;
  const below = row.sides.find((each) => each.reference?.kind === 'below');
  if (row.sideVerdict) return below ? `Even; ${below.reference!.words}` : 'Even';
  const single = row.sides.find((each) => each.now);
  return single ? single.reference?.words ?? 'No reference for this position' : 'Not measured today';
}

function go(motion: Motion, focusSide?: Side): void {
  activeId.value = motion.id;
  void nextTick(() => panel.value?.focus(focusSide ?? motion.sides[0]!, 0));
}

function step(by: 1 | -1): void {
  const index = motions.value.findIndex((motion) => motion.id === activeId.value);
  const next = motions.value[index + by];
  if (next) go(next);
}

/** Enter: the next trial, then the other side, then the next motion. */
function advance(side: Side, index: number): void {
  const motion = active.value!.motion;
  if (index + 1 < TRIALS_USUAL) return panel.value?.focus(side, index + 1);
  const other = motion.sides[motion.sides.indexOf(side) + 1];
  if (other) return panel.value?.focus(other, 0);
  const next = motions.value[motions.value.indexOf(motion) + 1];
  if (next) go(next);
}

function add(id: string): void {
  measuring.pick(id);
  go(MOTIONS.find((motion) => motion.id === id)!);
}

/** The strongest caution on measuring each motion, either side; notes are left to the sheet. Typing does not ask again. */
const care = computed(() => new Map(motions.value.map((motion) => {
  const levels = motion.sides.map((side) => cautionsFor(visit.cautionContext!, measuringAction(motion.id, side)).level);
  return [motion.id, (['stop', 'avoid', 'modify'] as const).find((level) => levels.includes(level)) ?? null] as const;
})));

const figure = (each: SideComparison | undefined) => (each?.now ? formatNumber(each.now.value) : '–');
/** After work, the value before stands beneath. */
const was = (each: SideComparison | undefined) => (props.moment === 'after' && each?.before ? `was ${formatNumber(each.before.value)}` : '');
const bandWords = computed(() => active.value?.bands.map((band) => `${band.people} (${band.source.short})`).join(' and ') ?? '');
</script>

<template>
  <div class="board">
    <div class="main">
    <section class="card list" aria-label="Motions">
      <p v-if="comparisons.length === 0" class="empty">Choose the first motion to measure: start with the one the complaint points at.</p>
      <ul v-else class="plain">
        <li v-for="row in comparisons" :key="row.motion.id" :class="{ on: row.motion.id === active?.motion.id }">
          <button type="button" class="row" :aria-pressed="row.motion.id === active?.motion.id" @click="go(row.motion)">
            <span class="what"><b>{{ row.motion.name }}</b><span class="soft small">{{ row.motion.testPosition }}</span><span v-if="care.get(row.motion.id)" class="level small" :class="care.get(row.motion.id)">{{ LEVEL_WORDS[care.get(row.motion.id)!] }}</span></span>
            <template v-if="row.sides.length === 2">
              <span class="num figure left" :class="{ low: sideOf(row, 'left')?.short }"><span class="sr-only">Left </span>{{ figure(sideOf(row, 'left')) }}<small v-if="was(sideOf(row, 'left'))" class="was">{{ was(sideOf(row, 'left')) }}</small></span>
              <BendPair class="pair" :motion="row.motion" :fans="fans(row)" :bands="row.bands" />
              <span class="num figure right" :class="{ low: sideOf(row, 'right')?.short }"><span class="sr-only">Right </span>{{ figure(sideOf(row, 'right')) }}<small v-if="was(sideOf(row, 'right'))" class="was">{{ was(sideOf(row, 'right')) }}</small></span>
            </template>
            <template v-else>
              <span class="num figure left" :class="{ low: row.sides[0]?.short }">{{ figure(row.sides[0]) }}<small v-if="was(row.sides[0])" class="was">{{ was(row.sides[0]) }}</small></span>
              <BendPair class="pair" :motion="row.motion" :fans="fans(row)" :bands="row.bands" />
              <span class="soft small">{{ row.motion.unit === 'cm' ? 'cm' : '°' }}</span>
            </template>
            <span class="verdict small" data-testid="verdict">{{ words(row) }}</span>
          </button>
          <button v-if="!measuring.isMeasured(row.motion) && !visit.finished && moment === 'before'" type="button" class="drop" :aria-label="`Leave out ${row.motion.name}, ${row.motion.testPosition}`" title="Leave out" @click="measuring.drop(row.motion.id)">×</button>
        </li>
      </ul>
      <footer>
        <PickOne v-if="!visit.finished && moment === 'before'" class="picker" search :value="null" :options="options" placeholder="Add a motion" label="Add a motion" @change="add" />
        <span class="legend small soft">
          <span>Left <i aria-hidden="true">◂ ▸</i> Right</span>
          <span v-if="bandWords"><svg width="22" height="9" aria-hidden="true"><rect width="22" height="9" class="band" /></svg> {{ bandWords }}</span>
          <span><svg width="8" height="14" aria-hidden="true"><path d="M4 0V14" class="tick" /></svg> baseline</span>
          <span v-if="moment === 'after'"><svg width="16" height="10" aria-hidden="true"><path d="M0 9L14 1" class="thin" /></svg> before</span>
        </span>
        <span class="keys small soft">digits enter · Enter next · ↑ ↓ motion</span>
      </footer>
    </section>
    <slot name="below" />
    </div>

    <aside class="side">
      <ReadingPanel v-if="active" ref="panel" :key="active.motion.id" :row="active" :measuring="measuring" :moment="moment" @advance="advance" @step="step" />
      <slot name="beside" :comparisons="comparisons" />
    </aside>
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 16px;
  align-items: start;
}

.list {
  padding: 0;
}

li {
  position: relative;
  border-bottom: 1px solid var(--line-faint);
}

li.on {
  background: var(--raised);
  box-shadow: inset 4px 0 0 var(--spruce);
}

.row {
  display: grid;
  grid-template-columns: minmax(118px, 1.1fr) 72px 222px 72px minmax(110px, 1fr);
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: 88px;
  padding: 4px 16px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.row:focus-visible {
  outline-offset: -3px;
}

.what b {
  display: block;
  font-size: 15px;
  line-height: 1.25;
}

.figure {
  font-size: 22px;
}

.was {
  display: block;
  color: var(--soft);
  font-size: 12.5px;
  font-weight: 500;
  font-stretch: 100%;
}

.figure.left {
  text-align: right;
}

.low {
  color: var(--clay-text);
}

.verdict {
  line-height: 1.35;
  padding-right: 10px;
  white-space: pre-line;
}

.drop {
  position: absolute;
  top: 6px;
  right: 6px;
  width: 28px;
  height: 28px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--soft);
  font-size: 17px;
  cursor: pointer;
}

.drop:hover {
  background: var(--clay-soft);
  color: var(--clay-text);
}

footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding: 11px 16px;
}

.picker {
  width: 220px;
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}

.keys {
  margin-left: auto;
}

.legend .band {
  fill: var(--band);
}

.legend .tick {
  stroke: var(--tick);
  stroke-width: 2;
  stroke-dasharray: 3 2;
}

.legend .thin {
  stroke: var(--soft);
  stroke-width: 1.6;
}

.empty {
  padding: 28px 20px;
  color: var(--soft);
}

.main,
.side {
  min-width: 0;
  display: grid;
  gap: 16px;
}

@media (max-width: 1180px) {
  .row {
    grid-template-columns: minmax(106px, 1fr) 68px 170px 68px minmax(90px, 1fr);
  }
}

@media (max-width: 1020px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }

  .side {
    order: -1;
  }
}

@media (max-width: 640px) {
  .row {
    grid-template-columns: 1fr 72px 72px;
  }

  .pair,
  .keys {
    display: none;
  }
}
</style>
