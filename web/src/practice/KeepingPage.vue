<script setup lang="ts">
import { onMounted, ref } from 'vue';
import type { KeepingPage } from '@pace-bend/core/keeping';
import { api } from '../api/api.ts';
import { stillStandsIn } from '../parts/backupWords.ts';
import { dayWords } from '../parts/dayWords.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import DueCard from './DueCard.vue';
import KeptByLawCard from './KeptByLawCard.vue';
import PeriodsForm from './PeriodsForm.vue';
import { t } from '../words/practice.ts';

/** How long what is kept, what is due, what the law keeps of those who were erased, and where they still stand. */
const page = ref<KeepingPage | null>(null);
const { problem, run } = useAction();
const load = () =>
  run(async () => {
    page.value = await api<KeepingPage>('GET', '/keeping');
  });
onMounted(load);
</script>

<template>
  <ProblemNote v-if="problem && !page" :problem="problem" :retry="load" />
  <p v-else-if="!page" class="soft" role="status">{{ t('reading') }}</p>
  <div v-else class="cards">
    <PeriodsForm :page="page" @kept="load" />
    <div class="stack">
      <DueCard :page="page" @erased="load" />
      <KeptByLawCard :page="page" @erased="load" />
      <section class="card fields" :aria-label="t('backups')">
        <h2>{{ t('backups') }}</h2>
        <p>{{ stillStandsIn(page.backups, dayWords, t('whoeverErasedTodayStill')) }}</p>
        <ul v-if="page.backups.length > 0" class="plain">
          <li v-for="backup in page.backups" :key="backup.name">
            <span>{{ t('made', { day: dayWords(backup.madeAt.slice(0, 10)) }) }}</span>
            <span class="soft">{{ backup.goesOn ? t('goesFrom', { day: dayWords(backup.goesOn) }) : t('noDaySet') }}</span>
          </li>
        </ul>
        <p class="soft">
          {{
            t('whenOlderBackupPut', {
              what:
                page.erased.count === 0
                  ? t('nobodyErasedFar')
                  : t('erasedFarLast', { count: page.erased.count, day: dayWords(page.erased.last!) }),
            })
          }}
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.cards,
.stack {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 14px;
  align-items: start;
}

.stack {
  grid-template-columns: minmax(0, 1fr);
}

p {
  margin: 0;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 6px 0;
  border-top: 1px solid var(--line-faint);
}
</style>
