<script setup lang="ts">
import { computed } from 'vue';
import type { Motion, Side } from '@pace-bend/core/body';
import { drawMotion, motionScene, viewWords } from '@pace-bend/core/figure';
import type { ReferenceBand } from '@pace-bend/core/measure';
import FigureDrawing from './FigureDrawing.vue';
import { t } from '../words/parts.ts';

/**
 * A motion in its test position, posed from joint angles: the limb at today's angle on each side, the reference as a wedge about the
 * joint; without values, the way of the motion itself.
 */
const props = withDefaults(
  defineProps<{
    motion: Motion;
    /** Values to draw; a side that is left out is not drawn. */
    values?: Partial<Record<Side, number | null>>;
    short?: readonly Side[];
    bands?: readonly ReferenceBand[];
    /** What a sport asks for. */
    asked?: Partial<Record<Side, number>>;
    /** Without values: the side that is about to be read. */
    toRead?: Side | undefined;
    /** Height in pixels: what can be seen at it is drawn. */
    size?: number;
    /** Width to height. */
    shape?: number;
    /** Left out when the words beside the figure say the same. */
    decorative?: boolean;
  }>(),
  { values: () => ({}), short: () => [], bands: () => [], asked: () => ({}), toRead: undefined, size: 48, shape: 1.35, decorative: false },
);

const given = computed(() =>
  Object.fromEntries(Object.entries(props.values).filter((entry): entry is [Side, number] => typeof entry[1] === 'number')),
);
const band = computed(() =>
  props.bands.length > 0
    ? { low: Math.min(...props.bands.map((each) => each.low)), high: Math.max(...props.bands.map((each) => each.high)) }
    : null,
);
const drawing = computed(() =>
  drawMotion(props.motion, {
    values: given.value,
    short: props.short,
    band: band.value,
    asked: props.asked,
    ...(props.toRead ? { toRead: props.toRead } : {}),
    size: props.size,
    shape: props.shape,
  }),
);
const label = computed(() => {
  const { name, testPosition, unit, id } = props.motion;
  const said = Object.entries(given.value)
    .map(([side, value]) => `${side} ${Math.round(value)}${unit === 'deg' ? '°' : ' cm'}`)
    .join(', ');
  const wanted = Object.entries(props.asked)
    .map(([side, value]) => `${side} ${Math.round(value)}${unit === 'deg' ? '°' : ' cm'}`)
    .join(', ');
  return t('seenFrom2', {
    name,
    testPosition,
    view: viewWords(motionScene(id).scene),
    what: props.toRead && props.toRead !== 'midline' ? t('theSide', { toRead: props.toRead }) : '',
    what2: said ? `: ${said}` : '',
    what3: wanted ? t('askedFor', { wanted }) : '',
  });
});
</script>

<template>
  <FigureDrawing :drawing="drawing" :size="size" :label="decorative ? undefined : label" />
</template>
