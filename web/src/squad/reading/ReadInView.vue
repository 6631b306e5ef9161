<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { v7 as uuid } from 'uuid';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { personKey, SQUAD_FIELDS, type DateOrder, type SquadField, type SquadRow } from '@pace-bend/core/exchange';
import { LIMITS, type AthleteList } from '@pace-bend/core/record';
import { api, ApiProblem } from '../../api/api.ts';
import DataTable, { type DataColumn } from '../../parts/DataTable.vue';
import FilePick from '../../parts/FilePick.vue';
import PickOne from '../../parts/PickOne.vue';
import ProblemNote from '../../parts/ProblemNote.vue';
import { usePractice } from '../../stores/practice.ts';
import type { SquadAnswer, SquadQuestion } from './squad.worker.ts';
import { t } from '../../words/squad.ts';

/** Reads a squad in from a table: looked at first, column by column and row by row; then all of it, or nothing. */
const practice = usePractice();
const table = shallowRef<SquadAnswer | null>(null);
const fileName = ref('');
const busy = ref('');
const problem = shallowRef<ApiProblem | null>(null);
const added = ref<number | null>(null);
/** People who are here already, by name and birth date. */
const here = shallowRef<ReadonlySet<string>>(new Set());
const skipWrong = ref(false);
/** Ids by row, made once: trying again adds nobody twice. */
let ids = new Map<number, string>();
const MOST_BYTES = 20 * 1024 * 1024;

let worker: Worker | null = null;
function begin(): void {
  worker?.terminate();
  worker = new Worker(new URL('./squad.worker.ts', import.meta.url), { type: 'module' });
  // Without its worker nothing can be read: that is said, and choosing the file again begins anew.
  const failed = (event: Event) => {
    event.preventDefault();
    busy.value = '';
    table.value = null;
    begin();
    problem.value = new ApiProblem('not-read', t('tableCouldNotRead'));
  };
  worker.onerror = failed;
  worker.onmessageerror = failed;
  worker.onmessage = ({ data }: MessageEvent<SquadAnswer>) => {
    table.value = data;
    busy.value = '';
  };
}
onMounted(() => {
  begin();
  void loadHere();
});
onBeforeUnmount(() => worker?.terminate());

async function loadHere(): Promise<void> {
  try {
    await practice.load();
    const keys = new Set<string>();
    for (let offset = 0; ; offset += LIMITS.listPage) {
      const page = await api<AthleteList>('GET', `/athletes?offset=${offset}`);
      for (const athlete of page.athletes) keys.add(personKey(athlete.name, athlete.birthDate));
      if (offset + page.athletes.length >= page.total) break;
    }
    here.value = keys;
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    problem.value = error;
  }
}

/** A worker is sent plain data. */
const plainSports = () => JSON.parse(JSON.stringify(practice.ownSports)) as SquadQuestion['ownSports'];
const ask = (question: SquadQuestion) => {
  busy.value = t('reading');
  worker!.postMessage(question);
};

async function take(file: File): Promise<void> {
  added.value = null;
  problem.value = null;
  table.value = null;
  if (file.size > MOST_BYTES) {
    problem.value = new ApiProblem('too-large', t('tableMbMostNothing', { what: MOST_BYTES / 1024 / 1024 }));
    return;
  }
  fileName.value = file.name;
  ids = new Map();
  busy.value = t('reading');
  try {
    // Whether a birth date can be depends on the day it is in the practice.
    await practice.load();
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    problem.value = error;
    busy.value = '';
    return;
  }
  ask({ kind: 'file', bytes: await file.arrayBuffer(), today: practice.today, ownSports: plainSports() });
}

const setColumn = (field: SquadField, column: string) =>
  ask({
    kind: 'again',
    columns: { ...table.value!.columns, [field]: column === 'none' ? null : Number(column) },
    order: table.value!.order,
    today: practice.today,
    ownSports: plainSports(),
  });
const setOrder = (order: DateOrder) =>
  ask({ kind: 'again', columns: table.value!.columns, order, today: practice.today, ownSports: plainSports() });
const ORDERS = [
  { value: 'ymd', label: t('yearMonthDay') },
  { value: 'dmy', label: t('dayMonthYear') },
  { value: 'mdy', label: t('monthDayYear') },
] as const;
const columnChoices = computed(() => [
  { value: 'none', label: t('notTable') },
  ...(table.value?.header ?? []).map((heading, i) => ({ value: String(i), label: heading || t('column', { what: i + 1 }) })),
]);

const fresh = computed(() => (table.value?.rows ?? []).filter((row) => !here.value.has(personKey(row.name, row.birthDate))));
const known = computed(() => (table.value?.rows.length ?? 0) - fresh.value.length);
const wrongRows = computed(() => new Set(table.value?.problems.map((each) => each.row)).size);
const tooMany = computed(() => fresh.value.length > LIMITS.importRows);
const mayGo = computed(() => fresh.value.length > 0 && !tooMany.value && (wrongRows.value === 0 || skipWrong.value) && !busy.value);

async function readIn(): Promise<void> {
  if (!mayGo.value) return;
  busy.value = t('writing', { count: fresh.value.length });
  problem.value = null;
  try {
    const rows = fresh.value.map(({ row, ...person }) => {
      const id = ids.get(row) ?? uuid();
      ids.set(row, id);
      return { id, ...person };
    });
    const answer = await api<{ added: number; already: number }>('POST', '/import/athletes', { rows });
    added.value = answer.added + answer.already;
    table.value = null;
    await loadHere();
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    problem.value = error;
  } finally {
    busy.value = '';
  }
}
/** A field of a row as it will be written, several sports one after the other. */
const PREVIEW: readonly DataColumn<SquadRow>[] = SQUAD_FIELDS.map(({ id, label }) => ({
  key: id,
  title: label,
  value: (row) => cellOf(row, id),
  sortable: true,
}));
function cellOf(row: SquadRow, field: SquadField): string {
  const played = practice.played(row.sports);
  switch (field) {
    case 'squads':
      return row.squads.join(', ');
    case 'sport':
      return played.map(({ sport }) => sport.name).join('; ');
    case 'discipline':
      return played.map(({ discipline }) => discipline?.name ?? '').join('; ');
    case 'role':
      return played.map(({ role }) => role?.name ?? '').join('; ');
    case 'leading':
      return played.map(({ leading }) => leading ?? '').join('; ');
    case 'words':
      return played.map(({ words }) => words).join('; ');
    default:
      return row[field];
  }
}
const DELIMITER_WORDS: Record<string, string> = { ',': t('commas'), ';': t('semicolons'), '\t': t('tabs'), '|': t('bars') };
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('importSquad') }}</h1>
      <RouterLink to="/squad">{{ t('backSquad') }}</RouterLink><span class="soft" role="status">{{ busy }}</span>
    </header>
    <ProblemNote v-if="problem" :problem="problem"
      ><ul v-if="problem.errors.length > 1">
        <li v-for="each in problem.errors.slice(0, 8)" :key="each.path">{{ each.message }}</li>
      </ul></ProblemNote
    >
    <p v-if="added !== null" class="done" role="status">
      {{ t('imported', { added, what: added === 1 ? t('athlete2') : t('athletes2') }) }}
      <RouterLink to="/squad">{{ t('toTheSquad') }}</RouterLink>
    </p>
    <section class="card fields" :aria-label="t('table')">
      <div class="field">
        <p>{{ t('tableOneAthleteRow') }}</p>
        <FilePick :label="t('chooseTable')" accept=".csv,.tsv,.txt,text/csv" drop @pick="take" />
      </div>
      <p v-if="table" class="soft small">
        {{
          t('nothingWrittenBeforeYou', {
            fileName,
            count: table.count,
            what: table.count === 1 ? t('row2') : t('rows'),
            what2: DELIMITER_WORDS[table.delimiter] ?? t('oneColumn'),
            encoding: table.encoding,
          })
        }}
      </p>
    </section>

    <template v-if="table">
      <section class="card" :aria-label="t('columns')">
        <h2>{{ t('columns') }}</h2>
        <div class="columns">
          <div v-for="field in SQUAD_FIELDS" :key="field.id" class="field">
            <label :for="`column-${field.id}`"
              >{{ field.label }}<span v-if="field.required" class="soft">{{ ' ' }}{{ t('needed') }}</span></label
            >
            <PickOne
              :input-id="`column-${field.id}`"
              :label="t('columnFor', { label: field.label })"
              :value="table.columns[field.id] === null ? 'none' : String(table.columns[field.id])"
              :options="columnChoices"
              @change="(column) => setColumn(field.id, column)"
            />
          </div>
          <div class="field">
            <label for="date-order">{{ t('datesWritten') }}</label>
            <PickOne input-id="date-order" :label="t('orderDates')" :value="table.order" :options="ORDERS" @change="setOrder" />
          </div>
        </div>
      </section>

      <section class="card fields" :aria-label="t('whatWillHappen')">
        <p>
          <b class="num">{{ fresh.length }}</b> {{ t('toBeAdded')
          }}<template v-if="known > 0"
            >, <b class="num">{{ known }}</b> {{ t('hereAlreadyLeftThey') }}</template
          ><template v-if="wrongRows > 0"
            >, <b class="num care">{{ wrongRows }}</b> {{ t('somethingWrong') }}</template
          >.
        </p>
        <p v-if="tooMany" class="wrong" role="alert">{{ t('mostOnceCutTable', { importRows: LIMITS.importRows }) }}</p>
        <Checkbox v-if="wrongRows > 0" v-model:checked="skipWrong">{{ t('leaveWrongRowsOut') }}</Checkbox>
        <div>
          <Button type="primary" size="large" :disabled="!mayGo" :loading="busy.startsWith('Writing')" @click="readIn">{{
            t('import2', { count: fresh.length })
          }}</Button>
        </div>
      </section>

      <section v-if="table.problems.length > 0" class="card" :aria-label="t('wrongRows')">
        <h2>{{ t('wrongRows') }}</h2>
        <ul class="plain problems">
          <li v-for="(each, i) in table.problems.slice(0, 200)" :key="i">
            <span class="num">{{ t('row', { row: each.row }) }}</span>
            {{ ' ' }}<span class="soft">{{ SQUAD_FIELDS.find((field) => field.id === each.field)!.label }}</span> {{ each.message }}
          </li>
          <li v-if="table.problems.length > 200" class="soft">{{ t('andMore2', { what: table.problems.length - 200 }) }}</li>
        </ul>
      </section>

      <section v-if="fresh.length > 0" class="card" :aria-label="t('willWritten')">
        <h2>{{ t('willWritten') }}</h2>
        <DataTable :label="t('athletesAdded')" :rows="fresh" :columns="PREVIEW" :row-key="(row) => row.row" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.done {
  padding: 8px 14px;
  border-left: 4px solid var(--spruce);
  background: var(--spruce-soft);
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(190px, 100%), 1fr));
  gap: 12px;
  margin-top: 8px;
}

.care {
  color: var(--clay-text);
}

.problems {
  max-height: 220px;
  margin-top: 8px;
  overflow: auto;
}

.problems li {
  display: grid;
  grid-template-columns: 76px 120px minmax(0, 1fr);
  gap: 8px;
  padding: 3px 0;
}
</style>
