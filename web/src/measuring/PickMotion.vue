<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import PickOne from '../parts/PickOne.vue';
import PosedFigure from '../parts/PosedFigure.vue';
import { findMotions, motionIndex } from './motionSearch.ts';
import { t } from '../words/measuring.ts';

/**
 * Chooses a motion by what the trade calls it, by muscle, with small typing errors; recognised by its figure. One that is there already can be
 * chosen again: whoever types its name wants to go there, not to the next one that is called nearly the same.
 */
const props = defineProps<{ motions: readonly Motion[]; taken: readonly Motion[] }>();
defineEmits<{ change: [motionId: string] }>();

const root = ref<HTMLElement | null>(null);
defineExpose({ focus: () => root.value?.querySelector('input')?.focus() });

const typed = ref('');
const index = computed(() => motionIndex(props.motions));
const optionOf = (motion: Motion) => ({
  value: motion.id,
  label: `${motion.name}, ${motion.testPosition}`,
});
const isTaken = (id: string) => props.taken.some((each) => each.id === id);
const byJoint = computed(() =>
  [...new Set(props.motions.map((motion) => motion.joint))].map((joint) => ({
    label: joint[0]!.toUpperCase() + joint.slice(1),
    options: props.motions.filter((motion) => motion.joint === joint).map(optionOf),
  })),
);
/** Grouped by joint until something is typed, then the likeliest first. */
const options = computed(() => findMotions(index.value, typed.value)?.map((id) => optionOf(motionById.value.get(id)!)) ?? byJoint.value);
const motionById = computed(() => new Map(props.motions.map((motion) => [motion.id, motion])));
</script>

<template>
  <span ref="root" class="root"
    ><PickOne
      class="picker"
      search
      found
      :value="null"
      :options="options"
      :placeholder="t('addMotion')"
      :label="t('addMotion')"
      :nothing="t('noMotionCalledTry')"
      @search="
        (text) => {
          typed = text;
        }
      "
      @change="
        (id) => {
          typed = '';
          $emit('change', id);
        }
      "
    >
      <template #option="{ value, label }">
        <span v-if="motionById.get(value)" class="option"
          ><PosedFigure :motion="motionById.get(value)!" :size="44" decorative /><span
            >{{ label }}<span v-if="isTaken(value)" class="small soft">{{ t('thereAlready') }}</span></span
          ></span
        >
        <span v-else>{{ label }}</span>
      </template>
    </PickOne></span
  >
</template>

<style scoped>
.root {
  display: inline-block;
  max-width: 100%;
}

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
