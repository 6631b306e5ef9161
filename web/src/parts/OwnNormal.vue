<script setup lang="ts">
import { computed } from 'vue';

/**
 * One value against its owner's own normal: the band of one own unit either way, a ring inside it, a dot with a stem outside. Worse is
 * drawn to the left; a load, where more is neither, to the right.
 */
const props = withDefaults(
  defineProps<{ off: number | null; /** Whether a normal is known. */ known: boolean; more?: 'left' | 'right'; label: string }>(),
  { more: 'left' },
);
/** Own units that are drawn either way. */
const MOST = 3;
const HALF = 36;
const BAND = HALF / MOST;
const x = computed(() => {
  if (props.off === null) return 0;
  const clipped = Math.max(-MOST, Math.min(MOST, props.off)) * BAND;
  return props.more === 'left' ? -clipped : clipped;
});
const isOff = computed(() => props.off !== null && props.off > 1);
const beyond = computed(() => props.off !== null && props.off > MOST);
</script>

<template>
  <svg class="own" width="76" height="22" viewBox="-38 -11 76 22" role="img" :aria-label="label">
    <rect v-if="known" :x="-BAND" y="-11" :width="2 * BAND" height="22" class="band" />
    <path v-if="known" d="M0 -11V11" class="middle" />
    <path v-else d="M-34 0H34" class="none" />
    <template v-if="off !== null">
      <path v-if="isOff" :d="`M0 0H${x}`" class="stem" />
      <circle v-if="isOff" :cx="x" r="4" class="off" />
      <circle v-else :cx="x" r="3.4" class="in" />
      <path v-if="beyond" :d="more === 'left' ? `M${x - 5} -4l-4 4 4 4` : `M${x + 5} -4l4 4 -4 4`" class="beyond" />
    </template>
  </svg>
</template>

<style scoped>
.own {
  display: block;
}

.band {
  fill: var(--spruce-soft);
}

.middle {
  stroke: var(--band);
  stroke-width: 1.5;
}

.none {
  stroke: var(--line);
  stroke-dasharray: 2 4;
}

.stem {
  stroke: var(--clay);
  stroke-width: 2.4;
}

.off {
  fill: var(--clay);
}

.in {
  fill: var(--paper);
  stroke: var(--spruce);
  stroke-width: 2;
}

.beyond {
  fill: none;
  stroke: var(--clay);
  stroke-width: 1.6;
}
</style>
