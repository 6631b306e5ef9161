<script setup lang="ts">
import { computed } from 'vue';
import { entryFigure, type Entry } from '@pace-bend/core/catalogue';
import PosedFigure from '../parts/PosedFigure.vue';

/** An entry drawn in its own position: in the set-up, or at the edge. */
const props = withDefaults(defineProps<{ entry: Entry; moment: 'set-up' | 'end'; size: number; decorative?: boolean }>(), {
  decorative: false,
});

const figure = computed(() => entryFigure(props.entry));
const values = computed(() => ({ [figure.value.motion.sides[0]!]: props.moment === 'end' ? figure.value.end : figure.value.setUp }));
const other = computed(() => (props.moment === 'end' ? figure.value.setUp : figure.value.end));
const position = computed(() => props.entry.positions[0].replace(/ (left|right)$/, ''));
</script>

<template>
  <PosedFigure
    :motion="figure.motion"
    :values="values"
    :size="size"
    :shape="decorative ? 1.35 : 1.7"
    :press="figure.press"
    :coming="moment === 'set-up'"
    :still="figure.still"
    :hands="entry.section !== 'Home work'"
    :beside="other"
    :decorative="decorative"
    :words="`${entry.name}, ${position}, ${moment === 'end' ? 'at the end' : 'set-up'}`"
  />
</template>
