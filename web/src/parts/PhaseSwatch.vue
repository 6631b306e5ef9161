<script setup lang="ts">
import { useId } from 'vue';
import { phaseFamily, type PhaseFamily } from '@pace-bend/core/method';
import PhaseFills from './PhaseFills.vue';

/** A small piece of a phase as the stair draws it. */
withDefaults(defineProps<{ family: PhaseFamily; width?: number; height?: number }>(), { width: 16, height: 12 });
const prefix = useId();
</script>

<template>
  <svg :width="width" :height="height" aria-hidden="true" :class="{ outside: phaseFamily(family).outside }">
    <PhaseFills :prefix="prefix" :families="[family]" />
    <rect :width="width" :height="height" :fill="`var(--phase-${family})`" />
    <rect v-if="phaseFamily(family).pattern !== null" :width="width" :height="height" :fill="`url(#${prefix}-${family})`" />
  </svg>
</template>

<style scoped>
svg {
  flex: none;
  border-radius: 2px;
}

.outside {
  border: 1px solid var(--tick);
}
</style>
