<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { DateTime } from 'luxon';
import type { Motion } from '@pace-bend/core/body';
import { FAN, type Outlook } from '@pace-bend/core/cycle';
import { formatNumber } from '@pace-bend/core/measure';
import { amount, chanceWords } from './words.ts';
import { endDensity } from './density.ts';
import { t } from '../../words/athlete.ts';

/**
 * Schedules side by side on one axis: where the level may go, in bands that hold 50, 80 and 95 of 100 paths, with the line of the goal through
 * all of them and a gate at the end: filled where the goal is reached.
 */
const props = defineProps<{
  motion: Motion;
  goal: number | null;
  today: string;
  /** Whether somebody is at it: what is not drawn yet will be. */
  working: boolean;
  /** Days from today on which something is on. */
  events: readonly number[];
  end: number;
  panels: readonly {
    readonly letter: string;
    readonly title: string;
    readonly outlook: Outlook | null;
    readonly away: { readonly fromWeek: number; readonly weeks: number } | null;
  }[];
}>();

const drawing = useTemplateRef<SVGSVGElement>('drawing');
defineExpose({ drawing });

const HEIGHT = 300;
const TOP = 12;
const BOTTOM = 274;
const AXIS = 44;
const GATE = 44;
const WIDTH = 700;
const width = computed(() => (WIDTH - AXIS) / props.panels.length);
const plot = computed(() => width.value - GATE - 12);

const range = computed(() => {
  const levels = props.panels.flatMap(({ outlook }) =>
    outlook ? [...outlook.fan.flatMap(({ levels }) => [levels[0]!, levels.at(-1)!]), outlook.ends[1]!, outlook.ends[99]!] : [],
  );
  const all = [...levels, ...(props.goal === null ? [] : [props.goal])];
  if (all.length === 0) return { low: 0, high: 1 };
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const pad = Math.max(0.5, (high - low) * 0.06);
  return { low: low - pad, high: high + pad };
});
const upward = computed(() => props.motion.better === 'higher');
const yOf = (level: number) => {
  const share = (level - range.value.low) / (range.value.high - range.value.low);
  return upward.value ? BOTTOM - share * (BOTTOM - TOP) : TOP + share * (BOTTOM - TOP);
};
const xOf = (day: number) => (props.end === 0 ? 0 : (day / props.end) * plot.value);
const ticks = computed(() => {
  const { low, high } = range.value;
  const step = [0.5, 1, 2, 5, 10, 20].find((each) => (high - low) / each <= 7) ?? 50;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((high - first) / step) + 1) }, (_, i) => first + i * step);
});
const BANDS = [
  [0, 6],
  [1, 5],
  [2, 4],
] as const;
const path = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
const bandPath = (outlook: Outlook, low: number, high: number) =>
  `${path([
    ...outlook.fan.map(({ day, levels }) => [xOf(day), yOf(levels[high]!)] as const),
    ...[...outlook.fan].reverse().map(({ day, levels }) => [xOf(day), yOf(levels[low]!)] as const),
  ])}Z`;
const middlePath = (outlook: Outlook) => path(outlook.fan.map(({ day, levels }) => [xOf(day), yOf(levels[FAN.indexOf(0.5)]!)] as const));

/** The gate: how often paths end at a level, as a shape that leans to the right of the last day. */
function gate(outlook: Outlook, part: 'reached' | 'missed' | 'all'): string {
  const { goal } = props;
  const density = endDensity(outlook.ends).filter(({ level }) => {
    if (part === 'all' || goal === null) return true;
    const reached = upward.value ? level >= goal : level <= goal;
    return reached === (part === 'reached');
  });
  if (density.length < 2) return '';
  const most = Math.max(...endDensity(outlook.ends).map((each) => each.density));
  const points = density.map(({ level, density: height }) => [plot.value + 3 + (height / most) * (GATE - 6), yOf(level)] as const);
  return `${path([[plot.value + 3, yOf(density[0]!.level)], ...points, [plot.value + 3, yOf(density.at(-1)!.level)]])}Z`;
}
const dateOf = (day: number) => DateTime.fromISO(props.today).plus({ days: day }).toFormat('d LLL');
const describe = ({ title, outlook }: (typeof props.panels)[number]) => {
  if (!outlook) return t('beingWorkedOut', { title });
  const last = outlook.fan.at(-1)!.levels;
  const ends = t('halfPathsEndAbove', {
    amount: amount(last[3]!, props.motion.unit),
    amount2: amount(last[1]!, props.motion.unit),
    amount3: amount(last[5]!, props.motion.unit),
  });
  return `${title}: ${outlook.chance === null ? ends : t('n100PathsReachGoal', { chance: chanceWords(outlook.chance), ends })}`;
};
const today = computed(() => props.panels.find(({ outlook }) => outlook)?.outlook?.fan[0]?.levels[3] ?? null);
</script>

<template>
  <svg ref="drawing" class="fans" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="group" :aria-label="t('whereLevelMayGo')">
    <defs>
      <pattern id="away" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" class="hatch" />
      </pattern>
    </defs>
    <g class="axis">
      <template v-for="tick in ticks" :key="tick">
        <line :x1="AXIS" :x2="WIDTH" :y1="yOf(tick)" :y2="yOf(tick)" />
        <text :x="AXIS - 8" :y="yOf(tick) + 4" text-anchor="end">{{ formatNumber(tick, tick % 1 === 0 ? 0 : 1) }}</text>
      </template>
    </g>
    <g
      v-for="(panel, p) in panels"
      :key="panel.letter"
      :transform="`translate(${AXIS + p * width} 0)`"
      :class="`tone-${panel.letter}`"
      role="img"
      :aria-label="describe(panel)"
    >
      <line class="edge" x1="0" x2="0" :y1="TOP" :y2="BOTTOM" />
      <rect
        v-if="panel.away"
        :x="xOf(Math.min(end, panel.away.fromWeek * 7))"
        :width="Math.max(0, xOf(Math.min(end, (panel.away.fromWeek + panel.away.weeks) * 7)) - xOf(Math.min(end, panel.away.fromWeek * 7)))"
        :y="TOP"
        :height="BOTTOM - TOP"
        fill="url(#away)"
      />
      <template v-if="panel.outlook">
        <path v-for="[low, high] in BANDS" :key="low" :d="bandPath(panel.outlook, low, high)" class="band" />
        <line v-for="day in events" :key="day" class="event" :x1="xOf(day)" :x2="xOf(day)" :y1="TOP" :y2="BOTTOM" />
        <path :d="middlePath(panel.outlook)" class="middle" />
        <path v-if="goal === null" :d="gate(panel.outlook, 'all')" class="gate open" />
        <template v-else>
          <path :d="gate(panel.outlook, 'missed')" class="gate open" />
          <path :d="gate(panel.outlook, 'reached')" class="gate full" />
        </template>
        <line class="post" :x1="plot" :x2="plot" :y1="TOP" :y2="BOTTOM" />
      </template>
      <text v-else :x="plot / 2" :y="(TOP + BOTTOM) / 2" text-anchor="middle" class="waiting">
        {{ working ? t('working') : t('leftOff') }}
      </text>
      <text class="date" x="0" :y="HEIGHT - 6">{{ dateOf(0) }}</text>
      <text class="date" :x="plot" :y="HEIGHT - 6" text-anchor="middle">{{ dateOf(end) }}</text>
    </g>
    <g v-if="goal !== null" class="goal">
      <line :x1="AXIS" :x2="WIDTH" :y1="yOf(goal)" :y2="yOf(goal)" />
      <text :x="AXIS + 4" :y="yOf(goal) - 5">{{ t('goal4', { amount: amount(goal, motion.unit) }) }}</text>
    </g>
    <circle v-if="today !== null" class="now" :cx="AXIS" :cy="yOf(today)" r="4.5" />
  </svg>
</template>

<style scoped>
.fans {
  display: block;
  width: 100%;
  height: auto;
}

text {
  fill: var(--soft);
  font: 400 12px var(--words);
}

.axis line {
  stroke: var(--line-faint);
}

.edge {
  stroke: var(--line);
}

.band {
  fill: var(--tone);
  fill-opacity: 0.2;
}

.middle {
  fill: none;
  stroke: var(--tone);
  stroke-width: 2.2;
}

.gate {
  stroke: var(--tone);
  stroke-width: 1.2;
}

.gate.open {
  fill: var(--paper);
}

.gate.full {
  fill: var(--tone);
}

.post {
  stroke: var(--tone);
  stroke-width: 1.6;
}

.hatch {
  stroke: var(--tick);
  stroke-width: 1;
  stroke-opacity: 0.5;
}

.event {
  stroke: var(--slate-text);
  stroke-width: 1.2;
  stroke-dasharray: 5 3;
}

.goal line {
  stroke: var(--ink);
  stroke-width: 1.6;
}

.goal text {
  fill: var(--ink);
  font-weight: 600;
}

.now {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
