<script setup lang="ts">
import { computed } from 'vue';
import { formatValue, type ReferenceBand } from '@pace-bend/core/measure';
import type { Motion, Side } from '@pace-bend/core/body';
import { arcPath, pointAt, shareOfFan, type FanGeometry } from './fan.ts';
import { t } from '../words/parts.ts';

/**
 * The bend pair: two mirrored fans, left and right, opening from the middle, with the reference band and a notch at
 * its middle, the baseline as a dashed tick, an earlier value as a thin needle and today's as a strong one.
 */
export interface FanValues {
  readonly side: Side;
  readonly now: number | null;
  readonly earlier: number | null;
  readonly baseline: number | null;
  readonly low: boolean;
}

const props = withDefaults(defineProps<{ motion: Motion; fans: readonly FanValues[]; bands: readonly ReferenceBand[]; width?: number }>(), {
  width: 236,
});

const height = computed(() => Math.round(props.width * 0.335));
const drawn = computed(() =>
  props.fans.map((values) => {
    const opens: -1 | 1 = values.side === 'left' ? -1 : 1;
    const scale = props.width / 250;
    const middle = values.side === 'midline' ? props.width / 2 - 31 * scale : props.width / 2 + opens * 10 * scale;
    const fan: FanGeometry = { x: middle, y: height.value - 6 * scale, radius: 64 * scale, opens };
    const at = (value: number) => shareOfFan(value, props.motion);
    const bands = props.bands.map((band) => {
      const [a, b] = [at(band.low), at(band.high)].sort((p, q) => p - q) as [number, number];
      // A single round value still has to be seen: it is drawn two hundredths of the sweep wide.
      return arcPath(fan, Math.max(0, Math.min(a, b - 0.02)), Math.max(b, a + 0.02));
    });
    const across = (value: number, half: number) => {
      const [[x0, y0], [x1, y1]] = [pointAt(fan, at(value), fan.radius - half), pointAt(fan, at(value), fan.radius + half)];
      return `M${x0} ${y0}L${x1} ${y1}`;
    };
    const needle = (value: number, length: number) => {
      const [x, y] = pointAt(fan, at(value), length);
      return `M${fan.x} ${fan.y}L${x} ${y}`;
    };
    const tick = values.baseline === null ? null : across(values.baseline, 10 * scale);
    return {
      ...values,
      fan,
      rim: arcPath(fan, 0, 1),
      bands,
      middles: props.bands.map((band) => across(band.middle, 6 * scale)),
      tick,
      now: values.now === null ? null : needle(values.now, fan.radius + 7 * scale),
      earlier: values.earlier === null ? null : needle(values.earlier, fan.radius + 7 * scale),
      stroke: 12 * scale,
    };
  }),
);

const label = computed(() =>
  props.fans
    .map((fan) => {
      const now = fan.now === null ? t('notMeasured') : formatValue(fan.now, props.motion.unit);
      return `${fan.side} ${now}${fan.low ? t('short') : ''}${fan.baseline === null ? '' : t('baseline', { value: formatValue(fan.baseline, props.motion.unit) })}`;
    })
    .join('; '),
);
</script>

<template>
  <svg
    class="pair"
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`${motion.name}, ${motion.testPosition}: ${label}`"
  >
    <g v-for="side in drawn" :key="side.side">
      <path :d="side.rim" class="rim" :stroke-width="side.stroke" />
      <path v-for="(band, i) in side.bands" :key="i" :d="band" class="band" :stroke-width="side.stroke" />
      <path v-for="(notch, i) in side.middles" :key="`middle-${i}`" :d="notch" class="middle" />
      <path v-if="side.tick" :d="side.tick" class="tick" />
      <path v-if="side.earlier" :d="side.earlier" class="earlier" />
      <template v-if="side.now">
        <path :d="side.now" class="needle" :class="{ low: side.low }" />
        <circle :cx="side.fan.x" :cy="side.fan.y" r="3.4" class="hub" :class="{ low: side.low }" />
      </template>
      <circle v-else :cx="side.fan.x" :cy="side.fan.y" r="2.6" class="hub none" />
    </g>
  </svg>
</template>

<style scoped>
.pair {
  display: block;
  max-width: 100%;
}

.rim {
  fill: none;
  stroke: var(--fan);
}

.band {
  fill: none;
  stroke: var(--band);
}

.middle {
  stroke: var(--paper);
  stroke-width: 2;
}

.tick {
  stroke: var(--tick);
  stroke-width: 1.8;
  stroke-dasharray: 3 2;
}

.needle {
  stroke: var(--spruce);
  stroke-width: 3.4;
  stroke-linecap: round;
}

.needle.low {
  stroke: var(--clay);
}

.earlier {
  stroke: var(--soft);
  stroke-width: 1.6;
  stroke-linecap: round;
}

.hub {
  fill: var(--spruce);
}

.hub.low {
  fill: var(--clay);
}

.hub.none {
  fill: var(--tick);
}
</style>
