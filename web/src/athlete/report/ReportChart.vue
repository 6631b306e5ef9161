<script setup lang="ts">
import { DateTime } from 'luxon';
import { computed, ref } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import { formatNumber } from '@pace-bend/core/measure';
import type { SideSeries } from '../../parts/series.ts';

/** One motion and side over a season, drawn for paper: readings before and after work, the level with its band, the goal. */
const props = defineProps<{ motion: Motion; series: SideSeries; from: string; to: string; goal: number | null; label: string }>();
const WIDTH = 340;
const HEIGHT = 130;
const LEFT = 34;
const BOTTOM = 18;
const DAY_MS = 86_400_000;
const drawing = ref<SVGSVGElement | null>(null);
defineExpose({ drawing });

const span = computed(() => ({ from: Date.parse(`${props.from}T00:00:00Z`), to: Date.parse(`${props.to}T00:00:00Z`) + DAY_MS }));
const within = (at: number) => at >= span.value.from && at <= span.value.to;
const points = computed(() => props.series.points.filter(({ at }) => within(at)));
const level = computed(() =>
  props.series.level.points.map((point) => ({ ...point, at: point.day * DAY_MS })).filter(({ at }) => within(at)),
);
const bounds = computed(() => {
  const values = [
    ...points.value.flatMap(({ before, after }) => [before, after]),
    ...level.value.flatMap(({ low, high }) => [low, high]),
    props.goal,
  ].filter((value): value is number => value !== null);
  const [low, high] = values.length === 0 ? [0, 1] : [Math.min(...values), Math.max(...values)];
  const pad = Math.max(0.5, (high - low) * 0.08);
  return { low: low - pad, high: high + pad };
});
const x = (at: number) => LEFT + ((at - span.value.from) / (span.value.to - span.value.from)) * (WIDTH - LEFT - 6);
const y = (value: number) => 6 + ((bounds.value.high - value) / (bounds.value.high - bounds.value.low)) * (HEIGHT - BOTTOM - 12);
const path = (values: readonly { at: number; value: number }[]) =>
  values.map(({ at, value }, i) => `${i === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(value).toFixed(1)}`).join('');
const band = computed(() => {
  const up = level.value.map(({ at, high }) => ({ at, value: high }));
  const down = [...level.value].reverse().map(({ at, low }) => ({ at, value: low }));
  return level.value.length > 1 ? `${path([...up, ...down])}Z` : '';
});
const line = computed(() => (level.value.length > 1 ? path(level.value.map(({ at, level: value }) => ({ at, value }))) : ''));
const steps = computed(() => {
  const { low, high } = bounds.value;
  const raw = (high - low) / 3;
  const step = [0.5, 1, 2, 5, 10, 20, 50].find((each) => each >= raw) ?? 100;
  const first = Math.ceil(low / step);
  return Array.from({ length: Math.max(0, Math.floor(high / step) - first + 1) }, (_, i) => (first + i) * step);
});
const dayWords = (day: string) => DateTime.fromISO(day).toFormat('d LLL');
</script>

<template>
  <svg ref="drawing" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="label">
    <g v-for="step in steps" :key="step">
      <line class="rule" :x1="LEFT" :x2="WIDTH - 6" :y1="y(step)" :y2="y(step)" />
      <text class="tick" :x="LEFT - 4" :y="y(step) + 3" text-anchor="end">{{ formatNumber(step, motion.unit === 'deg' ? 0 : 1) }}</text>
    </g>
    <path v-if="band" class="band" :d="band" />
    <path v-if="line" class="level" :d="line" />
    <line v-if="goal !== null" class="goal" :x1="LEFT" :x2="WIDTH - 6" :y1="y(goal)" :y2="y(goal)" />
    <template v-for="point in points" :key="point.visitId">
      <path v-if="point.after !== null" class="after" :d="`M${x(point.at)} ${y(point.after) - 3.5}l3.5 3.5l-3.5 3.5l-3.5 -3.5Z`" />
      <circle v-if="point.before !== null" class="before" :cx="x(point.at)" :cy="y(point.before)" r="3" />
    </template>
    <text class="tick" :x="LEFT" :y="HEIGHT - 4">{{ dayWords(from) }}</text>
    <text class="tick" :x="WIDTH - 6" :y="HEIGHT - 4" text-anchor="end">{{ dayWords(to) }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
}

.rule {
  stroke: var(--line);
  stroke-width: 0.6;
}

.tick {
  fill: var(--soft);
  font-size: 9px;
}

.band {
  fill: var(--band);
}

.level {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1.6;
}

.goal {
  stroke: var(--sun-text);
  stroke-width: 1.2;
  stroke-dasharray: 4 3;
}

.before {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.4;
}

.after {
  fill: var(--spruce);
}
</style>
