<script setup lang="ts">
import { computed } from 'vue';
import type { Side } from '@pace-bend/core/body';
import { t } from '../words/coach.ts';

/** Left and right over the visits, small: more range is up. */
const props = defineProps<{
  sides: readonly { readonly side: Side; readonly points: readonly { readonly on: string; readonly value: number }[] }[];
  better: 'higher' | 'lower';
  label: string;
}>();

const [WIDTH, HEIGHT, PAD] = [96, 34, 3];
const paths = computed(() => {
  const all = props.sides.flatMap((side) => side.points);
  const times = all.map((point) => Date.parse(point.on));
  const values = all.map((point) => point.value);
  const [t0, t1, low, high] = [Math.min(...times), Math.max(...times), Math.min(...values), Math.max(...values)];
  const x = (on: string) => PAD + (t1 === t0 ? 0.5 : (Date.parse(on) - t0) / (t1 - t0)) * (WIDTH - 2 * PAD);
  const share = (value: number) => (high === low ? 0.5 : (value - low) / (high - low));
  const y = (value: number) => PAD + (props.better === 'higher' ? 1 - share(value) : share(value)) * (HEIGHT - 2 * PAD);
  return props.sides.map((side) => ({
    side: side.side,
    d: side.points.map((point, i) => `${i === 0 ? 'M' : 'L'}${x(point.on).toFixed(1)} ${y(point.value).toFixed(1)}`).join(''),
    end: { x: x(side.points.at(-1)!.on), y: y(side.points.at(-1)!.value) },
  }));
});
</script>

<template>
  <span class="trend">
    <svg
      :width="WIDTH"
      :height="HEIGHT"
      role="img"
      :aria-label="`${label}: ${sides.map((side) => t('values', { side: side.side, count: side.points.length })).join(', ')}`"
    >
      <g v-for="path in paths" :key="path.side" :class="path.side">
        <path :d="path.d" />
        <circle :cx="path.end.x" :cy="path.end.y" r="2.4" />
      </g>
    </svg>
    <span class="soft small">{{ label }}</span>
  </span>
</template>

<style scoped>
.trend {
  display: grid;
  min-width: 0;
}

.small {
  line-height: 1.2;
  overflow-wrap: anywhere;
}

path {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1.8;
}

circle {
  fill: var(--spruce);
}

.right path {
  stroke: var(--slate);
  stroke-dasharray: 4 2;
}

.right circle {
  fill: var(--slate);
}
</style>
