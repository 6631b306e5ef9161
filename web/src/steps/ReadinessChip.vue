<script setup lang="ts">
import { computed } from 'vue';
import ReadinessMark from '../parts/ReadinessMark.vue';
import { useVisit } from '../stores/visit.ts';
import { t } from '../words/steps.ts';

/** How the athlete is today, in a word, at the head of every step; the reason stands at Arrive. */
const visit = useVisit();
const today = computed(() => visit.readiness!);
const aside = computed(() => visit.file!.readiness.setAside.length);
const said = computed(() => `${today.value.verdict.word}${aside.value > 0 ? t('setAside', { value: aside.value }) : ''}`);
const title = computed(() => {
  const { word, reasons, missing } = today.value.verdict;
  const why =
    reasons.map((each) => each.reason).join(' ') ||
    (word === 'not known' ? t('missing', { missing: missing.join(', ') }) : t('withinOwnNormal'));
  return `${why}${aside.value > 0 ? ` ${t('setAside2', { value: aside.value })}` : ''}`;
});
</script>

<template>
  <RouterLink class="chip" :class="today.verdict.word.replace(' ', '-')" :to="`/visit/${visit.id}/arrive`" :title="title">
    <ReadinessMark :shape="today.verdict.word" aria-hidden="true" />
    <span>{{ said }}</span>
  </RouterLink>
</template>

<style scoped>
.chip {
  display: inline-flex;
  flex: none;
  align-items: center;
  gap: 6px;
  min-height: 28px;
  padding: 3px 10px;
  border: 1px solid var(--line);
  border-radius: 3px;
  color: var(--ink);
  font-size: 13px;
  text-decoration: none;
  white-space: nowrap;
}

.ease {
  border-color: var(--sun);
  background: var(--sun-soft);
}

.hold {
  border-color: var(--clay);
  background: var(--clay-soft);
}
</style>
