<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, watch } from 'vue';
import { useRoute } from 'vue-router';
import { ageInYears } from '@pace-bend/core/body';
import RefusedChanges from '../unsent/RefusedChanges.vue';
import SavingState from '../unsent/SavingState.vue';
import CautionChips from '../cautions/CautionChips.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { AVAILABILITY_WORDS } from '../parts/words.ts';
import { useAthlete } from '../stores/athlete.ts';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/athlete.ts';

/** One athlete: range over the visits, the file, what is limited, and all that happened. */
const PAGES = {
  range: { label: t('range'), view: defineAsyncComponent(() => import('./RangePage.vue')) },
  'what-if': { label: t('whatIf'), view: defineAsyncComponent(() => import('./whatIf/WhatIfPage.vue')) },
  file: { label: t('file'), view: defineAsyncComponent(() => import('./FilePage.vue')) },
  limits: { label: t('limits'), view: defineAsyncComponent(() => import('./LimitsPage.vue')) },
  mornings: { label: t('mornings'), view: defineAsyncComponent(() => import('./MorningsPage.vue')) },
  report: { label: t('report'), view: defineAsyncComponent(() => import('./report/ReportPage.vue')) },
  history: { label: t('history'), view: defineAsyncComponent(() => import('./HistoryPage.vue')) },
} as const;

const route = useRoute();
const practice = usePractice();
const athlete = useAthlete();
const id = computed(() => String(route.params.id));
const page = computed(() => (route.params.page ? String(route.params.page) : 'range') as keyof typeof PAGES);
watch(id, (wanted) => void athlete.load(wanted), { immediate: true });
onBeforeUnmount(() => void athlete.flush());

const file = computed(() => athlete.file);
</script>

<template>
  <div class="page">
    <ProblemNote v-if="athlete.problem" :problem="athlete.problem" :retry="() => athlete.load(id)"
      ><RouterLink to="/squad">{{ t('backSquad') }}</RouterLink></ProblemNote
    >
    <p v-else-if="!file" class="soft">{{ t('openingAthlete') }}</p>
    <template v-else>
      <header>
        <div class="who">
          <h1>{{ file.athlete.name }}</h1>
          <p class="soft">
            {{ practice.sportLine(file.athlete.sports) || t('athlete') }} · {{ ageInYears(file.athlete.birthDate, practice.today)
            }}<template v-if="file.athlete.availability !== 'full'"> · {{ AVAILABILITY_WORDS[file.athlete.availability] }}</template
            ><template v-if="file.athlete.about"> · {{ file.athlete.about }}</template>
          </p>
        </div>
        <SavingState :state="athlete.saveState" />
        <nav class="page-tabs end" :aria-label="t('pagesAthlete')">
          <RouterLink
            v-for="(each, key) in PAGES"
            :key="key"
            :to="key === 'range' ? `/athlete/${id}` : `/athlete/${id}/${key}`"
            :class="{ on: key === page }"
            :aria-current="key === page ? 'page' : undefined"
            >{{ each.label }}</RouterLink
          >
        </nav>
      </header>
      <div v-if="athlete.cautionContext"><CautionChips :context="athlete.cautionContext" /></div>
      <RefusedChanges :changes="athlete.refused" @theirs="athlete.takeTheirs()" @mine="athlete.keepMine()" />
      <component :is="PAGES[page].view" :key="`${id}/${page}`" :file="file" />
    </template>
  </div>
</template>

<style scoped>
.who {
  min-width: 0;
}

h1 {
  overflow-wrap: anywhere;
}

.refused {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 9px 14px;
  border-left: 4px solid var(--clay);
  background: var(--clay-soft);
}
</style>
