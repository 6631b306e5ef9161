<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import { nextTick, ref, useId } from 'vue';
import { LIMITS, type ReadinessSetAside } from '@pace-bend/core/record';
import { t } from '../../words/arrive.ts';

/** Sets one reason or limit of the day aside, with the word why; or says that it was, by whom and why. */
const props = defineProps<{ aside: ReadinessSetAside | null; may: boolean; what: string }>();
const emit = defineEmits<{ keep: [word: string] }>();
const LEAST = 3;
const id = useId();
const open = ref(false);
const word = ref('');
const short = ref(false);

async function begin(): Promise<void> {
  open.value = true;
  await nextTick();
  document.getElementById(id)?.focus();
}
function keep(): void {
  short.value = word.value.trim().length < LEAST;
  if (short.value) return;
  emit('keep', word.value.trim());
  open.value = false;
}
</script>

<template>
  <span v-if="props.aside" class="small soft">{{ t('setAside', { by: props.aside.by, reason: props.aside.reason }) }}</span>
  <button v-else-if="props.may && !open" type="button" class="link small" :aria-label="t('setAside3', { what })" @click="begin">
    {{ t('setAside2') }}
  </button>
  <form v-if="open" class="word" :aria-label="t('setAside3', { what })" @submit.prevent="keep">
    <label :for="id" class="small">{{ t('setAsideBecause') }}</label>
    <Input :id="id" v-model:value="word" :maxlength="LIMITS.aboutLength" :status="short ? 'error' : ''" autocomplete="off" />
    <p v-if="short" class="wrong" role="alert">{{ t('wordWhyStandsRecord') }}</p>
    <span class="choices"
      ><Button html-type="submit" type="primary" size="small">{{ t('keepWord') }}</Button
      ><Button size="small" @click="open = false">{{ t('leaveIt') }}</Button></span
    >
  </form>
</template>

<style scoped>
.word {
  grid-column: 1 / -1;
  display: grid;
  gap: 6px;
  padding: 6px 0 4px 38px;
}
</style>
