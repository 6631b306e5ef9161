<script setup lang="ts">
import { computed } from 'vue';
import { poseMotion, type Motion, type PosedSegment, type Side, type View } from '@pace-bend/core/body';
import type { Press } from '@pace-bend/core/catalogue';
import type { ReferenceBand } from '@pace-bend/core/measure';
import { capsulePath, faceMark, fanPath, figureBox, figureMarks, type Mark } from './figure.ts';

/**
 * A figure in the test position of a motion, posed from joint angles: the limb at today's angle on each side, the reference
 * as a fan about the joint, and, where there is room, the axis, the landmark it is read along and where the hands go.
 */
const props = withDefaults(
  defineProps<{
    motion: Pick<Motion, 'figure' | 'rest' | 'sides' | 'unit' | 'fan'> & Partial<Pick<Motion, 'name' | 'testPosition'>>;
    /** Values to draw; a side that is left out is not drawn where both limbs share a place. */
    values?: Partial<Record<Side, number | null>>;
    short?: readonly Side[];
    bands?: readonly ReferenceBand[];
    /** Height in pixels; below 90 only the outline is drawn. */
    size?: number;
    /** Width to height. */
    shape?: number;
    /** Left out when the words beside the figure say the same. */
    decorative?: boolean;
    /** Where a hand presses; then no axis and no reading line are drawn. */
    press?: Press | null;
    /** The hand that presses is still on its way. */
    coming?: boolean;
    /** Only the part that is pressed is marked as worked on. */
    still?: boolean;
    /** Another value that must fit into the same picture, so that two pictures have one scale. */
    beside?: number | null;
    /** Whether the hands that move and hold are drawn. */
    hands?: boolean;
    /** Said instead of the motion and its test position. */
    words?: string;
  }>(),
  {
    values: () => ({}),
    short: () => [],
    bands: () => [],
    size: 48,
    shape: 1.35,
    decorative: false,
    press: null,
    coming: false,
    still: false,
    beside: null,
    hands: true,
    words: '',
  },
);

const VIEW_WORDS: Record<View, string> = {
  side: 'the side',
  front: 'the front',
  behind: 'behind',
  above: 'above',
  feet: 'the feet',
  detail: 'close by',
};
const detailed = computed(() => props.size >= 90);
const drawnValues = computed(() => {
  const given = Object.entries(props.values).filter((entry): entry is [Side, number] => typeof entry[1] === 'number');
  return given.length > 0 ? Object.fromEntries(given) : { [props.motion.sides[0]!]: (props.motion.fan.min + 2 * props.motion.fan.max) / 3 };
});
const band = computed(() =>
  props.bands.length > 0
    ? { low: Math.min(...props.bands.map((each) => each.low)), high: Math.max(...props.bands.map((each) => each.high)) }
    : null,
);
const pose = computed(() => poseMotion(props.motion, { values: drawnValues.value, band: band.value }));
const box = computed(() => {
  if (props.beside === null) return figureBox(pose.value, props.shape);
  const other = poseMotion(props.motion, { values: { [props.motion.sides[0]!]: props.beside }, band: null });
  return figureBox({ ...pose.value, segments: [...pose.value.segments, ...other.segments] }, props.shape);
});
/** One pixel in the figure's own measure, so that lines keep their weight at any size. */
const px = computed(() => box.value.height / props.size);
const line = computed(() => px.value * (detailed.value ? 1.6 : 1.25));

const isWorked = (segment: PosedSegment) => (props.still && props.press ? segment.id === props.press.on : segment.moving);
const order = (segment: PosedSegment) => (segment.far ? 0 : isWorked(segment) ? 2 : 1);
const segments = computed(() =>
  [...pose.value.segments]
    .sort((a, b) => order(a) - order(b))
    .map((segment, i) => ({
      key: `${segment.id}/${segment.side ?? ''}/${i}`,
      path: capsulePath(segment),
      segment,
      kind: segment.far ? 'far' : !isWorked(segment) ? 'body' : segment.side === 'right' ? 'right' : 'left',
      low: segment.moving && props.short.includes(segment.side ?? 'midline'),
    })),
);
const fans = computed(() => pose.value.fans.map(fanPath));
/** Hands and rings grow with the figure, but less than it does. */
const markUnit = computed(() => px.value * Math.min(2.4, Math.max(1, Math.sqrt(props.size / 110))));
const marks = computed<Mark[]>(() =>
  detailed.value
    ? figureMarks(pose.value, markUnit.value, props.press, props.coming).filter((mark) => props.hands || mark.kind !== 'hand')
    : [],
);
// A picture of an entry has no sides: it is done on either.
const tags = computed(() => (props.words ? [] : marks.value).flatMap((mark) => (mark.kind === 'tag' ? [mark] : [])));
const face = computed(() => faceMark(pose.value, px.value));
const label = computed(() => {
  const said = Object.entries(drawnValues.value)
    .map(([side, value]) => `${side} ${Math.round(value)}${props.motion.unit === 'deg' ? '°' : ' cm'}`)
    .join(', ');
  if (props.words) return `${props.words}, seen from ${VIEW_WORDS[pose.value.view]}`;
  return `${props.motion.name}, ${props.motion.testPosition}, seen from ${VIEW_WORDS[pose.value.view]}${Object.keys(props.values).length > 0 ? `: ${said}` : ''}`;
});
</script>

<template>
  <svg
    class="figure"
    :width="Math.round(size * shape)"
    :height="size"
    :viewBox="`${box.x} ${-box.y - box.height} ${box.width} ${box.height}`"
    :role="decorative ? undefined : 'img'"
    :aria-label="decorative ? undefined : label"
    :aria-hidden="decorative ? 'true' : undefined"
    :style="{ '--line-width': line }"
  >
    <g transform="scale(1 -1)">
      <path v-if="pose.ground" class="ground" :d="`M${pose.ground.from} ${pose.ground.y}H${pose.ground.to}`" />
      <path v-for="(fan, i) in fans" :key="`fan${i}`" class="fan" :d="fan" />
      <path v-for="each in segments" :key="each.key" class="part" :class="[each.kind, { low: each.low }]" :d="each.path" />
      <path v-if="face" class="face" :d="face" />
      <template v-for="(mark, i) in marks" :key="`mark${i}`">
        <path v-if="mark.kind === 'along'" class="along" :d="mark.path" />
        <circle v-else-if="mark.kind === 'axis'" class="axis" :cx="mark.x" :cy="mark.y" :r="markUnit * 3.4" />
        <path v-else-if="mark.kind === 'push'" class="push" :d="mark.path" />
        <path v-else-if="mark.kind === 'hand'" class="hand" :class="{ still: mark.still }" :d="mark.path" />
      </template>
    </g>
    <text
      v-for="tag in tags"
      :key="tag.text"
      class="tag"
      :x="tag.x"
      :y="-tag.y"
      :font-size="markUnit * 13"
      text-anchor="middle"
      dominant-baseline="central"
    >
      {{ tag.text }}
    </text>
  </svg>
</template>

<style scoped>
.figure {
  display: block;
  flex: none;
  max-width: 100%;
}

.part {
  stroke: var(--ink);
  stroke-width: var(--line-width);
  stroke-linejoin: round;
  fill: var(--paper);
}

.part.far {
  stroke: var(--tick);
  fill: var(--ground);
}

.part.left {
  stroke: var(--spruce);
  fill: var(--spruce-soft);
}

/* The right limb is told from the left by its outline, not by colour alone. */
.part.right {
  stroke: var(--slate);
  stroke-dasharray: calc(var(--line-width) * 2.4) calc(var(--line-width) * 1.6);
  fill: var(--slate-soft);
  fill-opacity: 0.55;
}

.part.low {
  stroke: var(--clay);
  fill: var(--clay-soft);
}

.ground {
  stroke: var(--line);
  stroke-width: calc(var(--line-width) * 1.4);
}

.fan {
  fill: var(--band);
  fill-opacity: 0.55;
}

.face {
  fill: none;
  stroke: var(--ink);
  stroke-width: var(--line-width);
  stroke-linecap: round;
}

.along {
  fill: none;
  stroke: var(--tick);
  stroke-width: calc(var(--line-width) * 0.7);
  stroke-dasharray: calc(var(--line-width) * 1.6) calc(var(--line-width) * 1.6);
}

.push {
  fill: none;
  stroke: var(--clay);
  stroke-width: calc(var(--line-width) * 1.5);
  stroke-linecap: round;
  stroke-linejoin: round;
}

.axis {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: var(--line-width);
}

.hand {
  fill: var(--sun-soft);
  stroke: var(--sun-text);
  stroke-width: calc(var(--line-width) * 0.9);
  stroke-linejoin: round;
}

.hand.still {
  fill: var(--paper);
}

.tag {
  fill: var(--ink);
  font-family: var(--figures);
  font-weight: 650;
}
</style>
