<script setup lang="ts" generic="V extends string | number | boolean">
/** A row of answers of which one or none holds; the one that holds is taken back by pressing it again. */
const props = withDefaults(
  defineProps<{
    options: readonly { readonly value: V; readonly label: string; readonly hint?: string }[];
    value: V | null;
    label: string;
    disabled?: boolean;
    tight?: boolean;
  }>(),
  { disabled: false, tight: false },
);
const emit = defineEmits<{ change: [value: V | null] }>();

function onKey(event: KeyboardEvent): void {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  if (by === 0) return;
  event.preventDefault();
  const buttons = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLButtonElement>('button')];
  const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
  buttons[(at + by + buttons.length) % buttons.length]?.focus();
}
</script>

<template>
  <div class="row" :class="{ tight: props.tight }" role="group" :aria-label="label" @keydown="onKey">
    <button
      v-for="option in options"
      :key="String(option.value)"
      type="button"
      :disabled="disabled"
      :aria-pressed="option.value === value"
      :title="option.hint"
      @click="emit('change', option.value === value ? null : option.value)"
    >
      {{ option.label }}
    </button>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

button {
  min-height: 34px;
  padding: 3px 10px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
  cursor: pointer;
}

.tight button {
  flex: 1;
  min-width: 24px;
  padding: 3px 2px;
  font-family: var(--figures);
  font-variant-numeric: tabular-nums;
}

button:hover:not(:disabled):not([aria-pressed='true']) {
  background: var(--raised);
}

button[aria-pressed='true'] {
  border-color: var(--spruce);
  background: var(--spruce-fill);
  color: var(--on-spruce);
}

button:disabled {
  cursor: default;
}
</style>
