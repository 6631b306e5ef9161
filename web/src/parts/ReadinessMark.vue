<script setup lang="ts">
import type { ReadinessWord } from '@pace-bend/core/readiness';

/** A disc, a half disc, a hollow square, a dashed ring: each word its own shape, colour only repeats it. */
withDefaults(defineProps<{ shape: ReadinessWord; size?: number }>(), { size: 14 });
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 14 14" role="img" :aria-label="shape">
    <circle v-if="shape === 'ready'" cx="7" cy="7" r="5.5" class="ready" />
    <template v-else-if="shape === 'ease'">
      <circle cx="7" cy="7" r="5.2" class="ring" />
      <path d="M7 1.8a5.2 5.2 0 0 0 0 10.4z" class="half" />
    </template>
    <circle v-else-if="shape === 'not known'" cx="7" cy="7" r="5.2" class="unknown" />
    <rect v-else x="2" y="2" width="10" height="10" class="hold" />
  </svg>
</template>

<style scoped>
.ready {
  fill: var(--spruce);
}

.ring {
  fill: none;
  stroke: var(--sun);
  stroke-width: 1.6;
}

.half {
  fill: var(--sun);
}

.unknown {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.4;
  stroke-dasharray: 2.2 2;
}

.hold {
  fill: none;
  stroke: var(--clay);
  stroke-width: 2;
}
</style>
