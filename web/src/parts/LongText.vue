<script setup lang="ts">
import Textarea from 'ant-design-vue/es/input/TextArea';
import { onMounted, ref, useAttrs } from 'vue';

/** The kit's field for several lines. */
const value = defineModel<string>();
/** As the browser means it: what was typed is left. The kit's own comes with every letter. */
const emit = defineEmits<{ change: [event: Event] }>();
const attrs = useAttrs();
const field = ref<{ focus: () => void } | null>(null);
onMounted(() => (field.value as unknown as { $el: HTMLElement }).$el.addEventListener('change', (event) => emit('change', event)));
defineExpose({ focus: () => field.value?.focus() });
const isWrong = () => attrs['aria-invalid'] === 'true' || attrs['aria-invalid'] === true;
</script>

<template>
  <Textarea ref="field" v-model:value="value" :status="isWrong() ? 'error' : ''" />
</template>
