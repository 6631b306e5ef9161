<script setup lang="ts">
import { computed } from 'vue';
import { DateTime } from 'luxon';
import { historyOf, type AthleteFile, type HistoryLine } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';

/** All that is dated, newest first, year by year. */
const props = defineProps<{ file: AthleteFile }>();
const practice = usePractice();

const KIND_WORDS: Record<HistoryLine['kind'], string> = {
  visit: 'visit',
  referral: 'referral',
  condition: 'condition',
  resolved: 'over',
  operation: 'operation',
  clearance: 'clearance',
  'no-touch': 'no-touch',
  event: 'event',
};
const years = computed(() => {
  const found = new Map<string, HistoryLine[]>();
  for (const line of historyOf(props.file, practice.today, practice.dayOf))
    found.set(line.on.slice(0, 4), [...(found.get(line.on.slice(0, 4)) ?? []), line]);
  return [...found];
});
const dayWords = (day: string) => DateTime.fromISO(day).toFormat('d LLL');
</script>

<template>
  <section class="card" aria-label="History">
    <p v-if="years.length === 0" class="soft">Nothing yet. Visits, conditions, operations and clearances stand here by date.</p>
    <div v-for="[year, lines] in years" :key="year" class="year">
      <h2 class="num">{{ year }}</h2>
      <ol class="plain">
        <li v-for="(line, i) in lines" :key="i" :class="line.kind">
          <span class="num on">{{ dayWords(line.on) }}</span>
          <span class="kind small">{{ KIND_WORDS[line.kind] }}</span>
          <RouterLink v-if="line.visitId" :to="`/visit/${line.visitId}`">{{ line.words }}</RouterLink>
          <span v-else>{{ line.words }}</span>
        </li>
      </ol>
    </div>
  </section>
</template>

<style scoped>
.year + .year {
  margin-top: 18px;
}

li {
  display: grid;
  grid-template-columns: 62px 92px minmax(0, 1fr);
  align-items: baseline;
  gap: 10px;
  padding: 6px 0 6px 12px;
  border-left: 3px solid var(--line);
}

.on {
  text-align: right;
}

.kind {
  color: var(--soft);
}

.operation,
.referral,
.condition {
  border-left-color: var(--clay);
}

.clearance,
.resolved {
  border-left-color: var(--spruce);
}

.event {
  border-left-color: var(--slate);
}
</style>
