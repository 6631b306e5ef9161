<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import type { BlockPlan } from '@pace-bend/core/method';
import type { ComparisonStep } from '@pace-bend/core/record';
import { SIDE_WORDS } from '../../parts/words.ts';
import { useShelf } from '../../stores/shelf.ts';
import { t } from '../../words/plan.ts';

/** What this visit is to do for a comparison of two ways: drawn by lot when it was planned, said only now. */
const props = defineProps<{ step: ComparisonStep; blocks: readonly BlockPlan[]; disabled: boolean }>();
defineEmits<{ pin: [] }>();
const shelf = useShelf();
const where = computed(() => {
  const { motionId, side } = props.step;
  return `${motionOf(motionId).name}${side === 'midline' ? '' : `, ${SIDE_WORDS[side].toLowerCase()}`}`;
});
const wayName = computed(() => shelf.shelf.methods.get(props.step.methodId)?.name ?? t('wayGone'));
const inPlan = computed(() => props.blocks.filter(({ entryId }) => entryId === props.step.entryId));
const fits = computed(() => inPlan.value.some(({ methodId }) => methodId === props.step.methodId));
const other = computed(() => inPlan.value.find(({ methodId }) => methodId !== props.step.methodId) ?? null);
</script>

<template>
  <section class="card notice" :aria-label="t('comparisonTwoWays')">
    <p>
      <b>{{ t('comparisonVisit', { step: step.step, of: step.of, wayName }) }}</b>
      {{ t('todayOn', { entryOf: shelf.entryOf(step.entryId).name, where }) }}
      <span v-if="other" class="wrong" role="status">{{ t('planPairWouldNot', { methodOf: shelf.methodOf(other.methodId).name }) }}</span>
      <span v-else-if="fits" role="status">{{ t('itIsInThe') }}</span>
    </p>
    <Button v-if="!fits" size="small" :disabled="disabled" @click="$emit('pin')">{{ t('proposeWithIt') }}</Button>
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
