<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { computed, onMounted, ref, shallowRef } from 'vue';
import {
  matchStartColumns,
  readStarts,
  readTable,
  START_FIELDS,
  type RawTable,
  type StartColumns,
  type StartField,
  type StartRow,
} from '@pace-bend/core/exchange';
import { api, ApiProblem } from '../api/api.ts';
import { keepChoice, readChoice } from '../api/drafts.ts';
import DataTable, { type DataColumn } from '../parts/DataTable.vue';
import FilePick from '../parts/FilePick.vue';
import LongText from '../parts/LongText.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/eventDay.ts';

/** A start list from a file, or pasted as it was copied out of a table. Looked at first; its columns are remembered. */
const emit = defineEmits<{ add: [rows: readonly Omit<StartRow, 'row'>[]]; close: [] }>();
const practice = usePractice();
const REMEMBERED = 'start-list-columns';
const MOST_BYTES = 1024 * 1024;
const athletes = shallowRef<readonly { readonly id: string; readonly name: string }[]>([]);
const pasted = ref('');
const table = shallowRef<RawTable | null>(null);
const columns = shallowRef<StartColumns | null>(null);
const skipWrong = ref(false);
const failure = ref('');

onMounted(async () => {
  try {
    // Every page of the list: a name is an athlete's only where no other has it.
    for (let offset = 0, total = 1; offset < total; offset += 100) {
      const found = await api<{ athletes: { id: string; name: string }[]; total: number }>('GET', `/athletes?offset=${offset}`);
      athletes.value = [...athletes.value, ...found.athletes];
      total = found.total;
    }
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    failure.value = t('namesCannotToldFrom', { message: error.message });
  }
});

function look(text: string): void {
  failure.value = '';
  skipWrong.value = false;
  if (text.trim() === '') return void (table.value = null);
  const raw = readTable(text);
  table.value = raw;
  columns.value = matchStartColumns(raw.header, readChoice<Record<string, string | null>>(REMEMBERED));
}
async function open(file: File): Promise<void> {
  if (file.size > MOST_BYTES) return void (failure.value = t('fileLargerThan1'));
  const text = await file.text().catch(() => null);
  if (text === null) failure.value = t('fileCannotRead');
  else look(text);
}
const missing = computed(() => START_FIELDS.filter((field) => field.required && columns.value?.[field.id] === null));
const read = computed(() =>
  table.value && columns.value && missing.value.length === 0
    ? readStarts(table.value, columns.value, athletes.value)
    : { rows: [], problems: [] },
);
const wrongRows = computed(() => new Set(read.value.problems.map(({ row }) => row)).size);
const columnChoices = computed(() => [
  { value: '-', label: t('none') },
  ...(table.value?.header ?? []).map((name, i) => ({ value: String(i), label: name || t('column', { what: i + 1 }) })),
]);
function setColumn(field: StartField, value: string): void {
  const at = value === '-' ? null : Number(value);
  columns.value = Object.fromEntries(
    Object.entries(columns.value!).map(([id, column]) => [id, id === field ? at : column === at ? null : column]),
  ) as unknown as StartColumns;
}
const PREVIEW: readonly DataColumn<StartRow>[] = [
  { key: 'name', title: t('athlete'), value: ({ name, athleteId }) => (athleteId ? name : t('guest', { name })) },
  { key: 'race', title: t('race'), value: ({ race }) => race },
  { key: 'call', title: t('call'), value: ({ callAt }) => (callAt === null ? '' : practice.clock(callAt)), numeric: true },
  { key: 'start', title: t('start'), value: ({ startAt }) => practice.clock(startAt), numeric: true },
];
const mayGo = computed(() => read.value.rows.length > 0 && (wrongRows.value === 0 || skipWrong.value));
function go(): void {
  keepChoice(
    REMEMBERED,
    Object.fromEntries(
      START_FIELDS.map(({ id }) => [id, columns.value![id] === null ? null : (table.value!.header[columns.value![id]!] ?? null)]),
    ),
  );
  emit(
    'add',
    read.value.rows.map(({ row: _row, ...each }) => each),
  );
  emit('close');
}
</script>

<template>
  <SheetDialog :open="true" :title="t('importStartList')" :width="760" @update:open="emit('close')">
    <div class="fields">
      <FilePick :label="t('chooseTable')" accept=".csv,.txt,.tsv,text/csv" @pick="open" />
      <div class="field">
        <label for="pasted">{{ t('pasteHereHeadings') }}</label>
        <LongText id="pasted" v-model="pasted" rows="3" @input="look(($event.target as HTMLTextAreaElement).value)" />
      </div>
      <p v-if="failure" class="wrong" role="alert">{{ failure }}</p>
      <template v-if="table && columns">
        <div class="columns">
          <div v-for="field in START_FIELDS" :key="field.id" class="field">
            <label :for="`start-column-${field.id}`">{{ field.label }}</label>
            <PickOne
              :input-id="`start-column-${field.id}`"
              :label="field.label"
              :value="columns[field.id] === null ? '-' : String(columns[field.id])"
              :options="columnChoices"
              @change="(to) => setColumn(field.id, to)"
            />
          </div>
        </div>
        <p v-if="missing.length > 0" class="wrong" role="alert">
          {{ t('chooseColumn', { missing: missing.map((field) => field.label).join(', ') }) }}
        </p>
        <template v-if="read.problems.length > 0">
          <h2>{{ t('beRead', { wrongRows, what: wrongRows === 1 ? t('rowCannot') : t('rowsCannot') }) }}</h2>
          <ul class="plain problems">
            <li v-for="(each, i) in read.problems.slice(0, 30)" :key="i">
              <b class="num">{{ t('row', { row: each.row }) }}</b>,
              {{ START_FIELDS.find((field) => field.id === each.field)!.label.toLowerCase() }}: {{ each.message }}
            </li>
          </ul>
          <Checkbox v-model:checked="skipWrong">{{ t('leaveTheseRowsOut') }}</Checkbox>
        </template>
        <DataTable
          v-if="read.rows.length > 0"
          :label="t('startsAdded')"
          :rows="read.rows"
          :columns="PREVIEW"
          :row-key="(row) => row.row"
          :page-size="8"
        />
      </template>
      <div class="pair">
        <Button type="primary" :disabled="!mayGo" @click="go">{{ t('importStarts', { count: read.rows.length }) }}</Button>
        <Button @click="emit('close')">{{ t('close') }}</Button>
      </div>
    </div>
  </SheetDialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(150px, 100%), 1fr));
  gap: 10px 14px;
}

.problems {
  max-height: 140px;
  overflow: auto;
}
</style>
