<script setup lang="ts">
import { DateTime } from 'luxon';
import { nextTick, ref } from 'vue';
import { typedText } from '@pace-bend/core/load';
import { formatNumber } from '@pace-bend/core/measure';
import { usePractice } from '../stores/practice.ts';
import { pastedCells, type Cell } from './week.ts';
import type { Edit, Row } from './useWeekEdits.ts';

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
  wrong.value = target ? `${target.name}, ${dayWords(target.cells[found.at.day]!.on)}: ${found.message} Nothing was pasted.` : '';
}
/** A cell's sessions: the kind in small where it is not the usual one, minutes and how hard. */
const shownOf = (row: Row, cell: Cell) =>
  cell.done.map((each) => ({
    id: each.id,
    name: each.kind === row.kinds[0]?.id ? '' : (row.kinds.find(({ id }) => id === each.kind)?.name ?? each.kind),
    numbers: typedText([each], [{ id: each.kind, name: '', muscles: [] }]),
  }));
const dayWords = (day: string) => DateTime.fromISO(day).toFormat('ccc d LLL');
const number = (value: number | null | undefined, digits = 0) =>
  value === null || value === undefined ? '–' : formatNumber(value, digits);
const monotonyWords = (row: Row) => (row.figures.week && row.figures.week.monotony === null ? 'every day alike: not defined' : undefined);
defineExpose({ keep });
</script>

<template>
  <div class="scroll">
    <table ref="grid" role="grid" aria-label="Sessions of the week" @keydown="onCellKey" @paste="onPaste">
      <thead>
        <tr>
          <th scope="col">{{ rows.length }} {{ rows.length === 1 ? 'person' : 'people' }}</th>
          <th v-for="day in days" :key="day" scope="col" class="day" :class="{ today: day === practice.today }">
            {{ DateTime.fromISO(day).toFormat('ccc d') }}
          </th>
          <th scope="col" class="figure">Week</th>
          <th scope="col" class="figure" title="Mean of the days over their spread">Monotony</th>
          <th scope="col" class="figure" title="Week × monotony">Strain</th>
          <th scope="col" class="figure" title="Mean of 7 days against the 28 before">7 : 28</th>
          <th scope="col" class="figure" title="The same, exponentially weighted">weighted</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, r) in rows" :key="row.id">
          <th scope="row">
            <RouterLink :to="`/athlete/${row.id}/mornings`" :title="row.name">{{ row.name }}</RouterLink>
          </th>
          <td
            v-for="(cell, d) in row.cells"
            :key="cell.on"
            role="gridcell"
            class="cell num"
            :class="{
              today: cell.on === practice.today,
              ahead: cell.on > practice.today,
              unsent: unsent.has(`athlete/${row.id}`),
            }"
            :data-cell="`${r}/${d}`"
            :tabindex="at.row === r && at.day === d ? 0 : -1"
            :aria-label="`${row.name}, ${dayWords(cell.on)}: ${cell.text || 'nothing'}`"
            @focus="keep() && (at = { row: r, day: d })"
            @dblclick="begin(cell.text)"
          >
            <input
              v-if="typing !== null && at.row === r && at.day === d"
              v-model="typing"
              class="typed num"
              :aria-label="`${row.name}, ${dayWords(cell.on)}`"
              :aria-invalid="wrong ? 'true' : undefined"
              maxlength="120"
              autocomplete="off"
              @blur="keep()"
            />
            <template v-else
              ><span v-for="each in shownOf(row, cell)" :key="each.id" class="session"
                ><small v-if="each.name">{{ each.name }}</small> {{ each.numbers }}</span
              ><span v-for="each in cell.planned" :key="each.id" class="session planned" title="planned"
                >{{ each.minutes }} min</span
              ></template
            >
          </td>
          <td class="figure num">{{ number(row.figures.week?.sum) }}</td>
          <td class="figure num" :title="monotonyWords(row)">{{ number(row.figures.week?.monotony, 2) }}</td>
          <td class="figure num">{{ number(row.figures.week?.strain) }}</td>
          <td class="figure num">{{ number(row.figures.rolling.ratio, 2) }}</td>
          <td class="figure num">{{ number(row.figures.weighted.ratio, 2) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
  max-height: calc(100vh - 220px);
}

table {
  width: 100%;
  border-collapse: collapse;
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

tbody th {
  min-width: 120px;
  padding: 2px 12px 2px 0;
  font-weight: 600;
  text-align: left;
}

tbody th a {
  text-decoration: none;
}

.cell {
  min-width: 70px;
  height: 34px;
  padding: 2px 6px;
  border: 1px solid var(--line-faint);
  background: var(--paper);
  font: 400 13.5px var(--words);
  vertical-align: top;
  cursor: cell;
}

.cell:focus {
  outline: 2.5px solid var(--spruce);
  outline-offset: -2px;
}

.today {
  background: var(--spruce-soft);
}

.ahead {
  background: var(--raised);
}

.unsent {
  color: var(--soft);
  font-style: italic;
}

.session {
  display: block;
}

.session small {
  display: block;
  color: var(--soft);
  font-size: 11.5px;
  line-height: 1.1;
}

.planned {
  width: max-content;
  padding: 0 4px;
  border: 1px dashed var(--soft);
  border-radius: 3px;
  color: var(--soft);
}

.typed {
  width: 100%;
  min-width: 110px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
}

.typed:focus {
  outline: none;
}

td.figure {
  font: 400 13.5px var(--words);
}

.figure {
  padding: 2px 6px;
  text-align: right;
  white-space: nowrap;
}
</style>
