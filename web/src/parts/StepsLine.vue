<script setup lang="ts">
import { computed } from 'vue';
import { STEPS, type Step } from '@pace-bend/core/record';
import { t } from '../words/parts.ts';

/** The steps of the open visit, rising across the top as one bent line. */
const props = defineProps<{ visitId: string; step: Step }>();

const WIDTH = 84;
const Y = [38, 33.5, 29, 24.5, 20];
const current = computed(() => STEPS.indexOf(props.step));
const parts = computed(() =>
  STEPS.map((step, i) => ({
    step,
    name: step[0]!.toUpperCase() + step.slice(1),
    path: `M${i * WIDTH + 3} ${Y[i]}H${i * WIDTH + WIDTH - 10}${i < STEPS.length - 1 ? `L${i * WIDTH + WIDTH} ${Y[i + 1]}` : ''}`,
    reached: i <= current.value,
  })),
);
</script>

<template>
  <nav class="steps" :aria-label="t('stepsVisit')">
    <svg width="100%" height="46" :viewBox="`0 0 ${WIDTH * STEPS.length} 46`" preserveAspectRatio="none" aria-hidden="true">
      <path v-for="(part, i) in parts" :key="part.step" :d="part.path" :class="{ reached: part.reached, on: i === current }" />
    </svg>
    <RouterLink
      v-for="(part, i) in parts"
      :key="part.step"
      :to="`/visit/${visitId}/${part.step}`"
      :style="{ left: `${(i / STEPS.length) * 100}%`, width: `${100 / STEPS.length}%`, bottom: `${46 - Y[i]! + 1}px` }"
      :class="{ on: i === current }"
      :aria-current="i === current ? 'step' : undefined"
      >{{ part.name }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.steps {
  position: relative;
  flex: 0 0 min(420px, 100%);
  min-width: 0;
  height: 46px;
}

path {
  fill: none;
  stroke: var(--line);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}

path.reached {
  stroke: var(--spruce);
}

path.on {
  stroke-width: 4;
}

a {
  position: absolute;
  padding: 8px 0 3px 6px;
  color: var(--soft);
  font-size: 13.5px;
  line-height: 1.2;
  text-decoration: none;
}

@media (pointer: coarse) {
  .steps {
    height: 52px;
  }

  a {
    bottom: 0 !important;
    display: flex;
    align-items: center;
    height: 52px;
  }
}

a:hover {
  color: var(--ink);
}

a.on {
  color: var(--spruce);
  font-weight: 700;
}
</style>
