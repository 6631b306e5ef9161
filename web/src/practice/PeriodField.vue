<script setup lang="ts">
import InputNumber from 'ant-design-vue/es/input-number';

/** A number of months or years with what it counts from; empty for none. */
defineProps<{ id: string; label: string; after: string; wrong: string | undefined }>();
const value = defineModel<number | null>('value', { required: true });
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <span class="number"
      ><InputNumber
        :id="id"
        :value="value ?? undefined"
        :controls="false"
        :status="wrong ? 'error' : ''"
        :aria-invalid="wrong ? 'true' : undefined"
        @update:value="(typed: unknown) => (value = typeof typed === 'number' ? typed : null)"
      />
      {{ after }}</span
    >
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
p {
  margin: 0;
}

.number {
  display: flex;
  gap: 8px;
  align-items: center;
}

.number > :deep(.ant-input-number) {
  flex: none;
  width: 90px;
}
</style>
