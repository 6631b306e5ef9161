<script setup lang="ts">
import { RECORD_TABLES } from '@pace-bend/core/exchange';
import ImportCard from './ImportCard.vue';
import { useSession } from '../stores/session.ts';
import { t } from '../words/practice.ts';

/** What leaves the practice as a whole, with what it holds and leaves out. What leaves of one athlete is on their file. */
const session = useSession();
const SAYS: Readonly<Record<(typeof RECORD_TABLES)[number]['id'], string>> = {
  visits: t('everyVisitCancelledOnes'),
  readings: t('readingsStandInstrumentWho'),
  trials: t('everyTrialThoseReadings'),
  findings: t('whatFoundHandEye'),
  blocks: t('whatDoneTableRow'),
  loads: t('sessionsDone'),
  'check-ins': t('whatAnsweredMorning'),
};
</script>

<template>
  <div class="cards">
    <div class="stack">
      <section class="card fields" :aria-label="t('tablesEverybody')">
        <h2>{{ t('tablesEverybody') }}</h2>
        <p>
          {{ t('oneRowEachThing') }}
        </p>
        <p>
          <a class="all" href="/api/export/tables" download="practice-tables.zip">{{ t('exportAllTablesZip') }}</a>
        </p>
        <ul class="plain">
          <li v-for="table in RECORD_TABLES" :key="table.id">
            <a :href="`/api/export/tables/${table.id}`" :download="`practice-${table.id}.csv`">{{ table.name }}</a>
            <span class="soft">{{ SAYS[table.id] }}</span>
          </li>
        </ul>
        <p class="soft">
          {{ t('leftOutStopQuestions') }}
        </p>
      </section>
      <section v-if="session.may('GET', '/export/athletes')" class="card fields" :aria-label="t('squadList')">
        <h2>{{ t('squadList') }}</h2>
        <p>
          <a href="/api/export/athletes" download="squad.csv">{{ t('exportSquadListCsv') }}</a>
        </p>
        <p class="soft">{{ t('whoFileBirthDate') }}</p>
      </section>
    </div>
    <div class="stack">
      <section v-if="session.may('GET', '/export/practice')" class="card fields" :aria-label="t('wholePractice')">
        <h2>{{ t('wholePractice') }}</h2>
        <p>
          <a class="all" href="/api/export/practice" download="practice.json">{{ t('exportWholePracticeJson') }}</a>
        </p>
        <p class="soft">
          {{ t('everyRecordAllKept') }}
          <a href="/api/archive/schema" download="archive.schema.json">{{ t('jsonSchema') }}</a>.
        </p>
        <p class="soft">
          {{ t('leftOutPasswordsWho') }}
        </p>
      </section>
      <ImportCard v-if="session.may('POST', '/archive/take')" />
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

.all {
  font-weight: 600;
}

li {
  display: grid;
  grid-template-columns: minmax(110px, auto) 1fr;
  gap: 2px 14px;
  align-items: baseline;
  padding: 8px 0;
  border-top: 1px solid var(--line-faint);
}
</style>
