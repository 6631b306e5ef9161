<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { useAction } from '../parts/useAction.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { t } from '../words/practice.ts';

/** The practice: what it may do, who works in it, who looked at what, and one's own account. */
const session = useSession();
const practice = usePractice();
const route = useRoute();
const { problem, run } = useAction();
const ALL = [
  { id: 'scope', label: t('scope'), may: () => !session.isCoach, view: defineAsyncComponent(() => import('./ScopePage.vue')) },
  { id: 'notes', label: t('notes'), may: () => !session.isCoach, view: defineAsyncComponent(() => import('./NotesPage.vue')) },
  { id: 'phases', label: t('phases'), may: () => !session.isCoach, view: defineAsyncComponent(() => import('./PhasesPage.vue')) },
  {
    id: 'hours',
    label: t('hours'),
    may: () => session.may('GET', '/week-hours'),
    view: defineAsyncComponent(() => import('./HoursPage.vue')),
  },
  { id: 'sports', label: t('sportsCheck'), may: () => !session.isCoach, view: defineAsyncComponent(() => import('./SportsPage.vue')) },
  {
    id: 'error',
    label: t('measuringError'),
    may: () => session.may('GET', '/studies'),
    view: defineAsyncComponent(() => import('../error/ErrorPage.vue')),
  },
  {
    id: 'people',
    label: t('people'),
    may: () => session.may('GET', '/accounts'),
    view: defineAsyncComponent(() => import('./PeoplePage.vue')),
  },
  { id: 'audit', label: t('audit'), may: () => session.may('GET', '/audit'), view: defineAsyncComponent(() => import('./AuditPage.vue')) },
  {
    id: 'export',
    label: t('exportImport'),
    may: () => session.may('GET', '/export/tables'),
    view: defineAsyncComponent(() => import('./ExportPage.vue')),
  },
  {
    id: 'keeping',
    label: t('keeping'),
    may: () => session.may('GET', '/keeping'),
    view: defineAsyncComponent(() => import('./KeepingPage.vue')),
  },
  {
    id: 'first-steps',
    label: t('firstSteps'),
    may: () => session.may('GET', '/first-steps'),
    view: defineAsyncComponent(() => import('./FirstStepsPage.vue')),
  },
  { id: 'me', label: t('myAccount'), may: () => true, view: defineAsyncComponent(() => import('./MePage.vue')) },
] as const;
const pages = computed(() => ALL.filter((page) => page.may()));
const page = computed(() => pages.value.find((each) => each.id === route.params.page) ?? pages.value[0]!);

const load = () => run(() => practice.load(true));
onMounted(load);
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ practice.practice?.name ?? t('practice') }}</h1>
      <nav class="page-tabs end" :aria-label="t('pagesPractice')">
        <RouterLink
          v-for="each in pages"
          :key="each.id"
          :to="`/practice/${each.id}`"
          :class="{ on: each.id === page.id }"
          :aria-current="each.id === page.id ? 'page' : undefined"
          >{{ each.label }}</RouterLink
        >
      </nav>
    </header>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <component :is="page.view" v-else-if="practice.practice" />
    <p v-else class="soft">{{ t('openingPractice') }}</p>
  </div>
</template>
