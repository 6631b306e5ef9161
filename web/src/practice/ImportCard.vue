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
import { t } from '../words/practice.ts';

/** Records of another practice, or of this one, imported from a file: looked at first, nothing overwritten, nothing doubled. */
const practice = usePractice();
const { opened, wrong, people, shared, progress, told, wanted, look, choose, importAll, forget } = useImport();

const from = computed(() => {
  const file = opened.value?.file;
  if (!file) return '';
  const at = DateTime.fromISO(file.takenOutAt, { zone: practice.zone });
  return t('from', { name: file.practice.name, what: at.isValid ? t('exportedOn', { toFormat: at.toFormat('d LLL yyyy') }) : '' });
});
const names = computed(() => [...new Set([...(shared.value?.newNames ?? []), ...people.value.flatMap(({ report }) => report.newNames)])]);
const NEW = t('somebodyNew');
const LEAVE = t('leaveOut');
const optionsOf = ({ report: { same } }: PersonLine) => [
  ...(same ? [{ value: same.id, label: same.by === 'id' ? t('addWhatMissingHere') : t('addWhoHere', { name: same.name }) }] : []),
  ...(same?.by === 'id' ? [] : [{ value: NEW, label: t('addSomebodyNew') }]),
  { value: LEAVE, label: t('leaveOut2') },
];
const chosen = ({ choice }: PersonLine) => (choice === 'new' ? NEW : choice === 'leave' ? LEAVE : choice.same);
const take = (line: PersonLine, value: string) => choose(line, value === NEW ? 'new' : value === LEAVE ? 'leave' : { same: value });
const whoIs = ({ report: { same } }: PersonLine) =>
  same === null ? t('nobodyHere') : same.by === 'id' ? t('fileHere') : t('sameNameBirthDate');
const rowsOf = (count: number) => `${many(count)} ${count === 1 ? 'row' : 'rows'}`;
function standing(line: PersonLine): string {
  const { fresh, here, left } = totals(line.report);
  const parts = [
    fresh > 0 ? t('toAdd', { rowsOf: rowsOf(fresh) }) : t('nothingAdd'),
    here > 0 ? t('hereAlready', { rowsOf: rowsOf(here) }) : '',
    left > 0 ? t('notTaken', { rowsOf: rowsOf(left) }) : '',
  ];
  return parts.filter((part) => part !== '').join(', ');
}
const kinds = computed(() => {
  const counts = shared.value?.counts ?? [];
  return counts.filter(({ fresh }) => fresh > 0).map(({ table, fresh }) => `${many(fresh)} ${tableWords(table)}`);
});
</script>

<template>
  <section class="card fields" :aria-label="t('importRecords')">
    <h2>{{ t('importRecords') }}</h2>
    <p>
      {{ t('recordWholePracticeExported') }}
    </p>
    <FilePick :label="t('chooseFileJson')" accept=".json,application/json" :disabled="progress !== null" @pick="look" />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div v-if="progress" role="status">
      <p class="soft">
        {{ t('of', { what: progress.doing === 'looking' ? t('lookingIntoFile') : t('importing'), done: progress.done, of: progress.of }) }}
      </p>
      <Progress :percent="Math.round((100 * progress.done) / progress.of)" :show-info="false" size="small" />
    </div>
    <template v-if="opened">
      <p>{{ from }}</p>
      <ul class="people" :aria-label="t('inTheFile')">
        <li v-for="line in people" :key="line.id">
          <div>
            <strong>{{ line.name }}</strong> <span class="soft">{{ t('born', { birthDate: line.birthDate, whoIs: whoIs(line) }) }}</span>
            <div v-if="line.state === 'imported'" class="done">{{ t('imported') }}</div>
            <div v-else class="soft">{{ standing(line) }}</div>
            <div v-if="line.problem" class="wrong">{{ line.problem }}</div>
            <details v-if="line.report.left.length > 0">
              <summary>{{ t('whatNotTaken') }}</summary>
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
            :label="t('whatBecomes', { name: line.name })"
            :disabled="progress !== null"
            @change="(value) => take(line, value)"
          />
        </li>
      </ul>
      <p v-if="kinds.length > 0" class="soft">{{ t('comesEverybody', { kinds: kinds.join(', ') }) }}</p>
      <p v-if="names.length > 0" class="soft">{{ t('keptNamesThoseWho', { names: names.join(', ') }) }}</p>
      <div v-if="opened.notUnderstood.length > 0" class="soft">
        <p>{{ t('notImported') }}</p>
        <ul class="left">
          <li v-for="each in opened.notUnderstood" :key="`${each.what} ${each.why}`">{{ each.count }} {{ each.what }}: {{ each.why }}</li>
        </ul>
      </div>
      <div class="choices">
        <Button type="primary" :loading="progress !== null" :disabled="wanted.length === 0" @click="importAll">{{
          t('import', { count: wanted.length, what: wanted.length === 1 ? t('athlete') : t('athletes') })
        }}</Button>
        <Button :disabled="progress !== null" @click="forget">{{ t('closeFile') }}</Button>
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
