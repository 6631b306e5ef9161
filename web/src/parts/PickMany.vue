<script setup lang="ts" generic="V extends string">
import Select from 'ant-design-vue/es/select';
import { ref } from 'vue';
import { t } from '../words/parts.ts';
import { labelMatches, useListField } from './listField.ts';

/** Several choices from a list, in the order they were made; any words of a label find it. */
const props = withDefaults(
  defineProps<{
    values: readonly V[];
    options: readonly { readonly value: V; readonly label: string }[];
    label: string;
    placeholder?: string;
    most?: number;
    disabled?: boolean;
    inputId?: string;
  }>(),
  { placeholder: '', most: 60, disabled: false, inputId: undefined },
);
const emit = defineEmits<{ change: [values: V[]] }>();

const root = ref<HTMLElement | null>(null);
useListField(root, () => props.label);
</script>

<template>
  <span ref="root" class="pick">
    <Select
      :id="inputId"
      mode="multiple"
      :disabled="disabled"
      :value="[...values] as never"
      :options="options as never"
      :placeholder="placeholder"
      :filter-option="labelMatches as never"
      :list-height="320"
      :not-found-content="t('nothingFits')"
      @change="(chosen) => emit('change', (chosen as V[]).slice(0, most))"
    />
  </span>
</template>

<style scoped>
.pick {
  display: block;
}

.pick :deep(.ant-select) {
  width: 100%;
}
</style>
