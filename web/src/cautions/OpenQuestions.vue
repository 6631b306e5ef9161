<script setup lang="ts">
import type { OpenQuestion } from '@pace-bend/core/record';
import { useVisit } from '../stores/visit.ts';
import { t } from '../words/cautions.ts';

/** What has to be asked before hands go on and was not yet: seen on every step until it is. */
const visit = useVisit();
const WORDS: Record<OpenQuestion, string> = { questions: t('stopQuestions'), consent: t('consent') };
</script>

<template>
  <RouterLink v-if="visit.toAsk.length > 0" class="ask" :to="`/visit/${visit.id}/arrive`"
    ><b>{{ t('notAskedYet') }}</b> {{ visit.toAsk.map((each) => WORDS[each]).join(' and ') }}</RouterLink
  >
</template>

<style scoped>
.ask {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
  padding: 3px 10px;
  border-radius: 3px;
  border-left: 3px solid var(--sun);
  background: var(--sun-soft);
  color: var(--ink);
  font-size: 13px;
  text-decoration: none;
}
</style>
