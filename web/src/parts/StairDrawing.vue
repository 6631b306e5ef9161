<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useId } from 'vue';
import { formatNumber, type ReferenceBand } from '@pace-bend/core/measure';
import { phaseFamily, type AxisUnit, type Cue } from '@pace-bend/core/method';
import type { PredictedEdge } from '@pace-bend/core/session';
import PhaseFills from './PhaseFills.vue';
import { layOutStair, type StairLayout } from './stair.ts';
import StairLive from './StairLive.vue';
import StairPlayhead from './StairPlayhead.vue';
import { t } from '../words/parts.ts';

/** The stair: treads are holds, hatched columns contractions, risers advances. The same drawing carries the playhead at the table. */
const props = withDefaults(
  defineProps<{
    cues: readonly Cue[];
    better: 'higher' | 'lower';
    unit: AxisUnit;
    label: string;
    height: number;
    bands?: readonly ReferenceBand[];
    /** Reads the moment of the whole line; asked by the playhead alone, so that a frame moves it and redraws nothing else. */
    playhead?: (() => number) | undefined;
    /** Edges read at the table. */
    readEdges?: readonly { readonly atLineMs: number; readonly value: number }[];
    /** Where the limb really is now, as a device says it; asked by its mark alone. */
    liveEdge?: (() => number | null) | undefined;
    /** Where the edge is expected after each round, and the band around it. */
    predicted?: readonly PredictedEdge[];
  }>(),
  { bands: () => [], playhead: undefined, liveEdge: undefined, readEdges: () => [], predicted: () => [] },
);
defineSlots<{ default?: (props: { stair: StairLayout }) => unknown }>();

const frame = ref<HTMLElement | null>(null);
const width = ref(640);
const hatch = useId();
let observer: ResizeObserver | null = null;
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    width.value = Math.max(240, Math.round(entry!.contentRect.width));
  });
  observer.observe(frame.value!);
});
onBeforeUnmount(() => observer?.disconnect());

const stair = computed(() =>
  layOutStair(props.cues, props.better, { width: width.value, height: props.height, ...(props.unit === 'of10' ? { base: 0 } : {}) }, [
    ...props.readEdges.map((edge) => edge.value),
    ...props.predicted.flatMap((edge) => [edge.reading.low, edge.reading.high]),
  ]),
);
/** The prediction along the ends of the rounds: a dashed line, and where nine readings in ten would be. */
const forecast = computed(() => {
  const points = props.predicted.flatMap((edge) => {
    const last = props.cues.findLast((cue) => cue.round === edge.round);
    const column = last && stair.value.columns.find((each) => each.index === last.index);
    return column ? [{ x: column.x + column.width, ...edge }] : [];
  });
  const [first] = props.cues;
  if (points.length === 0 || !first) return null;
  const { yAt, left } = stair.value;
  const start = `${left} ${yAt(first.edge)}`;
  const line = (of: (point: (typeof points)[number]) => number) => points.map((point) => `${point.x} ${yAt(of(point))}`);
  return {
    path: `M${start}L${line((point) => point.expected).join('L')}`,
    band: `M${start}L${line((point) => point.reading.high).join('L')}L${line((point) => point.reading.low)
      .reverse()
      .join('L')}Z`,
  };
});
const shades = computed(() =>
  props.bands
    .filter((band) => stair.value.shows(band.low) || stair.value.shows(band.high))
    .map((band) => {
      const [a, b] = [stair.value.yAt(band.low), stair.value.yAt(band.high)].sort((p, q) => p - q) as [number, number];
      return { y: a, height: Math.max(2, b - a) };
    }),
);
const marks = computed(() =>
  props.readEdges.map((edge) => ({ x: stair.value.xAt(edge.atLineMs), y: stair.value.yAt(edge.value), value: edge.value })),
);
/** Where cautions end the way; a line kept before there were limits has none. */
const furthest = computed(() => props.cues.find((cue) => typeof cue.furthest === 'number')?.furthest ?? null);
const unitSign = computed(() => (props.unit === 'deg' ? '°' : ''));
</script>

<template>
  <div ref="frame" class="stair" :style="{ height: `${height}px` }">
    <svg :width="width" :height="height" :role="$slots.default ? 'group' : 'img'" :aria-label="label">
      <PhaseFills :prefix="hatch" />
      <g class="grid">
        <template v-for="tick in stair.yTicks" :key="tick.value">
          <path :d="`M${stair.left} ${tick.y}H${stair.right}`" />
          <text :x="stair.left - 7" :y="tick.y + 4" text-anchor="end">
            {{ formatNumber(tick.value, Number.isInteger(tick.value) ? 0 : 1) }}{{ unitSign }}
          </text>
        </template>
      </g>
      <rect
        v-for="(shade, i) in shades"
        :key="i"
        :x="stair.left"
        :y="shade.y"
        :width="stair.right - stair.left"
        :height="shade.height"
        class="band"
      />
      <path v-if="forecast" :d="forecast.band" class="forecast-band" />
      <template v-for="column in stair.columns" :key="column.index">
        <path :d="column.shape" :fill="`var(--phase-${column.family})`" />
        <path v-if="phaseFamily(column.family).pattern !== null" :d="column.shape" :fill="`url(#${hatch}-${column.family})`" />
      </template>
      <template v-if="furthest !== null && stair.shows(furthest)">
        <path :d="`M${stair.left} ${stair.yAt(furthest)}H${stair.right}`" class="furthest" />
        <text :x="stair.right - 4" :y="stair.yAt(furthest) - 6" text-anchor="end" class="furthest-words">
          {{ ' ' }}{{ t('noFurtherThan', { number: formatNumber(furthest, Number.isInteger(furthest) ? 0 : 1), unitSign }) }}
        </text>
      </template>
      <path :d="stair.path" class="limb" />
      <path v-if="forecast" :d="forecast.path" class="forecast" />
      <g class="axis">
        <text
          v-for="tick in stair.xTicks"
          :key="tick.label"
          :x="tick.x"
          :y="height - 10"
          :text-anchor="tick.x > stair.right - 14 ? 'end' : 'middle'"
        >
          {{ tick.label }}
        </text>
      </g>
      <template v-for="(mark, i) in marks" :key="i">
        <path v-if="mark.x !== null" :d="`M${mark.x - 7} ${mark.y}h14`" class="read" />
      </template>
      <slot :stair="stair" />
      <StairLive v-if="liveEdge && playhead" :stair="stair" :moment="playhead" :value="liveEdge" />
      <StairPlayhead v-if="playhead" :stair="stair" :moment="playhead" />
    </svg>
  </div>
</template>

<style scoped>
.stair {
  width: 100%;
  overflow: hidden;
}

svg {
  display: block;
}

.grid path {
  stroke: var(--line-faint);
}

text {
  font: 500 11.5px var(--words);
  fill: var(--soft);
}

.band {
  fill: var(--band);
  opacity: 0.45;
}

.furthest {
  stroke: var(--clay);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}

.furthest-words {
  fill: var(--clay-text, var(--clay));
  font: 600 13px var(--words);
}

.limb {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
  stroke-linejoin: round;
}

.forecast {
  fill: none;
  stroke: var(--plum);
  stroke-width: 2;
  stroke-dasharray: 6 5;
}

.forecast-band {
  fill: var(--plum-soft);
  opacity: 0.55;
}

.read {
  stroke: var(--plum);
  stroke-width: 4;
  stroke-linecap: round;
}
</style>
