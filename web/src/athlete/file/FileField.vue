<script setup lang="ts">
import { ref, watch } from 'vue';
import TextInput from '../../parts/TextInput.vue';
import LongText from '../../parts/LongText.vue';

/** One line of the file: shown as typed, sent up only when it is sound; what is wrong stands beneath. */
const props = withDefaults(
  defineProps<{
    id: string;
    label: string;
    value: string;
    most: number;
    check?: (text: string) => string | null;
    readOnly?: boolean;
    rows?: number;
    placeholder?: string;
    help?: string;
    unit?: string;
  }>(),
  { check: () => null, rows: 1, placeholder: '', help: '', unit: '' },
);
const emit = defineEmits<{ change: [value: string] }>();

const text = ref(props.value);
const wrong = ref<string | null>(null);
watch(
  () => props.value,
  (value) => {
    if (!wrong.value) text.value = value;
  },
);

function type(typed: string): void {
  text.value = typed;
  wrong.value = props.check(typed);
  if (!wrong.value) emit('change', typed);
}
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <LongText
      v-if="rows > 1"
      :id="id"
      :rows="rows"
      :model-value="text"
      :maxlength="most"
      :readonly="readOnly"
      :placeholder="placeholder"
      @input="type(($event.target as HTMLTextAreaElement).value)"
    />
    <span v-else class="line">
      <TextInput
        :id="id"
        :class="{ num: unit }"
        :model-value="text"
        :maxlength="most"
        :readonly="readOnly"
        :placeholder="placeholder"
        :inputmode="unit ? 'decimal' : undefined"
        autocomplete="off"
        :aria-invalid="wrong ? 'true' : undefined"
        :aria-describedby="wrong ? `${id}-wrong` : undefined"
        @input="type(($event.target as HTMLInputElement).value)"
      />
      <span v-if="unit" class="soft">{{ unit }}</span>
    </span>
    <p v-if="wrong" :id="`${id}-wrong`" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="help" class="soft small">{{ help }}</p>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 8px;
}

.line .num {
  width: 84px;
}

.textbox {
  padding: 8px 11px;
  font-size: 14px;
}
</style>
