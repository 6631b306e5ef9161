<script setup lang="ts">
import { t } from '../words/parts.ts';
/** Digits under a thumb, for a field that has the focus and keeps it: no keyboard of the machine covers what is being read. */
defineProps<{ label: string; next: string }>();
defineEmits<{ digit: [text: string]; erase: []; next: [] }>();
const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '−'] as const;
</script>

<template>
  <div class="pad" role="group" :aria-label="label">
    <button
      v-for="key in KEYS"
      :key="key"
      type="button"
      class="num"
      :aria-label="key === '−' ? t('minus') : key === '.' ? t('point') : key"
      @pointerdown.prevent
      @click="$emit('digit', key)"
    >
      {{ key }}
    </button>
    <button type="button" class="erase" :aria-label="t('eraseDigit')" @pointerdown.prevent @click="$emit('erase')">⌫</button>
    <button type="button" class="next" @pointerdown.prevent @click="$emit('next')">{{ next }}</button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 6px;
}

button {
  min-height: 48px;
  border: 1px solid var(--tick);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font-size: 19px;
  cursor: pointer;
}

.erase {
  grid-column: span 2;
}

.next {
  grid-column: span 4;
  border-color: var(--spruce-fill);
  background: var(--spruce-fill);
  color: var(--on-spruce);
  font: 600 16px var(--words);
}
</style>
