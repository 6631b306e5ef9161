<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import { computed, nextTick, ref } from 'vue';
import { LIMITS } from '@pace-bend/core/record';
import { t } from '../../words/arrive.ts';

/** Sets a question aside for today with a word: why it is not asked. The word is kept. */
const props = defineProps<{ what: string; busy?: boolean }>();
const emit = defineEmits<{ keep: [word: string] }>();
const open = ref(false);
const word = ref('');
const short = ref(false);
const id = computed(() => `not-asked-${props.what.replace(/ /g, '-')}`);

async function begin(): Promise<void> {
  open.value = true;
  await nextTick();
  document.getElementById(id.value)?.focus();
}

function keep(): void {
  short.value = word.value.trim().length < LIMITS.reasonLength.min;
  if (!short.value) emit('keep', word.value.trim());
}
</script>

<template>
  <button v-if="!open" type="button" class="link small" @click="begin">{{ t('notAskedTodayBecause') }}</button>
  <form v-else class="word" :aria-label="t('whyNotAsked', { what: props.what })" @submit.prevent="keep">
    <label :for="id" class="small">{{ t('notAskedBecause2') }}</label>
    <Input :id="id" v-model:value="word" :maxlength="LIMITS.aboutLength" :status="short ? 'error' : ''" autocomplete="off" />
    <p v-if="short" class="wrong" role="alert">{{ t('leastLettersTheyStand', { min: LIMITS.reasonLength.min }) }}</p>
    <div class="choices">
      <Button html-type="submit" type="primary" :loading="busy ?? false">{{ t('keepWord') }}</Button><Button @click="open = false">{{
        t('leaveIt')
      }}</Button>
    </div>
  </form>
</template>

<style scoped>
.word {
  display: grid;
  gap: 6px;
}

.link {
  justify-self: start;
}
</style>
