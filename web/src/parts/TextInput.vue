<script setup lang="ts">
import Input from 'ant-design-vue/es/input/Input';
import { onMounted, ref, useAttrs } from 'vue';

/** The kit's field for a line of text. What is wrong with it is said beside it and marked by `aria-invalid`: the kit draws it so. */
const value = defineModel<string>();
/** As the browser means it: what was typed is left. The kit's own comes with every letter. */
const emit = defineEmits<{ change: [event: Event] }>();
const attrs = useAttrs();
const field = ref<{ focus: () => void; select: () => void } | null>(null);
onMounted(() => (field.value as unknown as { $el: HTMLElement }).$el.addEventListener('change', (event) => emit('change', event)));
defineExpose({ focus: () => field.value?.focus(), select: () => field.value?.select() });
const isWrong = () => attrs['aria-invalid'] === 'true' || attrs['aria-invalid'] === true;
</script>

<template>
  <Input ref="field" v-model:value="value" :status="isWrong() ? 'error' : ''" />
</template>
