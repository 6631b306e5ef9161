<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '@pace-bend/core/body';
import { entryScene, type Entry } from '@pace-bend/core/catalogue';
import { drawScene, sceneWords } from '@pace-bend/core/figure';
import FigureDrawing from './FigureDrawing.vue';
import { t } from '../words/parts.ts';

/** An entry drawn in its own position: in the set-up, at the edge, or on the way. */
const props = withDefaults(
  defineProps<{
    entry: Entry;
    /** The position it is drawn in; left out, the usual one. */
    position?: Position;
    /** How far on the way from the set-up (0) to the edge (1). */
    share?: number;
    size: number;
    shape?: number;
    /** The side that is worked on, where one is. */
    side?: 'left' | 'right';
    decorative?: boolean;
    /** Whether the athlete presses now; left out, the picture shows that they will. */
    presses?: boolean;
  }>(),
  { position: undefined, share: 1, shape: 1.35, side: undefined, decorative: false, presses: undefined },
);

const scene = computed(() => entryScene(props.entry, props.position));
const drawing = computed(() =>
  drawScene(scene.value, {
    size: props.size,
    shape: props.shape,
    share: props.share,
    ...(props.presses === undefined ? {} : { presses: props.presses }),
    ...(props.side ? { side: props.side } : {}),
  }),
);
const label = computed(() => `${props.entry.name}, ${props.share < 0.5 ? 'set-up' : t('atTheEnd')}: ${sceneWords(scene.value)}`);
</script>

<template>
  <FigureDrawing :drawing="drawing" :size="size" :label="decorative ? undefined : label" />
</template>
