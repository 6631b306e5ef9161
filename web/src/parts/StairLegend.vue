<script setup lang="ts">
import { computed } from 'vue';
import { phaseFamily, phaseKind, type Cue } from '@pace-bend/core/method';
import PhaseSwatch from './PhaseSwatch.vue';

const props = defineProps<{ cues: readonly Cue[] }>();

const families = computed(() => [...new Set(props.cues.map((cue) => phaseKind(cue.kind).family))].filter((family) => family !== 'rest'));
</script>

<template>
  <ul class="legend">
    <li v-for="family in families" :key="family">
      <PhaseSwatch :family="family" />
      {{ phaseFamily(family).words }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  align-content: flex-start;
  gap: 4px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
  color: var(--soft);
  font-size: 12.5px;
}

li {
  display: flex;
  align-items: center;
  gap: 6px;
}
</style>
