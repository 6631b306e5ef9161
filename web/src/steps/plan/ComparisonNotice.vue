<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import type { BlockPlan } from '@pace-bend/core/method';
import type { ComparisonStep } from '@pace-bend/core/record';
import { SIDE_WORDS } from '../../parts/words.ts';
import { useShelf } from '../../stores/shelf.ts';

/** What this visit is to do for a comparison of two ways: drawn by lot when it was planned, said only now. */
const props = defineProps<{ step: ComparisonStep; blocks: readonly BlockPlan[]; disabled: boolean }>();
defineEmits<{ pin: [] }>();
const shelf = useShelf();
const where = computed(() => {
  const { motionId, side } = props.step;
  return `${motionOf(motionId).name}${side === 'midline' ? '' : `, ${SIDE_WORDS[side].toLowerCase()}`}`;
});
const wayName = computed(() => shelf.shelf.methods.get(props.step.methodId)?.name ?? 'a way that is gone');
const inPlan = computed(() => props.blocks.filter(({ entryId }) => entryId === props.step.entryId));
const fits = computed(() => inPlan.value.some(({ methodId }) => methodId === props.step.methodId));
const other = computed(() => inPlan.value.find(({ methodId }) => methodId !== props.step.methodId) ?? null);
</script>

<template>
  <section class="card notice" aria-label="Comparison of two ways">
    <p>
      <b>Comparison, visit {{ step.step }} of {{ step.of }}: {{ wayName }}</b> today on {{ shelf.entryOf(step.entryId).name }} ({{
        where
      }}).
      <span v-if="other" class="wrong" role="status"
        >The plan has it in {{ shelf.methodOf(other.methodId).name }}: the pair would not count.</span
      >
      <span v-else-if="fits" role="status">It is in the plan.</span>
    </p>
    <Button v-if="!fits" size="small" :disabled="disabled" @click="$emit('pin')">Propose with it</Button>
  </section>
</template>

<style scoped>
.notice {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  border-left: 3px solid var(--plum);
}

.notice p {
  flex: 1 1 260px;
  margin: 0;
}
</style>
