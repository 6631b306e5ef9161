<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { formatClock, readTypedTime } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import TextInput from './TextInput.vue';
import { t } from '../words/parts.ts';

/**
 * A time of day, typed as one is used to. What it holds is the time (`HH:MM`), or what was typed while that is none; how it was read stands
 * beneath where it was typed otherwise.
 */
const props = withDefaults(defineProps<{ id: string; value: string; label?: string; wrong?: string | null | undefined }>(), {
  label: t('time'),
  wrong: undefined,
});
const emit = defineEmits<{ 'update:value': [held: string] }>();
const practice = usePractice();

const shown = (held: string) => {
  const read = readTypedTime(held);
  return 'minute' in read ? formatClock(read.minute, practice.clockHabit) : held;
};
const text = ref(shown(props.value));
const read = computed(() => readTypedTime(text.value));
const held = computed(() => ('minute' in read.value ? formatClock(read.value.minute, '24') : text.value.trim()));
watch(
  () => props.value,
  (value) => {
    if (value !== held.value) text.value = shown(value);
  },
);
const touched = ref(false);
const said = computed(() => {
  if (props.wrong !== undefined) return props.wrong;
  return touched.value && 'problem' in read.value ? read.value.problem : null;
});
const echo = computed(() => {
  const clock = 'minute' in read.value ? formatClock(read.value.minute, practice.clockHabit) : '';
  return clock === text.value.trim() ? '' : clock;
});
function take(next: string): void {
  text.value = next;
  emit('update:value', held.value);
}
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <TextInput
      :id="id"
      class="num short"
      autocomplete="off"
      maxlength="10"
      :model-value="text"
      :placeholder="formatClock(14 * 60 + 30, practice.clockHabit)"
      :aria-invalid="said ? 'true' : undefined"
      :aria-describedby="`${id}-read`"
      @input="take(($event.target as HTMLInputElement).value)"
      @blur="touched = true"
    />
    <p :id="`${id}-read`" class="small" :class="said ? 'wrong' : 'soft'" :role="said ? 'alert' : undefined">{{ said ?? echo }}</p>
  </div>
</template>

<style scoped>
.field :deep(.short) {
  width: 104px;
}

p {
  min-height: 18px;
  margin: 2px 0 0;
}
</style>
