<script setup lang="ts">
import { DateTime } from 'luxon';
import { computed, ref, useTemplateRef } from 'vue';
import { addDays } from '@pace-bend/core/load';
import type { CalendarEvent, SeasonVisit, SeasonWeek } from '@pace-bend/core/record';
import {
  DEVELOP,
  DEVELOP_WORDS,
  edgeRoom,
  edgesOf,
  laidOver,
  moveEdge,
  PHASE_NAMES,
  phaseRule,
  type Block,
  type Edge,
  type LaidBlock,
  type PhaseRule,
  type Stay,
} from '@pace-bend/core/season';
import EdgeHandle from './EdgeHandle.vue';
import { DRAWING, dayWords, ticksOf, type Scale } from './scale.ts';
import { changedVisits, HEIGHT, stepsOf } from './steps.ts';
import { t } from '../words/season.ts';

/**
 * A season as one line over the weeks: how high it stands is what may change in the range. Events, visits and load lie on the same days; a
 * goal goes into the slot below.
 */
const props = defineProps<{
  scale: Scale;
  today: string;
  dayOf: (instant: string) => string;
  /** Blocks that can be changed, those they lie over, and the rules of the phases. */
  own: readonly Block[];
  followed: readonly Block[];
  rules: readonly PhaseRule[];
  stays: readonly Stay[];
  events: readonly (CalendarEvent & { readonly at: boolean })[];
  visits: readonly SeasonVisit[];
  /** Days on which a planned rhythm would have visits. */
  proposed: readonly string[];
  weeks: readonly SeasonWeek[];
  mayChange: boolean;
  /** How high the slot below is; 0 for none. */
  below: number;
}>();
const emit = defineEmits<{ change: [words: string, blocks: Block[]]; block: [block: LaidBlock]; event: [id: string] }>();

const drawing = useTemplateRef<SVGSVGElement>('drawing');
defineExpose({ drawing });

const Y = { months: 12, weeks: 27, events: 44, eventRow: 15, top: 104, base: 214, names: 229, visits: 276, load: 336, below: 352 };
const height = computed(() => Y.below + (props.below > 0 ? props.below + 24 : 14));
const yOf = (step: number) => Y.base - 12 - (step / (DEVELOP.length - 1)) * (Y.base - 12 - Y.top);

/** The blocks while an edge is being moved. */
const moving = ref<{ readonly edge: Edge; readonly day: string } | null>(null);
const shownOwn = computed(() => (moving.value ? moveEdge(props.own, moving.value.edge, moving.value.day) : [...props.own]));
const line = computed(() => laidOver(props.followed, shownOwn.value));
const steps = computed(() =>
  stepsOf(line.value, props.rules, props.scale.x, yOf, (day) => addDays(day, 1)).filter(({ right, left }) => right > left),
);
/** Where a step goes over into the next one the line slants, so that it reads as one. */
const SLANT = 2.5;
const stairs = computed(() => {
  let path = '';
  let before: (typeof steps.value)[number] | null = null;
  for (const step of steps.value) {
    const joined = before !== null && Math.abs(before.right - step.left) < 0.01;
    path += joined ? `L${step.left + SLANT} ${step.top}` : `M${step.left} ${step.top}`;
    path += `L${step.right - SLANT} ${step.top}`;
    before = step;
  }
  return path;
});

const edges = computed(() => edgesOf(shownOwn.value));
/** Edges by their place in the line, which does not change while one moves. */
const handles = computed(() =>
  props.mayChange
    ? edgesOf(props.own)
        .map((edge, i) => ({ edge, i, now: edges.value[i] ?? edge, room: edgeRoom(props.own, edge) }))
        .filter(({ now }) => now.day > props.today && now.day >= props.scale.from && now.day <= props.scale.until)
    : [],
);
const handleY = ({ ends, begins }: Edge) => {
  const at = [ends, begins].flatMap((index) =>
    index === null ? [] : [yOf(HEIGHT[phaseRule(shownOwn.value[index]!.phase, props.rules).develop])],
  );
  return at.reduce((sum, y) => sum + y, 0) / at.length;
};
function edgeWords({ ends, begins, day }: Edge): string {
  const words =
    begins !== null
      ? t('begins', { what: PHASE_NAMES[props.own[begins]!.phase] })
      : t('ends', { what: PHASE_NAMES[props.own[ends!]!.phase] });
  return `${words} ${dayWords(begins !== null ? day : addDays(day, -1), props.today)}`;
}
const focused = ref<number | null>(null);
const hint = computed(() => {
  const handle = handles.value.find(({ i }) => i === focused.value);
  if (!handle) return null;
  const consequence = moving.value
    ? changedVisits(props.visits, props.dayOf, laidOver(props.followed, props.own), laidOver(props.followed, shownOwn.value))
    : '';
  const x = Math.min(Math.max(props.scale.x(handle.now.day) + 12, DRAWING.left), DRAWING.right - 214);
  return { x, words: edgeWords({ ...handle.edge, day: handle.now.day }), consequence };
});
function move(edge: Edge, day: string): void {
  moving.value = { edge, day };
}
function keep(): void {
  if (!moving.value) return;
  const { edge, day } = moving.value;
  const words = edgeWords({ ...edge, day });
  const blocks = shownOwn.value;
  moving.value = null;
  if (day !== edge.day) emit('change', words, blocks);
}

const weeksApart = computed(() => (props.scale.dayWidth * 7 > 26 ? 1 : props.scale.dayWidth * 7 > 13 ? 2 : 4));
const ticks = computed(() => ticksOf(props.scale, weeksApart.value));

/** Words beside events, in the first row in which they have room; without one only the mark is left, and its title. */
const CHAR = 6.6;
const ROWS = 3;
const eventMarks = computed(() => {
  const ends = Array.from({ length: ROWS }, () => -Infinity);
  return props.events
    .filter(({ onDate }) => onDate >= props.scale.from && onDate <= props.scale.until)
    .sort((a, b) => (a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : a.importance - b.importance))
    .map((event) => {
      const x = props.scale.x(event.onDate);
      const days = dayWords(event.onDate, props.today);
      // The name gives way to the drawing's edge on the side that has more room; whole it is in the title.
      const most = Math.max(DRAWING.right + 8 - x, x - props.scale.left) - 22;
      const room = Math.floor(most / CHAR) - days.length - 1;
      const words = `${event.name.length > room ? `${event.name.slice(0, Math.max(0, room - 1)).trimEnd()}…` : event.name} ${days}`;
      const width = words.length * CHAR + 22;
      const flips = x + width > DRAWING.right + 8;
      const from = flips ? x - width : x;
      const row = ends.findIndex((end) => end <= from);
      if (row !== -1) ends[row] = from + width + 4;
      return { event, x, words, whole: `${event.name} ${days}`, row, flips, y: Y.events + Math.max(0, row) * Y.eventRow };
    });
});

/** Minutes of visits by day, done and booked apart. */
const visitBars = computed(() => {
  const days = new Map<string, { done: number; booked: number; who: string[] }>();
  for (const { startsAt, minutes, state, athleteName } of props.visits) {
    const day = props.dayOf(startsAt);
    if (day < props.scale.from || day >= props.scale.until) continue;
    const sum = days.get(day) ?? { done: 0, booked: 0, who: [] };
    sum[state] += minutes;
    sum.who.push(t('min', { athleteName, minutes, what: state === 'booked' ? t('booked') : '' }));
    days.set(day, sum);
  }
  return [...days].map(([day, sum]) => ({ day, ...sum }));
});
const VISIT_HEIGHT = 30;
const mostMinutes = computed(() => Math.max(60, ...visitBars.value.map(({ done, booked }) => done + booked)));
const visitHeight = (minutes: number) => (minutes / mostMinutes.value) * VISIT_HEIGHT;
const barWidth = computed(() => Math.max(2, Math.min(5, props.scale.dayWidth * 0.8)));

const LOAD_HEIGHT = 36;
const loads = computed(() => {
  const seen = props.weeks.filter(({ monday }) => monday >= props.scale.from && monday < props.scale.until);
  const most = Math.max(1, ...seen.map(({ load }) => load));
  const weekOf = (week: SeasonWeek) => ({
    ...week,
    x: props.scale.x(week.monday),
    width: props.scale.dayWidth * 7,
    height: (week.load / most) * LOAD_HEIGHT,
  });
  return { weeks: seen.map(weekOf), most: seen.length > 0 ? most : null };
});
const todayX = computed(() => props.scale.x(props.today));
const todayWords = computed(() => DateTime.fromISO(props.today).toFormat('ccc d LLL'));
const todayIn = computed(() => props.today >= props.scale.from && props.today <= props.scale.until);
const inView = (from: string, until: string) => until >= props.scale.from && from <= props.scale.until;
const describe = (block: LaidBlock) =>
  t('to', {
    what: PHASE_NAMES[block.phase],
    day: dayWords(block.from, props.today),
    day2: dayWords(block.until, props.today),
    what2: block.own && props.followed.length > 0 ? t('theirOwn') : '',
    what3: DEVELOP_WORDS[phaseRule(block.phase, props.rules).develop],
  });
</script>

<template>
  <svg ref="drawing" class="season" :viewBox="`0 0 ${DRAWING.width} ${height}`" role="group" :aria-label="t('seasonOverWeeks')">
    <defs>
      <pattern id="s-sharpen" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" class="p-sun" />
        <line x1="0" y1="0" x2="0" y2="7" class="l-sun" />
      </pattern>
      <pattern id="s-compete" width="10" height="8" patternUnits="userSpaceOnUse">
        <rect width="10" height="8" class="p-clay" />
        <path d="M0 6L5 2L10 6" class="l-clay" />
      </pattern>
      <pattern id="s-recover" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" class="p-slate" />
        <circle cx="4" cy="4" r="1.1" class="l-slate" />
      </pattern>
      <pattern id="s-stay" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" class="l-stay" />
      </pattern>
    </defs>

    <g class="dates">
      <template v-for="tick in ticks" :key="tick.day">
        <text v-if="tick.month" class="month" :x="scale.x(tick.day)" :y="Y.months">{{ tick.month }}</text>
        <text v-if="tick.label" class="num" :x="scale.x(tick.day)" :y="Y.weeks">{{ tick.label }}</text>
      </template>
      <line :x1="scale.left" :x2="scale.right" :y1="Y.weeks + 5" :y2="Y.weeks + 5" />
    </g>
    <g class="heads">
      <text class="head" x="0" :y="Y.events">{{ t('events') }}</text>
      <text class="head" x="0" :y="Y.top - 14">{{ t('whatMayChange') }}</text>
      <template v-for="each in DEVELOP" :key="each">
        <text class="step" :x="scale.left - 8" :y="yOf(HEIGHT[each]) + 4" text-anchor="end">{{ DEVELOP_WORDS[each] }}</text>
        <line class="level" :x1="scale.left" :x2="scale.right" :y1="yOf(HEIGHT[each])" :y2="yOf(HEIGHT[each])" />
      </template>
      <text class="head" x="0" :y="Y.visits - 14">{{ t('visits') }}</text>
      <text class="sub" x="0" :y="Y.visits">{{ t('heightMinutes') }}</text>
      <text class="head" x="0" :y="Y.load - 14">{{ t('load') }}</text>
      <text class="sub" x="0" :y="Y.load">{{ t('weekSum') }}</text>
      <line class="floor" :x1="scale.left" :x2="scale.right" :y1="Y.base" :y2="Y.base" />
      <line class="floor" :x1="scale.left" :x2="scale.right" :y1="Y.visits + 3" :y2="Y.visits + 3" />
      <line class="floor" :x1="scale.left" :x2="scale.right" :y1="Y.load + 3" :y2="Y.load + 3" />
    </g>

    <g
      v-for="step in steps"
      :key="step.block.from + step.block.own"
      class="block"
      :class="[step.block.phase, { own: step.block.own && followed.length > 0 }]"
    >
      <rect
        class="body"
        :x="step.left"
        :y="step.top"
        :width="step.right - step.left"
        :height="Y.base - step.top"
        :tabindex="mayChange ? 0 : undefined"
        :role="mayChange ? 'button' : 'img'"
        :aria-label="describe(step.block)"
        @click="mayChange && emit('block', step.block)"
        @keydown.enter.prevent="mayChange && emit('block', step.block)"
      >
        <title>{{ describe(step.block) }}</title>
      </rect>
      <text v-if="step.right - step.left > PHASE_NAMES[step.block.phase].length * 7 + 4" class="name" :x="step.left + 4" :y="Y.names">
        {{ PHASE_NAMES[step.block.phase] }}
      </text>
    </g>
    <path class="stair" :d="stairs" />

    <g v-for="stay in stays" :key="stay.id" class="stay">
      <template v-if="inView(stay.from, stay.until)">
        <rect
          :x="scale.x(stay.from)"
          :y="Y.weeks + 6"
          :width="scale.x(addDays(stay.until, 1)) - scale.x(stay.from)"
          :height="height - Y.weeks - 8"
          fill="url(#s-stay)"
        >
          <title>{{ t('to2', { name: stay.name, day: dayWords(stay.from, today), day2: dayWords(stay.until, today) }) }}</title>
        </rect>
        <text class="sub" :x="Math.min(scale.x(stay.from), scale.right - stay.name.length * 6.2)" :y="Y.names + 13">{{ stay.name }}</text>
      </template>
    </g>

    <g class="loads">
      <rect
        v-for="week in loads.weeks"
        :key="`${week.monday}${week.planned}`"
        :class="{ planned: week.planned }"
        :x="week.x"
        :y="Y.load + 3 - week.height"
        :width="week.width"
        :height="week.height"
      >
        <title>{{ t('weekOf', { day: dayWords(week.monday, today), load: week.load, what: week.planned ? t('planned') : '' }) }}</title>
      </rect>
      <text v-if="loads.most !== null" class="sub" :x="scale.left + 2" :y="Y.load - LOAD_HEIGHT - 1">
        {{ t('highest', { most: loads.most }) }}
      </text>
    </g>
    <g class="visits">
      <g v-for="bar in visitBars" :key="bar.day">
        <title>{{ dayWords(bar.day, today) }}: {{ bar.who.join('; ') }}</title>
        <rect
          v-if="bar.done > 0"
          class="done"
          :x="scale.x(bar.day) - barWidth / 2"
          :y="Y.visits + 3 - visitHeight(bar.done)"
          :width="barWidth"
          :height="visitHeight(bar.done)"
        />
        <rect
          v-if="bar.booked > 0"
          class="booked"
          :x="scale.x(bar.day) - barWidth / 2"
          :y="Y.visits + 3 - visitHeight(bar.done + bar.booked)"
          :width="barWidth"
          :height="visitHeight(bar.booked)"
        />
      </g>
      <template v-for="day in proposed" :key="day">
        <line v-if="inView(day, day)" class="proposed" :x1="scale.x(day)" :x2="scale.x(day)" :y1="Y.visits + 2" :y2="Y.visits - 18" />
      </template>
    </g>

    <slot :top="Y.below" :bottom="Y.below + below" />

    <g
      v-for="mark in eventMarks"
      :key="mark.event.id"
      class="event"
      :class="[`of-${mark.event.importance}`, { away: !mark.event.at }]"
      tabindex="0"
      role="button"
      :aria-label="t('importance2', { whole: mark.whole, importance: mark.event.importance, what: mark.event.at ? '' : t('notAtIt') })"
      @click="emit('event', mark.event.id)"
      @keydown.enter.prevent="emit('event', mark.event.id)"
    >
      <title>{{ mark.words }}</title>
      <line
        :x1="mark.x"
        :x2="mark.x"
        :y1="mark.y - 9"
        :y2="mark.event.importance === 1 ? height - 2 : mark.event.importance === 2 ? Y.visits + 3 : Y.top - 8"
      />
      <path v-if="mark.event.importance === 1" class="flag" :d="`M${mark.x} ${mark.y - 9}h9v7h-9z`" />
      <text
        v-if="mark.row !== -1"
        :x="mark.flips ? mark.x - 5 : mark.x + (mark.event.importance === 1 ? 13 : 5)"
        :y="mark.y"
        :text-anchor="mark.flips ? 'end' : 'start'"
      >
        {{ mark.words }}
      </text>
      <rect class="reach" :x="mark.x - 12" :y="mark.y - 14" width="24" height="26" />
    </g>

    <g v-if="todayIn" class="today">
      <line :x1="todayX" :x2="todayX" :y1="Y.weeks + 6" :y2="height - 2" />
      <rect :x="todayX - 34" :y="height - 17" width="68" height="16" rx="3" />
      <text :x="todayX" :y="height - 5" text-anchor="middle">{{ todayWords }}</text>
    </g>

    <EdgeHandle
      v-for="{ edge, i, now, room } in handles"
      :key="i"
      :day="now.day"
      :today="today"
      :x="scale.x(now.day)"
      :y="handleY(now)"
      :earliest="room.earliest"
      :latest="room.latest"
      :words="edgeWords({ ...edge, day: now.day })"
      :day-at="scale.dayAt"
      @move="(day) => move(edge, day)"
      @keep="keep"
      @leave="moving = null"
      @focus="focused = i"
      @blur="focused = null"
    />
    <g v-if="hint" class="hint" :transform="`translate(${hint.x} ${Y.base - 66})`">
      <rect width="214" :height="hint.consequence ? 56 : 40" rx="4" />
      <text class="strong" x="10" y="17">{{ hint.words }}</text>
      <text x="10" y="33">{{ t('dayShiftWeek') }}</text>
      <text v-if="hint.consequence" class="warns" x="10" y="49">{{ hint.consequence }}</text>
    </g>
  </svg>
</template>

<style scoped>
.season {
  display: block;
  width: 100%;
  height: auto;
  user-select: none;
}

text {
  fill: var(--soft);
  font: 400 12px var(--words);
}

.month,
.head {
  fill: var(--ink);
  font-weight: 600;
}

.dates line,
.floor {
  stroke: var(--line);
}

.level {
  stroke: var(--line);
  stroke-dasharray: 1 4;
}

.body {
  cursor: pointer;
}

.body:focus-visible {
  outline: 2px solid var(--sun);
}

.block.build .body {
  fill: var(--spruce-soft);
}

.block.sharpen .body {
  fill: url('#s-sharpen');
}

.block.compete .body {
  fill: url('#s-compete');
}

.block.recover .body {
  fill: url('#s-recover');
}

.block.off .body {
  fill: var(--raised);
}

.block.own .body {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 4 3;
}

.name {
  fill: var(--ink);
  font-weight: 600;
  pointer-events: none;
}

.compete .name {
  fill: var(--clay-text);
}

.p-sun {
  fill: var(--sun-soft);
}

.l-sun {
  stroke: var(--sun);
  stroke-width: 1.6;
}

.p-clay {
  fill: var(--clay-soft);
}

.l-clay {
  fill: none;
  stroke: var(--clay);
  stroke-width: 1.2;
}

.p-slate {
  fill: var(--slate-soft);
}

.l-slate {
  fill: var(--slate);
}

.l-stay {
  stroke: var(--tick);
  stroke-opacity: 0.35;
}

.stay rect {
  pointer-events: none;
}

.stair {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 3.2;
  stroke-linejoin: round;
  pointer-events: none;
}

.loads rect {
  fill: var(--fan);
}

.loads rect.planned {
  fill: none;
  stroke: var(--tick);
  stroke-dasharray: 3 3;
}

.done {
  fill: var(--spruce);
}

.booked {
  fill: var(--paper);
  stroke: var(--spruce);
  stroke-width: 1.2;
}

.proposed {
  stroke: var(--spruce);
  stroke-width: 2;
  stroke-dasharray: 2 3;
}

.event {
  cursor: pointer;
}

.event line {
  stroke: var(--slate);
  stroke-width: 1.4;
}

.event.of-1 line {
  stroke-width: 2;
}

.event.of-2 line {
  stroke-dasharray: 5 3;
}

.event text {
  fill: var(--slate-text);
}

.event.of-1 text {
  font-weight: 600;
}

.event.away text {
  text-decoration: line-through;
}

.event.away line {
  stroke-opacity: 0.35;
}

.flag {
  fill: var(--slate);
}

.reach {
  fill: transparent;
}

.event:focus-visible {
  outline: none;
}

.event:focus-visible .reach {
  stroke: var(--sun);
  stroke-width: 2;
}

.today line {
  stroke: var(--sun);
  stroke-width: 2;
  pointer-events: none;
}

.today rect {
  fill: var(--sun);
}

.today text {
  fill: #1e2a26;
  font-weight: 600;
}

.hint {
  pointer-events: none;
}

.hint rect {
  fill: var(--paper);
  stroke: var(--ink);
}

.hint .strong {
  fill: var(--ink);
  font-weight: 600;
}

.hint .warns {
  fill: var(--clay-text);
  font-weight: 600;
}
</style>
