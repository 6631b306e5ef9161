<script setup lang="ts">
import { computed } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import PickOne from '../PickOne.vue';
import PosedFigure from '../PosedFigure.vue';

/** Chooses a motion by any of its words, recognised by its figure. */
const props = defineProps<{ motions: readonly Motion[]; taken: readonly Motion[] }>();
defineEmits<{ change: [motionId: string] }>();

const options = computed(() => [...new Set(props.motions.map((motion) => motion.joint))].map((joint) => ({
  label: joint[0]!.toUpperCase() + joint.slice(1),
  options: props.motions.filter((motion) => motion.joint === joint).map((motion) => ({ value: motion.id, label: `${motion.name}, ${motion.testPosition}`, disabled: props.taken.some((each) => each.id === motion.id) })),
})));
const motionById = computed(() => new Map(props.motions.map((motion) => [motion.id, motion])));
</script>

<template>
  <PickOne class="picker" search :value="null" :options="options" placeholder="Add a motion" label="Add a motion" @change="(id) => $emit('change', id)">
    <template #option="{ value, label }">
      <span v-if="motionById.get(value)" class="option"><PosedFigure :motion="motionById.get(value)!" :size="44" decorative /><span>{{ label }}</span></span>
      <span v-else>{{ label }}</span>
    </template>
  </PickOne>
</template>

<style scoped>
.picker {
  width: 220px;
}

.option {
  display: flex;
  align-items: center;
  gap: 12px;
  min-width: 330px;
}
</style>
