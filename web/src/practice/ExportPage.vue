<script setup lang="ts">
import { RECORD_TABLES } from '@pace-bend/core/exchange';
import ImportCard from './ImportCard.vue';
import { useSession } from '../stores/session.ts';

/** What leaves the practice as a whole, with what it holds and leaves out. What leaves of one athlete is on their file. */
const session = useSession();
const SAYS: Readonly<Record<(typeof RECORD_TABLES)[number]['id'], string>> = {
  visits: 'every visit, cancelled ones too, with what brings them; event work is marked',
  readings: 'readings that stand, with instrument and who read them',
  trials: 'every trial of those readings',
  findings: 'what was found by hand and eye and stands',
  blocks: 'what was done at the table, a row for each side of a block',
  loads: 'sessions that were done',
  'check-ins': 'what was answered in the morning',
};
</script>

<template>
  <div class="cards">
    <div class="stack">
      <section class="card fields" aria-label="Tables of everybody">
        <h2>Tables of everybody</h2>
        <p>
          One row for each thing that can be counted, with the athlete’s id and name in front, as CSV; what every column says is in
          datapackage.json, which comes with all of them.
        </p>
        <p>
          <a class="all" href="/api/export/tables" download="practice-tables.zip">Export all tables (ZIP)</a>
        </p>
        <ul class="plain">
          <li v-for="table in RECORD_TABLES" :key="table.id">
            <a :href="`/api/export/tables/${table.id}`" :download="`practice-${table.id}.csv`">{{ table.name }}</a>
            <span class="soft">{{ SAYS[table.id] }}</span>
          </li>
        </ul>
        <p class="soft">
          Left out: stop questions, cautions and conditions, notes and letters, medication, contacts; corrected and withdrawn readings,
          findings and check-ins; planned sessions. The rows of one athlete are of one moment; while it is written others may go on working.
          It is written into the audit that it was taken out, by whom and when.
        </p>
      </section>
      <section v-if="session.may('GET', '/export/athletes')" class="card fields" aria-label="Squad list">
        <h2>Squad list</h2>
        <p><a href="/api/export/athletes" download="squad.csv">Export the squad list (CSV)</a></p>
        <p class="soft">Who is on file with birth date, sports and squads, in the form in which a list is imported again.</p>
      </section>
    </div>
    <div class="stack">
      <section v-if="session.may('GET', '/export/practice')" class="card fields" aria-label="Whole practice">
        <h2>Whole practice</h2>
        <p><a class="all" href="/api/export/practice" download="practice.json">Export the whole practice (JSON)</a></p>
        <p class="soft">
          Every record with all that is kept, and what the practice made and shares: own ways, entries, sequences and sports, squads,
          events, seasons, event days, error studies. Another practice can import it. What each row holds is said by its
          <a href="/api/archive/schema" download="archive.schema.json">JSON Schema</a>.
        </p>
        <p class="soft">
          Left out: passwords and who is signed in, open check-in pages and calendars. How this practice works and the lines of the audit
          about each athlete go with it to be looked at; they are never imported.
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
