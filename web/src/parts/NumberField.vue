<script setup lang="ts">
import Input from 'ant-design-vue/es/input/Input';
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

/** Wide enough for what stands in it, with its unit behind. */
const width = computed(() => `calc(${Math.max(2, text.value.length) + 3 + props.unit.length}ch + 18px)`);
</script>

<template>
  <Input
    class="number num"
    size="small"
    inputmode="decimal"
    :maxlength="6"
    :style="{ width }"
    :value="text"
    :suffix="unit || undefined"
    :status="wrong ? 'error' : ''"
    :aria-label="label"
    :aria-invalid="wrong ? 'true' : undefined"
    :disabled="disabled"
    @update:value="type"
    @keydown="onKey"
    @focus="($event.target as HTMLInputElement).select()"
  />
</template>

<style scoped>
.number {
  min-height: 34px;
  font-size: 15px;
  text-align: right;
}

.number :deep(input) {
  font-size: 15px;
  text-align: right;
}

.number :deep(.ant-input-suffix) {
  color: var(--soft);
  font-size: 13px;
}
</style>
