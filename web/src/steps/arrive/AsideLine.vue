<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import { nextTick, ref, useId } from 'vue';
import { LIMITS, type ReadinessSetAside } from '@pace-bend/core/record';

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
  <span v-if="props.aside" class="small soft">set aside, {{ props.aside.by }}: {{ props.aside.reason }}</span>
  <button v-else-if="props.may && !open" type="button" class="link small" :aria-label="`Set aside: ${what}`" @click="begin">
    Set aside
  </button>
  <form v-if="open" class="word" :aria-label="`Set aside: ${what}`" @submit.prevent="keep">
    <label :for="id" class="small">Set aside, because</label>
    <Input :id="id" v-model:value="word" :maxlength="LIMITS.aboutLength" :status="short ? 'error' : ''" autocomplete="off" />
    <p v-if="short" class="wrong" role="alert">A word why: it stands in the record.</p>
    <span class="choices"
      ><Button html-type="submit" type="primary" size="small">Keep the word</Button
      ><Button size="small" @click="open = false">Leave it</Button></span
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
