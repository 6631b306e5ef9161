<script setup lang="ts">
import { computed } from 'vue';
import { usePractice } from '../../stores/practice.ts';
import { useNote } from './useNote.ts';
import { t } from '../../words/close.ts';

/** The note as it reads: the signed one with what was added, or the draft, which says that it is one. */
defineProps<{ title: string; date: string }>();
const practice = usePractice();
const { note, text } = useNote();
const when = (instant: string) => `${practice.dayOf(instant)}, ${practice.recordTime(instant)}`;
const whole = computed(() => {
  const { signed, addenda } = note.value!;
  if (!signed) return t('draftNotSigned', { value: text.value });
  return [
    t('signedBy2', { text: signed.text, by: signed.by, when: when(signed.at) }),
    ...addenda.map((each) => t('additionSigned', { text: each.text, by: each.by, when: when(each.at) })),
  ].join('\n\n');
});
</script>

<template>
  <header class="no-print acts">
    <h1>{{ t('note') }}</h1>
    <slot name="acts" :text="whole" />
  </header>
  <article class="card sheet">
    <h2>{{ title }}</h2>
    <p class="soft">{{ date }} · {{ practice.practice?.name }}</p>
    <p class="body">{{ whole }}</p>
  </article>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.sheet {
  max-width: 780px;
}

.body {
  white-space: pre-line;
  overflow-wrap: anywhere;
  line-height: 1.55;
}
</style>
