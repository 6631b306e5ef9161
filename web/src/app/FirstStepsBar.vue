<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { FIRST_STEPS } from '@pace-bend/core/record';
import { FIRST_STEP_WORDS } from '../parts/firstStepWords.ts';
import { useAction } from '../parts/useAction.ts';
import { useFirstSteps } from '../stores/firstSteps.ts';
import { t } from '../words/app.ts';

/** Above every page of the owner's, as long as steps are open or samples are there: how far it is, and the way back. */
const steps = useFirstSteps();
const route = useRoute();
const { busy, problem, run } = useAction();
// What is done on a page shows when the page is left; a line that is lost leaves the bar as it was.
const look = useAction();
watch(
  () => route.fullPath,
  () => {
    if (!steps.page || steps.isOn) void look.run(() => steps.load());
  },
  { immediate: true },
);
const isHere = computed(() => route.name === 'practice' && route.params.page === 'first-steps');
const next = computed(() => steps.progress?.steps.find(({ state }) => state === 'next'));
const open = computed(() => Boolean(steps.page && !steps.page.left && next.value));
</script>

<template>
  <aside v-if="steps.isOn && !isHere" class="first no-print" :aria-label="t('firstSteps')">
    <p v-if="open">
      <b>{{ t('firstStepsDone', { done: steps.progress!.done, count: FIRST_STEPS.length }) }}</b>
      {{ t('next', { title: FIRST_STEP_WORDS[next!.id].title }) }}
    </p>
    <p v-if="steps.page!.sampleAthletes > 0">{{ t('youLookingAroundSample', { sampleAthletes: steps.page!.sampleAthletes }) }}</p>
    <span class="choices"
      ><RouterLink to="/practice/first-steps">{{ open ? t('goOn') : t('openFirstSteps') }}</RouterLink
      ><Button v-if="open" size="small" :loading="busy" @click="run(() => steps.putAway())">{{ t('notNow') }}</Button></span
    >
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
  </aside>
</template>

<style scoped>
.first {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  padding: 8px 28px;
  border-bottom: 1px solid var(--line);
  background: var(--spruce-soft);
}

.choices {
  margin-left: auto;
}

@container page (max-width: 640px) {
  .first {
    padding-inline: 16px;
  }
}
</style>
