<script setup lang="ts" generic="V extends string">
import Select from 'ant-design-vue/es/select';
import { onBeforeUnmount, onMounted, ref } from 'vue';

export interface Choice<Value extends string> {
  readonly value: Value;
  readonly label: string;
  readonly disabled?: boolean;
}

/** One choice from a list; with `search`, any words of the label find it, in any order. */
const props = withDefaults(defineProps<{
  /** Null for a field that offers something to add and keeps nothing chosen. */
  value: V | null | undefined;
  options: readonly (Choice<V> | { readonly label: string; readonly options: readonly Choice<V>[] })[];
  label: string;
  placeholder?: string;
  disabled?: boolean;
  size?: 'small' | 'middle' | 'large';
  search?: boolean;
  inputId?: string;
}>(), { placeholder: '', size: 'middle', search: false, inputId: undefined });
const emit = defineEmits<{ change: [value: V]; search: [typed: string] }>();

const root = ref<HTMLElement | null>(null);
let observer: MutationObserver | null = null;

/**
 * The kit names its box and not the field inside it, leaves out whether the list is open, and points at a list
 * that is not there while it is closed. A screen reader needs all three right.
 */
function mend(input: HTMLInputElement): void {
  const open = root.value!.querySelector('.ant-select-open') !== null;
  const set = (name: string, value: string) => { if (input.getAttribute(name) !== value) input.setAttribute(name, value); };
  set('aria-label', props.label);
  set('aria-expanded', String(open));
  for (const name of ['aria-controls', 'aria-owns', 'aria-activedescendant']) {
    const id = input.getAttribute(name);
    if (id !== null && !document.getElementById(id)) input.removeAttribute(name);
  }
  if (open && !input.hasAttribute('aria-controls') && document.getElementById(`${input.id}_list`)) input.setAttribute('aria-controls', `${input.id}_list`);
}

onMounted(() => {
  const input = root.value!.querySelector<HTMLInputElement>('input[role="combobox"]');
  if (!input) return;
  mend(input);
  observer = new MutationObserver(() => mend(input));
  observer.observe(root.value!, { attributes: true, subtree: true });
});
onBeforeUnmount(() => observer?.disconnect());

const matches = (typed: string, option: { label?: string }) => typed.toLowerCase().split(/\s+/).every((word) => option.label?.toLowerCase().includes(word));
</script>

<template>
  <span ref="root" class="pick">
    <Select
      :id="inputId" :value="(value as V)" :options="(options as never)" :placeholder="placeholder" :disabled="disabled" :size="size" :show-search="search" :filter-option="(matches as never)"
      :list-height="360" :dropdown-match-select-width="false" @change="(chosen) => emit('change', chosen as V)" @search="(typed: string) => emit('search', typed)"
    >
      <template v-if="$slots.option" #option="option"><slot name="option" :value="(option.value as string)" :label="(option.label as string)" /></template>
    </Select>
  </span>
</template>

<style scoped>
.pick {
  display: inline-block;
}

.pick :deep(.ant-select) {
  width: 100%;
}
</style>
