<script setup lang="ts">
import { DateTime } from 'luxon';
import { nextTick, ref } from 'vue';
import { usePractice } from '../stores/practice.ts';
import WeekRow from './WeekRow.vue';
import { pastedCells } from './week.ts';
import type { Edit, Row } from './useWeekEdits.ts';
import { t } from '../words/load.ts';

/** A squad's week as cells that are typed into: arrows move, Enter keeps, Delete takes out, a spreadsheet is pasted. */
const props = defineProps<{
  rows: readonly Row[];
  days: readonly string[];
  /** Records of which something is not on the server yet. */
  unsent: ReadonlySet<string>;
  /** Makes cells what was typed; says what is wrong with one, and then nothing was written. */
  edit: (edits: readonly Edit[]) => { readonly at: Edit; readonly message: string } | null;
}>();
const wrong = defineModel<string>('wrong', { required: true });
const practice = usePractice();

/** The cell that is typed into, and the text in it. */
const at = ref<{ readonly row: number; readonly day: number }>({ row: 0, day: 0 });
const typing = ref<string | null>(null);
const grid = ref<HTMLElement | null>(null);

const cellAt = (row: number, day: number) => grid.value?.querySelector<HTMLElement>(`[data-cell="${row}/${day}"]`) ?? null;
async function go(row: number, day: number): Promise<void> {
  at.value = { row: Math.min(props.rows.length - 1, Math.max(0, row)), day: Math.min(6, Math.max(0, day)) };
  await nextTick();
  cellAt(at.value.row, at.value.day)?.focus();
}

/** Keeps what is typed; returns whether it could be. */
function keep(): boolean {
  if (typing.value === null) return true;
  const { row, day } = at.value;
  const message =
    props.rows[row]?.cells[day]?.text === typing.value ? null : (props.edit([{ row, day, text: typing.value }])?.message ?? null);
  if (message) {
    wrong.value = message;
    return false;
  }
  typing.value = null;
  wrong.value = '';
  return true;
}
function begin(text: string): void {
  typing.value = text;
  wrong.value = '';
  void nextTick(() => {
    const input = grid.value?.querySelector<HTMLInputElement>('input.typed');
    input?.focus();
    input?.setSelectionRange(text.length, text.length);
  });
}

const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};
function onCellKey(event: KeyboardEvent): void {
  const { row, day } = at.value;
  if (typing.value === null && event.key in MOVES && !event.altKey && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    const [down, right] = MOVES[event.key]!;
    void go(row + down, day + right);
  } else if (event.key === 'Enter') {
    event.preventDefault();
    if (typing.value === null) begin(props.rows[row]?.cells[day]?.text ?? '');
    else if (keep()) void go(row + 1, day);
  } else if (event.key === 'Escape' && typing.value !== null) {
    event.preventDefault();
    typing.value = null;
    wrong.value = '';
    void go(row, day);
  } else if (typing.value === null && (event.key === 'Delete' || event.key === 'Backspace')) {
    event.preventDefault();
    wrong.value = props.edit([{ row, day, text: '' }])?.message ?? '';
  } else if (
    typing.value === null &&
    event.key.length === 1 &&
    !event.ctrlKey &&
    !event.metaKey &&
    !event.altKey &&
    /[\p{L}\d]/u.test(event.key)
  ) {
    event.preventDefault();
    begin(event.key);
  } else if (event.key === 'Tab' && typing.value !== null && !keep()) event.preventDefault();
}
function onPaste(event: ClipboardEvent): void {
  if (typing.value !== null) return;
  event.preventDefault();
  const cells = pastedCells(event.clipboardData?.getData('text/plain') ?? '');
  const { row, day } = at.value;
  const steps = cells
    .flatMap((line, down) => line.map((text, right) => ({ row: row + down, day: day + right, text })))
    .filter((step) => step.row < props.rows.length && step.day < 7);
  const found = props.edit(steps);
  const target = found && props.rows[found.at.row]!;
  wrong.value = target
    ? t('nothingPasted', { name: target.name, day: dayWords(target.cells[found.at.day]!.on), message: found.message })
    : '';
}
const dayWords = (day: string) => DateTime.fromISO(day).toFormat('ccc d LLL');
defineExpose({ keep });
</script>

<template>
  <div class="scroll">
    <table ref="grid" role="grid" :aria-label="t('sessionsWeek')" @keydown="onCellKey" @paste="onPaste">
      <colgroup>
        <col class="who" />
        <col v-for="day in days" :key="day" />
        <col v-for="n in 5" :key="n" class="sum" />
      </colgroup>
      <thead>
        <tr>
          <th scope="col">{{ rows.length }} {{ rows.length === 1 ? t('person') : t('people') }}</th>
          <th v-for="day in days" :key="day" scope="col" class="day" :class="{ today: day === practice.today }">
            {{ DateTime.fromISO(day).toFormat('ccc d') }}
          </th>
          <th scope="col" class="figure">{{ t('week') }}</th>
          <th scope="col" class="figure" :title="t('meanDaysOverTheir')">{{ t('monotony') }}</th>
          <th scope="col" class="figure" :title="t('weekMonotony')">{{ t('strain') }}</th>
          <th scope="col" class="figure" :title="t('mean7DaysAgainst')">7 : 28</th>
          <th scope="col" class="figure" :title="t('sameExponentiallyWeighted')">{{ t('weighted') }}</th>
        </tr>
      </thead>
      <tbody>
        <WeekRow
          v-for="(row, r) in rows"
          :key="row.id"
          :row="row"
          :index="r"
          :at="at.row === r ? at.day : null"
          :typed="at.row === r ? typing : null"
          :unsent="unsent.has(`athlete/${row.id}`)"
          :wrong="at.row === r && wrong !== ''"
          @look="(day) => keep() && (at = { row: r, day })"
          @begin="begin"
          @type="(text) => (typing = text)"
          @leave="keep"
        />
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
  max-height: calc(100vh - 220px);
}

/* Columns of a set width: where every cell has a say in them, each key lays out two hundred rows anew. */
table {
  width: 100%;
  min-width: 940px;
  border-collapse: collapse;
  table-layout: fixed;
}

.who {
  width: 150px;
}

.sum {
  width: 74px;
}

thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  padding: 4px 6px 6px;
  border-bottom: 1.5px solid var(--ink);
  background: var(--ground);
  font-weight: 600;
  font-size: 13px;
  text-align: left;
  white-space: nowrap;
}

.today {
  background: var(--spruce-soft);
}

.figure {
  padding: 2px 6px;
  text-align: right;
  white-space: nowrap;
}
</style>
