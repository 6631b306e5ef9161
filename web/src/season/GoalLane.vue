<script setup lang="ts">
import { computed } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import { FAN, type GoalStanding, type Outlook } from '@pace-bend/core/cycle';
import { addDays } from '@pace-bend/core/load';
import { formatNumber } from '@pace-bend/core/measure';
import type { LevelPoint } from '@pace-bend/core/trend';
import { endDensity } from '../athlete/whatIf/density.ts';
import { amount } from '../athlete/whatIf/words.ts';
import type { Scale } from './scale.ts';
import { t } from '../words/season.ts';

/** One motion over the season: readings before and after work, the level behind them with its band, the path to the goal, and where it may go. */
const props = defineProps<{
  scale: Scale;
  motion: Motion;
  goal: number;
  byDay: string;
  today: string;
  top: number;
  bottom: number;
  readings: readonly { readonly day: string; readonly before: number | null; readonly after: number | null }[];
  level: readonly (LevelPoint & { readonly on: string })[];
  standing: GoalStanding | null;
  outlook: Outlook | null;
}>();

const inView = (day: string) => day >= props.scale.from && day <= props.scale.until;
const range = computed(() => {
  const values = [
    props.goal,
    ...props.readings
      .filter(({ day }) => inView(day))
      .flatMap(({ before, after }) => [before, after].flatMap((each) => (each === null ? [] : [each]))),
    ...props.level.filter(({ on }) => inView(on)).flatMap(({ low, high }) => [low, high]),
    ...(props.outlook?.fan.flatMap(({ day, levels }) => (inView(addDays(props.today, day)) ? [levels[0]!, levels.at(-1)!] : [])) ?? []),
  ];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const pad = Math.max(0.5, (high - low) * 0.06);
  return { low: low - pad, high: high + pad };
});
const yOf = (level: number) => {
  const share = (level - range.value.low) / (range.value.high - range.value.low);
  return props.motion.better === 'higher'
    ? props.bottom - share * (props.bottom - props.top)
    : props.top + share * (props.bottom - props.top);
};
const ticks = computed(() => {
  const { low, high } = range.value;
  const step = [0.5, 1, 2, 5, 10, 20].find((each) => (high - low) / each <= 6) ?? 50;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((high - first) / step) + 1) }, (_, i) => first + i * step);
});
const line = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
const seen = computed(() => props.level.filter(({ on }) => inView(on)));
const past = computed(() =>
  seen.value.length < 2
    ? ''
    : `${line([
        ...seen.value.map(({ on, high }) => [props.scale.x(on), yOf(high)] as const),
        ...[...seen.value].reverse().map(({ on, low }) => [props.scale.x(on), yOf(low)] as const),
      ])}Z`,
);
const middle = computed(() => line(seen.value.map(({ on, level }) => [props.scale.x(on), yOf(level)] as const)));
const ahead = computed(() =>
  (props.outlook?.fan ?? []).map(({ day, levels }) => ({ on: addDays(props.today, day), levels })).filter(({ on }) => inView(on)),
);
const BANDS = [
  [0, 6],
  [1, 5],
  [2, 4],
] as const;
const band = (low: number, high: number) =>
  `${line([
    ...ahead.value.map(({ on, levels }) => [props.scale.x(on), yOf(levels[high]!)] as const),
    ...[...ahead.value].reverse().map(({ on, levels }) => [props.scale.x(on), yOf(levels[low]!)] as const),
  ])}Z`;
const aheadMiddle = computed(() => line(ahead.value.map(({ on, levels }) => [props.scale.x(on), yOf(levels[FAN.indexOf(0.5)]!)] as const)));
const path = computed(() => {
  if (!props.standing) return '';
  const { path: way, shares } = props.standing;
  return line(
    shares.flatMap((share, i) => {
      const on = addDays(way.fromDay, i);
      return inView(on) ? [[props.scale.x(on), yOf(way.fromLevel + (way.goal - way.fromLevel) * share)] as const] : [];
    }),
  );
});
/** The gate on the goal's day: how often paths end at a level, filled where the goal is reached. */
const GATE = 34;
function gate(reached: boolean): string {
  if (!props.outlook || !inView(props.byDay)) return '';
  const all = endDensity(props.outlook.ends);
  const part = all.filter(({ level }) => (props.motion.better === 'higher' ? level >= props.goal : level <= props.goal) === reached);
  if (part.length < 2) return '';
  const most = Math.max(...all.map(({ density }) => density));
  const x = props.scale.x(props.byDay);
  const room = Math.min(GATE, props.scale.right - x + 6);
  return `${line([[x, yOf(part[0]!.level)], ...part.map(({ level, density }) => [x + (density / most) * room, yOf(level)] as const), [x, yOf(part.at(-1)!.level)]])}Z`;
}
</script>

<template>
  <g class="lane">
    <g class="axis">
      <template v-for="tick in ticks" :key="tick">
        <line :x1="scale.left" :x2="scale.right" :y1="yOf(tick)" :y2="yOf(tick)" />
        <text :x="scale.left - 8" :y="yOf(tick) + 4" text-anchor="end">{{ formatNumber(tick, tick % 1 === 0 ? 0 : 1) }}</text>
      </template>
    </g>
    <path v-if="past" :d="past" class="band known" />
    <template v-if="ahead.length > 1">
      <path v-for="[low, high] in BANDS" :key="low" :d="band(low, high)" class="band" />
      <path :d="aheadMiddle" class="middle" />
      <path :d="gate(false)" class="gate open" />
      <path :d="gate(true)" class="gate full" />
    </template>
    <path :d="middle" class="middle" />
    <path v-if="path" :d="path" class="path" />
    <line class="goal" :x1="scale.x(standing?.path.fromDay ?? today)" :x2="scale.x(byDay)" :y1="yOf(goal)" :y2="yOf(goal)" />
    <text class="goal-words" :x="scale.x(standing?.path.fromDay ?? today) + 4" :y="yOf(goal) - 5">{{
      t('goal', { amount: amount(goal, motion.unit) })
    }}</text>
    <template v-for="each in readings" :key="each.day">
      <template v-if="inView(each.day)">
        <line
          v-if="each.before !== null && each.after !== null"
          class="visit"
          :x1="scale.x(each.day)"
          :x2="scale.x(each.day)"
          :y1="yOf(each.before)"
          :y2="yOf(each.after)"
        />
        <circle v-if="each.before !== null" class="before" :cx="scale.x(each.day)" :cy="yOf(each.before)" r="3.6" />
        <path v-if="each.after !== null" class="after" :d="`M${scale.x(each.day)} ${yOf(each.after) - 4.4}l4.2 4.4l-4.2 4.4l-4.2 -4.4z`" />
      </template>
    </template>
  </g>
</template>

<style scoped>
text {
  fill: var(--soft);
  font: 400 12px var(--words);
}

.axis line {
  stroke: var(--line-faint);
}

.band {
  fill: var(--plum);
  fill-opacity: 0.17;
}

.middle {
  fill: none;
  stroke: var(--plum);
  stroke-width: 2.2;
}

.path {
  fill: none;
  stroke: var(--sun-text);
  stroke-width: 1.8;
  stroke-dasharray: 1.5 4;
  stroke-linecap: round;
}

.goal {
  stroke: var(--ink);
  stroke-width: 1.6;
}

.goal-words {
  fill: var(--ink);
  font-weight: 600;
}

.visit {
  stroke: var(--spruce);
  stroke-width: 1.2;
}

.before {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.8;
}

.after {
  fill: var(--spruce);
}

.gate {
  stroke: var(--plum);
  stroke-width: 1.2;
}

.gate.open {
  fill: var(--paper);
}

.gate.full {
  fill: var(--plum);
}
</style>
