<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { StairLayout } from './stair.ts';

/** Where the limb really is on the stair, as a device says it, with the way it came. */
const props = defineProps<{ stair: StairLayout; moment: () => number; value: () => number | null }>();

/** Of the way, so many points at most, and none closer in time than this: a line, not every sample. */
const MOST = 400;
const STEP_MS = 120;
const way = ref<readonly { readonly ms: number; readonly value: number }[]>([]);
watch(
  () => [props.value(), props.moment()] as const,
  ([value, ms]) => {
    if (value === null) return;
    const last = way.value.at(-1);
    // The count went back, or another side is drawn: its way begins anew.
    if (last && ms < last.ms) way.value = [{ ms, value }];
    else if (!last || ms - last.ms >= STEP_MS) way.value = [...way.value.slice(1 - MOST), { ms, value }];
  },
  { immediate: true },
);
const points = computed(() =>
  way.value
    .flatMap(({ ms, value }) => {
      const x = props.stair.xAt(ms);
      return x === null ? [] : [`${x.toFixed(1)},${props.stair.yAt(value).toFixed(1)}`];
    })
    .join(' '),
);
const now = computed(() => {
  const value = props.value();
  const x = props.stair.xAt(props.moment());
  return value === null || x === null ? null : { x, y: props.stair.yAt(value) };
});
</script>

<template>
  <g class="live" data-testid="live-edge">
    <polyline :points="points" />
    <circle v-if="now" :cx="now.x" :cy="now.y" r="7" />
  </g>
</template>

<style scoped>
polyline {
  fill: none;
  stroke: var(--slate);
  stroke-width: 3;
  stroke-linejoin: round;
}

circle {
  fill: var(--paper);
  stroke: var(--slate);
  stroke-width: 4;
}
</style>
