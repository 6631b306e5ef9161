<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import PickMany from '../parts/PickMany.vue';
import type { VariantForm } from './ownEntryForm.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/shelf.ts';

/** What is easier, or harder, than an entry: others, each with its reason, and the same one done otherwise. */
const props = defineProps<{
  label: string;
  values: readonly VariantForm[];
  options: readonly { readonly value: string; readonly name: string; readonly label: string }[];
}>();
const emit = defineEmits<{ change: [values: VariantForm[]] }>();

const MOST = 8;
const others = computed(() => props.values.filter((each) => each.id !== ''));
const own = computed(() => props.values.filter((each) => each.id === ''));
const nameOf = (id: string) => props.options.find((each) => each.value === id)?.name ?? t('entryNotHereAny');

function pick(ids: readonly string[]): void {
  const kept = ids.map((id) => others.value.find((each) => each.id === id) ?? { id, why: '' });
  emit('change', [...kept, ...own.value].slice(0, MOST));
}
function say(at: VariantForm, why: string): void {
  emit(
    'change',
    props.values.map((each) => (each === at ? { ...each, why } : each)),
  );
}
</script>

<template>
  <div class="variants">
    <label class="line"
      >{{ label }}<PickMany :values="others.map(({ id }) => id)" :label="label" :options="options" :most="MOST - own.length" @change="pick"
    /></label>
    <label v-for="(each, i) in values" :key="each.id || `own-${i}`" class="line why">
      <span class="small">{{ each.id === '' ? t('sameDoneOtherwise', { label }) : t('inWhat', { nameOf: nameOf(each.id) }) }}</span>
      <span class="with">
        <TextInput
          maxlength="80"
          :model-value="each.why"
          :placeholder="each.id === '' ? t('pillowUnderKnee') : t('kneeStaysBent')"
          @input="say(each, ($event.target as HTMLInputElement).value)"
        />
        <Button
          v-if="each.id === ''"
          type="text"
          :aria-label="t('remove2', { what: each.why || t('theSameDoneOtherwise') })"
          @click="
            emit(
              'change',
              values.filter((other) => other !== each),
            )
          "
          >{{ t('remove') }}</Button
        ></span
      >
    </label>
    <Button v-if="values.length < MOST" type="link" class="add" @click="emit('change', [...values, { id: '', why: '' }])">{{
      t('addWithoutAnotherEntry', { label: label.toLowerCase() })
    }}</Button>
  </div>
</template>

<style scoped>
.variants {
  display: grid;
  gap: 6px;
  align-content: start;
  min-width: 0;
}
.line {
  display: grid;
  gap: 3px;
  min-width: 0;
  font: 600 13px var(--words);
}

.with {
  display: flex;
  gap: 6px;
  align-items: center;
}
.with .input {
  flex: 1;
  min-width: 0;
}
.add {
  justify-self: start;
  padding-left: 0;
}
</style>
