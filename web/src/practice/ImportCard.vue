<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Progress from 'ant-design-vue/es/progress';
import { computed } from 'vue';
import { DateTime } from 'luxon';
import FilePick from '../parts/FilePick.vue';
import PickOne from '../parts/PickOne.vue';
import { usePractice } from '../stores/practice.ts';
import { many, tableWords, WHY_LEFT } from './importWords.ts';
import { totals, useImport, type PersonLine } from './useImport.ts';

/** Records of another practice, or of this one, imported from a file: looked at first, nothing overwritten, nothing doubled. */
const practice = usePractice();
const { opened, wrong, people, shared, progress, told, wanted, look, choose, importAll, forget } = useImport();

const from = computed(() => {
  const file = opened.value?.file;
  if (!file) return '';
  const at = DateTime.fromISO(file.takenOutAt, { zone: practice.zone });
  return `From ${file.practice.name}${at.isValid ? `, exported on ${at.toFormat('d LLL yyyy')}` : ''}.`;
});
const names = computed(() => [...new Set([...(shared.value?.newNames ?? []), ...people.value.flatMap(({ report }) => report.newNames)])]);
const NEW = 'as somebody new';
const LEAVE = 'leave out';
const optionsOf = ({ report: { same } }: PersonLine) => [
  ...(same ? [{ value: same.id, label: same.by === 'id' ? 'Add what is missing here' : `Add to ${same.name}, who is here` }] : []),
  ...(same?.by === 'id' ? [] : [{ value: NEW, label: 'Add as somebody new' }]),
  { value: LEAVE, label: 'Leave out' },
];
const chosen = ({ choice }: PersonLine) => (choice === 'new' ? NEW : choice === 'leave' ? LEAVE : choice.same);
const take = (line: PersonLine, value: string) => choose(line, value === NEW ? 'new' : value === LEAVE ? 'leave' : { same: value });
const whoIs = ({ report: { same } }: PersonLine) =>
  same === null ? 'nobody here' : same.by === 'id' ? 'on file here' : `same name and birth date as somebody here`;
const rowsOf = (count: number) => `${many(count)} ${count === 1 ? 'row' : 'rows'}`;
function standing(line: PersonLine): string {
  const { fresh, here, left } = totals(line.report);
  const parts = [
    fresh > 0 ? `${rowsOf(fresh)} to add` : 'nothing to add',
    here > 0 ? `${rowsOf(here)} here already` : '',
    left > 0 ? `${rowsOf(left)} not taken in` : '',
  ];
  return parts.filter((part) => part !== '').join(', ');
}
const kinds = computed(() => {
  const counts = shared.value?.counts ?? [];
  return counts.filter(({ fresh }) => fresh > 0).map(({ table, fresh }) => `${many(fresh)} ${tableWords(table)}`);
});
</script>

<template>
  <section class="card fields" aria-label="Import records">
    <h2>Import records</h2>
    <p>
      A record or a whole practice exported here or elsewhere (JSON), or a bundle of another health record (HL7 FHIR R4). You see what is in
      it first. What is here stays as it is, and importing the same file again adds nothing.
    </p>
    <FilePick label="Choose a file (.json)" accept=".json,application/json" :disabled="progress !== null" @pick="look" />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div v-if="progress" role="status">
      <p class="soft">
        {{ progress.doing === 'looking' ? 'Looking into the file' : 'Importing' }}: {{ progress.done }} of {{ progress.of }}
      </p>
      <Progress :percent="Math.round((100 * progress.done) / progress.of)" :show-info="false" size="small" />
    </div>
    <template v-if="opened">
      <p>{{ from }}</p>
      <ul class="people" aria-label="In the file">
        <li v-for="line in people" :key="line.id">
          <div>
            <strong>{{ line.name }}</strong> <span class="soft">born {{ line.birthDate }}, {{ whoIs(line) }}</span>
            <div v-if="line.state === 'imported'" class="done">Imported</div>
            <div v-else class="soft">{{ standing(line) }}</div>
            <div v-if="line.problem" class="wrong">{{ line.problem }}</div>
            <details v-if="line.report.left.length > 0">
              <summary>What is not taken in</summary>
              <ul class="left">
                <li v-for="row in line.report.left" :key="`${row.table} ${row.key}`">
                  {{ tableWords(row.table) }}{{ row.columns.length > 0 ? ` (${row.columns.join(', ')})` : '' }}: {{ WHY_LEFT[row.why] }}
                </li>
              </ul>
            </details>
          </div>
          <PickOne
            v-if="line.state !== 'imported'"
            :value="chosen(line)"
            :options="optionsOf(line)"
            :label="`What becomes of ${line.name}`"
            :disabled="progress !== null"
            @change="(value) => take(line, value)"
          />
        </li>
      </ul>
      <p v-if="kinds.length > 0" class="soft">Comes with it for everybody: {{ kinds.join(', ') }}.</p>
      <p v-if="names.length > 0" class="soft">Kept as names of those who worked there, who cannot sign in here: {{ names.join(', ') }}.</p>
      <div v-if="opened.notUnderstood.length > 0" class="soft">
        <p>Not imported:</p>
        <ul class="left">
          <li v-for="each in opened.notUnderstood" :key="`${each.what} ${each.why}`">{{ each.count }} {{ each.what }}: {{ each.why }}</li>
        </ul>
      </div>
      <div class="choices">
        <Button type="primary" :loading="progress !== null" :disabled="wanted.length === 0" @click="importAll"
          >Import {{ wanted.length }} {{ wanted.length === 1 ? 'athlete' : 'athletes' }}</Button
        >
        <Button :disabled="progress !== null" @click="forget">Close the file</Button>
      </div>
      <p v-if="told" role="status">{{ told }}</p>
    </template>
  </section>
</template>

<style scoped>
p {
  margin: 0;
}

.people,
.left {
  list-style: none;
  margin: 0;
  padding: 0;
}

.people > li {
  display: grid;
  grid-template-columns: 1fr minmax(190px, auto);
  gap: 6px 14px;
  align-items: start;
  padding: 10px 0;
  border-top: 1px solid var(--line-faint);
}

.people strong {
  overflow-wrap: anywhere;
}

.left {
  padding-left: 14px;
}

summary {
  min-height: 32px;
  line-height: 32px;
  cursor: pointer;
}

.done {
  font-weight: 600;
}

.wrong {
  color: var(--clay-text);
}

@container (max-width: 520px) {
  .people > li {
    grid-template-columns: 1fr;
  }
}
</style>
