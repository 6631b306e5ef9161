<script setup lang="ts">
import type { BlockPlan, Method } from '@pace-bend/core/method';
import LongText from '../../parts/LongText.vue';
import { t } from '../../words/plan.ts';

/** Stations, directions, points, angles of a block: one a line, in their order. */
const props = defineProps<{ block: BlockPlan; method: Method; disabled: boolean }>();
const emit = defineEmits<{ change: [block: BlockPlan] }>();

const valuesOf = (id: string) => props.block.lists?.[id] ?? props.method.lists.find((list) => list.id === id)!.default;
function type(id: string, text: string): void {
  emit('change', { ...props.block, lists: { ...props.block.lists, [id]: text.split('\n') } });
}
function wrong(id: string): string | null {
  const spec = props.method.lists.find((list) => list.id === id)!;
  const places = valuesOf(id);
  if (places.some((place) => place.trim() === '' || place.length > 40)) return t('eachLineOneName');
  return places.length < spec.min || places.length > spec.max ? t('toLines', { label: spec.label, min: spec.min, max: spec.max }) : null;
}
</script>

<template>
  <div v-for="list in method.lists" :key="list.id" class="list">
    <label :for="`list-${list.id}`">{{ list.label }}</label>
    <LongText
      :id="`list-${list.id}`"
      :rows="Math.min(6, valuesOf(list.id).length + 1)"
      :model-value="valuesOf(list.id).join('\n')"
      :disabled="disabled"
      :aria-invalid="wrong(list.id) ? 'true' : undefined"
      @input="type(list.id, ($event.target as HTMLTextAreaElement).value)"
    />
    <p v-if="wrong(list.id)" class="wrong" role="alert">{{ wrong(list.id) }}</p>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  gap: 3px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line-faint);
}

.wrong {
  color: var(--clay-text);
  font-size: 13px;
}
</style>
