<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref, shallowRef } from 'vue';
import {
  guessDateOrder,
  LOAD_FIELDS,
  matchLoadColumns,
  readCalendar,
  readLoads,
  readTable,
  type DateOrder,
  type LoadColumns,
  type LoadField,
  type LoadRow,
  type LoadRowProblem,
  type RawTable,
} from '@pace-bend/core/exchange';
import { addDays, loadKindsOf } from '@pace-bend/core/load';
import { LIMITS } from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import DataTable, { type DataColumn } from '../parts/DataTable.vue';
import FilePick from '../parts/FilePick.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import type { LoadAthlete } from '../stores/loads.ts';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/load.ts';

/** Sessions from a table, with its columns told once and remembered; planned ones from a calendar. Everything is looked at first. */
const practice = usePractice();
const { busy, problem, run } = useAction();
const people = shallowRef<readonly LoadAthlete[]>([]);
const remembered = shallowRef<Readonly<Record<string, string | null>> | null>(null);
const table = shallowRef<RawTable | null>(null);
const columns = shallowRef<LoadColumns | null>(null);
const order = ref<DateOrder>('ymd');
const fileName = ref('');
const calendar = ref('');
/** Whose a calendar is. */
const whose = ref<string | null>(null);
const skipWrong = ref(false);
const result = ref<{ readonly added: number; readonly already: number } | null>(null);
/** Ids are made once for a file, so that sending it again writes it once. */
let ids = new Map<string, string>();
const SHOWN = 12;
const MOST_BYTES = 5 * 1024 * 1024;
const AHEAD_DAYS = 120;

onMounted(() =>
  run(async () => {
    await practice.load();
    const found = await api<{ athletes: LoadAthlete[]; columns: Record<string, string | null> | null }>(
      'GET',
      `/loads?from=${practice.today}&to=${practice.today}`,
    );
    people.value = found.athletes;
    remembered.value = found.columns;
  }),
);
const persons = computed(() => people.value.map(({ id, name, sports }) => ({ id, name, kinds: loadKindsOf(practice.played(sports)) })));

async function open(file: File): Promise<void> {
  table.value = null;
  calendar.value = '';
  result.value = null;
  skipWrong.value = false;
  problem.value = null;
  ids = new Map();
  fileName.value = file.name;
  if (file.size > MOST_BYTES) {
    problem.value = new ApiProblem('not-read', t('fileLargerThan5'));
    return;
  }
  const text = await file.text().catch(() => null);
  if (text === null) problem.value = new ApiProblem('not-read', t('fileCannotRead'));
  else if (/^\uFEFF?\s*BEGIN:VCALENDAR/i.test(text)) calendar.value = text;
  else {
    const raw = readTable(text);
    table.value = raw;
    columns.value = matchLoadColumns(raw.header, remembered.value);
    order.value = guessDateOrder(raw.rows.map((row) => (row[columns.value!.date ?? 0] ?? '').split(/[T ]/)[0]!));
  }
}

const read = computed<{ rows: readonly LoadRow[]; problems: readonly LoadRowProblem[] }>(() =>
  table.value && columns.value
    ? readLoads(table.value, columns.value, order.value, persons.value, practice.today)
    : { rows: [], problems: [] },
);
const missing = computed(() => LOAD_FIELDS.filter((field) => field.required && columns.value?.[field.id] === null));
const wrongRows = computed(() => new Set(read.value.problems.map(({ row }) => row)).size);
const planned = computed(() =>
  calendar.value ? readCalendar(calendar.value, addDays(practice.today, 1), addDays(practice.today, AHEAD_DAYS), practice.dayOf) : null,
);
const owner = computed(() => persons.value.find(({ id }) => id === whose.value) ?? null);
const sessions = computed(() => (planned.value?.kind === 'sessions' ? planned.value.sessions : []));
const kindOf = (name: string) =>
  owner.value?.kinds.find(
    (kind) => name.toLowerCase().startsWith(kind.name.toLowerCase()) || kind.name.toLowerCase().startsWith(name.toLowerCase()),
  ) ?? owner.value?.kinds[0];

const columnChoices = computed(() => [
  { value: '-', label: t('none') },
  ...(table.value?.header ?? []).map((name, i) => ({ value: String(i), label: name || t('column', { what: i + 1 }) })),
]);
function setColumn(field: LoadField, value: string): void {
  const at = value === '-' ? null : Number(value);
  columns.value = Object.fromEntries(
    Object.entries(columns.value!).map(([id, column]) => [id, id === field ? at : column === at ? null : column]),
  ) as unknown as LoadColumns;
}
const ORDERS = [
  { value: 'ymd', label: t('yearMonthDay') },
  { value: 'dmy', label: t('dayMonthYear') },
  { value: 'mdy', label: t('monthDayYear') },
] as const;

const mayGo = computed(
  () =>
    !busy.value &&
    (table.value
      ? read.value.rows.length > 0 && (wrongRows.value === 0 || skipWrong.value)
      : owner.value !== null && sessions.value.length > 0 && owner.value.kinds.length > 0),
);
const kindName = ({ athleteId, kind }: LoadRow) =>
  persons.value.find(({ id }) => id === athleteId)?.kinds.find(({ id }) => id === kind)?.name ?? kind;
const PREVIEW: readonly DataColumn<LoadRow>[] = [
  { key: 'athlete', title: t('athlete'), value: ({ athleteId }) => nameOf(athleteId), sortable: true },
  { key: 'day', title: t('day'), value: ({ onDate }) => onDate, sortable: true, numeric: true },
  { key: 'what', title: t('what'), value: kindName, sortable: true },
  { key: 'minutes', title: t('minutes'), value: ({ minutes }) => minutes, sortable: true, numeric: true },
  { key: 'hard', title: t('howHard'), value: ({ exertion }) => exertion ?? t('notRated'), sortable: true, numeric: true },
  { key: 'amount', title: t('amount'), value: ({ amount }) => amount, sortable: true, numeric: true },
];
const nameOf = (id: string) => people.value.find((person) => person.id === id)?.name ?? '';
const idFor = (key: string) => {
  const id = ids.get(key) ?? uuid();
  ids.set(key, id);
  return id;
};

async function go(): Promise<void> {
  const rows = table.value
    ? read.value.rows.map(({ row: _row, ...each }) => ({ ...each, id: idFor(`${each.athleteId}/${each.key}`) }))
    : sessions.value.map(({ onDate, name, minutes, key }) => ({
        onDate,
        kind: kindOf(name)!.id,
        minutes,
        exertion: null,
        amount: null,
        askedAfterMin: null,
        planned: true,
        athleteId: owner.value!.id,
        key,
        id: idFor(`${owner.value!.id}/${key}`),
      }));
  const told =
    columns.value && table.value
      ? Object.fromEntries(
          LOAD_FIELDS.map(({ id }) => [id, columns.value![id] === null ? null : (table.value!.header[columns.value![id]!] ?? null)]),
        )
      : null;
  await run(async () => {
    let [added, already] = [0, 0];
    // In parts that the server takes; each is written whole or not at all, and what went in before is recognised.
    for (let from = 0; from < rows.length; from += LIMITS.loadsInRequest) {
      const part = await api<{ added: number; already: number }>('POST', '/import/loads', {
        by: table.value ? 'table' : 'calendar',
        columns: told,
        rows: rows.slice(from, from + LIMITS.loadsInRequest),
      });
      added += part.added;
      already += part.already;
    }
    result.value = { added, already };
    remembered.value = told ?? remembered.value;
    table.value = null;
    calendar.value = '';
  });
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('importSessions') }}</h1>
      <RouterLink class="end" to="/load">{{ t('backWeek') }}</RouterLink>
    </header>
    <section class="card fields" :aria-label="t('file')">
      <p class="soft">
        {{ t('tableSessionsDoneCsv') }}
      </p>
      <FilePick :label="t('chooseTableCalendar')" accept=".csv,.txt,.tsv,.ics,text/csv,text/calendar" drop @pick="open" />
      <p v-if="fileName" class="soft small">{{ fileName }}</p>
      <p v-if="result" class="done" role="status">
        {{ t('imported', { added: result.added, what: result.added === 1 ? t('session') : t('sessions') })
        }}<template v-if="result.already > 0">{{ t('hereAlready', { already: result.already }) }}</template
        >.
        <RouterLink to="/load">{{ t('seeWeek') }}</RouterLink>
      </p>
      <ProblemNote v-if="problem" :problem="problem" />
    </section>

    <template v-if="table && columns">
      <section class="card fields" :aria-label="t('columns')">
        <h2>{{ t('columns') }}</h2>
        <p class="soft small">{{ t('rowsWhatEachColumn', { count: table.rows.length }) }}</p>
        <div class="columns">
          <div v-for="field in LOAD_FIELDS" :key="field.id" class="field">
            <label :for="`column-${field.id}`">{{ field.label }}</label>
            <PickOne
              :input-id="`column-${field.id}`"
              :label="field.label"
              :value="columns[field.id] === null ? '-' : String(columns[field.id])"
              :options="columnChoices"
              @change="(to) => setColumn(field.id, to)"
            />
          </div>
          <div class="field">
            <label for="date-order">{{ t('daysWritten') }}</label>
            <PickOne input-id="date-order" :label="t('daysWritten')" :value="order" :options="ORDERS" @change="(to) => (order = to)" />
          </div>
        </div>
        <p v-if="missing.length > 0" class="wrong" role="alert">
          {{ t('chooseColumn', { missing: missing.map((field) => field.label).join(', ') }) }}
        </p>
      </section>
      <section v-if="read.problems.length > 0" class="card fields" :aria-label="t('problems')">
        <h2>{{ t('beRead', { wrongRows, what: wrongRows === 1 ? t('rowCannot') : t('rowsCannot') }) }}</h2>
        <ul class="plain problems">
          <li v-for="(each, i) in read.problems.slice(0, 50)" :key="i">
            <b class="num">{{ t('row', { row: each.row }) }}</b>,
            {{ LOAD_FIELDS.find((field) => field.id === each.field)!.label.toLowerCase() }}: {{ each.message }}
          </li>
        </ul>
        <p v-if="read.problems.length > 50" class="soft small">{{ t('moreLikeThese', { what: read.problems.length - 50 }) }}</p>
        <Checkbox v-model:checked="skipWrong">{{ t('leaveTheseRowsOut') }}</Checkbox>
      </section>
      <section class="card" :aria-label="t('willWritten')">
        <h2>{{ t('willWritten') }}</h2>
        <DataTable
          v-if="read.rows.length > 0"
          :label="t('sessionsAdded')"
          :rows="read.rows"
          :columns="PREVIEW"
          :row-key="(row) => row.row"
        />
        <p v-else class="soft">{{ t('noRowCanRead') }}</p>
      </section>
    </template>
    <section v-if="planned" class="card fields" :aria-label="t('calendar')">
      <template v-if="planned.kind === 'sessions'">
        <h2>
          {{
            t('plannedNextDays', {
              count: sessions.length,
              what: sessions.length === 1 ? t('session') : t('sessions'),
              aheadDays: AHEAD_DAYS,
            })
          }}
        </h2>
        <p v-if="planned.skipped > 0" class="soft small">{{ t('leftOutAllDay', { skipped: planned.skipped }) }}</p>
        <div class="field">
          <label for="calendar-of">{{ t('whoseCalendar') }}</label>
          <PickOne
            input-id="calendar-of"
            :label="t('whoseCalendar')"
            search
            :value="whose"
            :options="people.map(({ id, name }) => ({ value: id, label: name }))"
            :placeholder="t('typeName')"
            @change="(id) => (whose = id)"
          />
        </div>
        <p v-if="owner && owner.kinds.length === 0" class="wrong" role="alert">
          {{ t('noSportAnythingTrain', { name: owner.name }) }}
        </p>
        <ul class="plain problems">
          <li v-for="each in sessions.slice(0, SHOWN)" :key="each.key">
            <span class="num">{{ each.onDate }}</span> {{ t('min', { name: each.name, minutes: each.minutes })
            }}<template v-if="owner">{{ t('as', { kindOf: kindOf(each.name)?.name.toLowerCase() }) }}</template>
          </li>
        </ul>
        <p v-if="sessions.length > SHOWN" class="soft small">{{ t('andMore', { what: sessions.length - SHOWN }) }}</p>
      </template>
      <p v-else class="wrong" role="alert">{{ planned.message }}</p>
    </section>
    <Button v-if="table || calendar" type="primary" size="large" :disabled="!mayGo" :loading="busy" @click="go">{{
      t('import', { count: table ? read.rows.length : sessions.length })
    }}</Button>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(160px, 100%), 1fr));
  gap: 10px 14px;
}

.problems {
  max-height: 260px;
  overflow: auto;
}

.done {
  padding: 8px 14px;
  border-left: 4px solid var(--spruce);
  background: var(--spruce-soft);
}
</style>
