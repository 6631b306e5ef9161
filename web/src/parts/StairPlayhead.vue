<script setup lang="ts">
import { computed } from 'vue';
import type { StairLayout } from './stair.ts';

/** Where the line is now. A component of its own: it moves with every frame and the stair does not. */
const props = defineProps<{ stair: StairLayout; moment: () => number }>();
const x = computed(() => props.stair.xAt(props.moment()));
</script>

<template>
  <g v-if="x !== null" class="playhead" :transform="`translate(${x} 0)`"><path :d="`M0 10V${stair.floor + 4}`" /><circle cy="9" r="6" /></g>
</template>

<style scoped>
path {
  stroke: var(--sun);
  stroke-width: 3;
}

circle {
  fill: var(--sun);
}
</style>
