<script setup lang="ts" generic="V extends string">
import Select from 'ant-design-vue/es/select';
import { ref } from 'vue';
import { t } from '../words/parts.ts';
import { labelMatches, useListField } from './listField.ts';

export interface Choice<Value extends string> {
  readonly value: Value;
  readonly label: string;
  readonly disabled?: boolean;
}

/** One choice from a list; with `search`, any words of the label find it, in any order. */
const props = withDefaults(
  defineProps<{
    /** Null for a field that offers something to add and keeps nothing chosen. */
    value: V | null | undefined;
    options: readonly (Choice<V> | { readonly label: string; readonly options: readonly Choice<V>[] })[];
    label: string;
    placeholder?: string;
    disabled?: boolean;
    size?: 'small' | 'middle' | 'large';
    search?: boolean;
    /** What is typed was looked for already: every option that is given fits. */
    found?: boolean;
    /** Said when nothing fits. */
    nothing?: string;
    inputId?: string;
  }>(),
  { placeholder: '', size: 'middle', search: false, found: false, nothing: undefined, inputId: undefined },
);
const emit = defineEmits<{ change: [value: V]; search: [typed: string] }>();

const root = ref<HTMLElement | null>(null);
useListField(root, () => props.label);
</script>

<template>
  <span ref="root" class="pick">
    <Select
      :id="inputId"
      :value="value as V"
      :options="options as never"
      :placeholder="placeholder"
      :disabled="disabled"
      :size="size"
      :show-search="search"
      :filter-option="found ? false : (labelMatches as never)"
      :not-found-content="nothing ?? t('nothingFits')"
      :list-height="360"
      :dropdown-match-select-width="false"
      @change="(chosen) => emit('change', chosen as V)"
      v-on="search ? { search: (typed: string) => emit('search', typed) } : {}"
    >
      <template v-if="$slots.option" #option="option"
        ><slot name="option" :value="option.value as string" :label="option.label as string"
      /></template>
    </Select>
  </span>
</template>

<style scoped>
.pick {
  display: inline-block;
  max-width: 100%;
}

.pick :deep(.ant-select) {
  width: 100%;
}
</style>
