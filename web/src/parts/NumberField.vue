<script setup lang="ts">
import { computed, ref, watch } from 'vue';

/** A number typed with its unit. What is typed goes up as it is; what is wrong with it is said beneath by the parent. */
const props = defineProps<{ value: number; label: string; unit: string; step: number; wrong: boolean; disabled?: boolean }>();
const emit = defineEmits<{ change: [value: number] }>();

const text = ref(print(props.value));
watch(
  () => props.value,
  (value) => {
    if (parse(text.value) !== value && !(Number.isNaN(value) && Number.isNaN(parse(text.value)))) text.value = print(value);
  },
);

function print(value: number): string {
  return Number.isNaN(value) ? '' : String(value);
}

function parse(typed: string): number {
  const cleaned = typed.trim().replace(',', '.');
  return cleaned === '' ? NaN : Number(cleaned);
}

function type(typed: string): void {
  text.value = typed;
  emit('change', parse(typed));
}

function onKey(event: KeyboardEvent): void {
  const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
  if (by === undefined || !Number.isFinite(props.value)) return;
  event.preventDefault();
  type(String(Math.round((props.value + by * props.step * (event.shiftKey ? 5 : 1)) * 100) / 100));
}

const width = computed(() => `${Math.max(2, text.value.length) + 2}ch`);
</script>

<template>
  <span class="field" :class="{ wrong }">
    <input
      class="num"
      inputmode="decimal"
      maxlength="6"
      :style="{ width }"
      :value="text"
      :aria-label="label"
      :aria-invalid="wrong ? 'true' : undefined"
      :disabled="disabled"
      @input="type(($event.target as HTMLInputElement).value)"
      @keydown="onKey"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <span v-if="unit" class="unit">{{ unit }}</span>
  </span>
</template>

<style scoped>
.field {
  display: inline-flex;
  align-items: baseline;
  gap: 2px;
  padding: 0 7px 0 3px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
}

.field:focus-within {
  border-color: var(--spruce);
}

.field.wrong {
  border-color: var(--clay);
}

input {
  height: 30px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 15px;
  text-align: right;
}

input:focus {
  outline: none;
}

.field:focus-within {
  outline: 2px solid var(--spruce);
}

.unit {
  color: var(--soft);
  font-size: 13px;
}
</style>
