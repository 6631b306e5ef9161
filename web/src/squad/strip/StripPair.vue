<script setup lang="ts">
import { computed } from 'vue';
import { formatValue } from '@pace-bend/core/measure';
import type { StripCell } from '@pace-bend/core/record';
import { arcPath, pointAt, shareOfFan, type FanGeometry } from '../../parts/fan.ts';
import { t } from '../../words/squad.ts';

/** The bend pair at its smallest: two fans, the reference, today's needles, and an arrow for a side that really changed. */
const props = defineProps<{ cell: StripCell }>();

const W = 72;
const FANS: Record<'left' | 'right' | 'midline', FanGeometry> = {
  left: { x: W / 2 - 3, y: 31, radius: 21, opens: -1 },
  right: { x: W / 2 + 3, y: 31, radius: 21, opens: 1 },
  midline: { x: W / 2 - 10, y: 31, radius: 21, opens: 1 },
};
const RIM: Record<keyof typeof FANS, string> = {
  left: arcPath(FANS.left, 0, 1),
  right: arcPath(FANS.right, 0, 1),
  midline: arcPath(FANS.midline, 0, 1),
};

const drawn = computed(() => {
  const { motion, sides, bands } = props.cell.comparison;
  return sides.map(({ side, now, short }) => {
    const fan = FANS[side];
    const band = bands
      .map(({ low, high }) => {
        const [a, b] = [shareOfFan(low, motion), shareOfFan(high, motion)].sort((p, q) => p - q) as [number, number];
        return arcPath(fan, Math.max(0, a - 0.02), Math.min(1, b + 0.02));
      })
      .join('');
    const end = now && pointAt(fan, shareOfFan(now.value, motion), fan.radius + 4);
    return { side, rim: RIM[side], band, needle: end ? `M${fan.x} ${fan.y}L${end[0]} ${end[1]}` : '', short };
  });
});
const arrows = computed(() =>
  props.cell.changes.map(({ side, verdict }) => ({
    side,
    up: verdict.gain > 0,
    x: side === 'right' ? W - 8 : side === 'left' ? 8 : W - 8,
  })),
);
const label = computed(() =>
  [
    ...props.cell.comparison.sides.map(
      (each) =>
        `${each.side} ${each.now ? formatValue(each.now.value, props.cell.comparison.motion.unit) : t('notRead')}${each.short ? t('short') : ''}`,
    ),
    ...props.cell.changes.map(({ side, verdict }) => `${side} ${verdict.words}`),
  ].join('; '),
);
</script>

<template>
  <svg :width="W" height="40" :viewBox="`0 0 ${W} 40`" role="img" :aria-label="label">
    <title>{{ label }}</title>
    <template v-for="each in drawn" :key="each.side">
      <path class="rim" :d="each.rim" />
      <path v-if="each.band" class="band" :d="each.band" />
      <path v-if="each.needle" class="needle" :class="{ low: each.short }" :d="each.needle" />
    </template>
    <path
      v-for="arrow in arrows"
      :key="arrow.side"
      class="arrow"
      :class="{ up: arrow.up }"
      :d="arrow.up ? `M${arrow.x - 5} 39L${arrow.x} 32L${arrow.x + 5} 39Z` : `M${arrow.x - 5} 32L${arrow.x} 39L${arrow.x + 5} 32Z`"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
}

path {
  fill: none;
}

.rim {
  stroke: var(--fan);
  stroke-width: 5;
}

.band {
  stroke: var(--band);
  stroke-width: 5;
}

.needle {
  stroke: var(--spruce);
  stroke-width: 2.2;
  stroke-linecap: round;
}

.needle.low {
  stroke: var(--clay);
}

.arrow {
  fill: var(--clay);
}

.arrow.up {
  fill: var(--spruce);
}
</style>
