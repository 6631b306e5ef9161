<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import DatePicker from 'ant-design-vue/es/date-picker';
import { DateTime } from 'luxon';
import { computed, nextTick, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { addDays, CONTESTED, loadKindsOf, typedText, type TrainingLoad } from '@pace-bend/core/load';
import { formatNumber } from '@pace-bend/core/measure';
import type { Squad } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { isKey } from '../parts/keys.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { useLoads } from '../stores/loads.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { cellsOf, changesOf, figuresOf, mondayOf, pastedCells, type Cell } from './week.ts';

/** A squad's week, a row a person, a cell a day: typed, pasted, undone; and what the week comes to. */
const practice = usePractice();
const session = useSession();
const store = useLoads();
const route = useRoute();
const router = useRouter();
const { problem, run } = useAction();
const squads = shallowRef<readonly Squad[]>([]);
const squadId = ref('all');
const monday = ref('');
const onlyId = computed(() => (typeof route.query.athlete === 'string' ? route.query.athlete : null));

const load = () => store.load(squadId.value === 'all' ? null : squadId.value, addDays(monday.value, 6));
onMounted(() =>
  run(async () => {
    await practice.load();
    monday.value = mondayOf(practice.today);
    squads.value = (await api<{ squads: Squad[] }>('GET', '/squads')).squads;
    await load();
  }),
);
watch([monday, squadId], (_now, [before]) => before !== '' && void load());

const days = computed(() => Array.from({ length: 7 }, (_, i) => addDays(monday.value, i)));
/** A row is worked out anew only when its athlete changed. */
const cache = new WeakMap<object, { readonly monday: string; readonly row: Row }>();
interface Row {
  readonly id: string;
  readonly name: string;
  readonly kinds: ReturnType<typeof loadKindsOf>;
  readonly cells: readonly Cell[];
  readonly figures: ReturnType<typeof figuresOf>;
}
const rows = computed<Row[]>(() =>
  store.athletes
    .filter(({ id }) => onlyId.value === null || id === onlyId.value)
    .map((athlete) => {
      const known = cache.get(athlete);
      if (known?.monday === monday.value) return known.row;
      const kinds = loadKindsOf(practice.played(athlete.sports));
      const row: Row = {
        id: athlete.id,
        name: athlete.name,
        kinds,
        cells: cellsOf(athlete.loads, monday.value, kinds),
        figures: figuresOf(athlete.loads, monday.value, practice.today),
      };
      cache.set(athlete, { monday: monday.value, row });
      return row;
    }),
);
const unsentSpots = computed(() => new Set(store.unsent.map((change) => change.record)));

/** The cell that is typed into, the text in it, and what is wrong with it. */
const at = ref<{ readonly row: number; readonly day: number }>({ row: 0, day: 0 });
const typing = ref<string | null>(null);
const wrong = ref('');
const grid = ref<HTMLElement | null>(null);

interface Step {
  readonly athleteId: string;
  readonly on: string;
  readonly text: string;
}
/** Texts of cells before each change, so that undo types them again. */
const done = ref<Step[][]>([]);

const cellAt = (row: number, day: number) => grid.value?.querySelector<HTMLElement>(`[data-cell="${row}/${day}"]`) ?? null;
async function go(row: number, day: number): Promise<void> {
  at.value = { row: Math.min(rows.value.length - 1, Math.max(0, row)), day: Math.min(6, Math.max(0, day)) };
  await nextTick();
  cellAt(at.value.row, at.value.day)?.focus();
}

/** Makes a cell what was typed; returns what is wrong with it, or null. */
function write(rowIndex: number, dayIndex: number, text: string): string | null {
  const row = rows.value[rowIndex];
  const cell = row?.cells[dayIndex];
  if (!row || !cell) return null;
  if (cell.on > practice.today && text.trim() !== '') return 'This day is still to come; planned sessions come from a calendar.';
  const changes = changesOf(cell, text, row.kinds);
  if ('message' in changes) return changes.message;
  for (const change of changes) {
    if (change.kind === 'take-out') store.takeOut(row.id, change.id);
    else {
      const over = change.over as TrainingLoad | null;
      store.write(row.id, { ...change.fields, onDate: cell.on, askedAfterMin: over?.askedAfterMin ?? null, planned: false }, over);
    }
  }
  return null;
}
/** The same, remembered for undo. */
function edit(steps: readonly { readonly row: number; readonly day: number; readonly text: string }[]): string | null {
  const before = steps.flatMap(({ row, day }): Step[] => {
    const cell = rows.value[row]?.cells[day];
    return cell ? [{ athleteId: rows.value[row]!.id, on: cell.on, text: cell.text }] : [];
  });
  for (const { row, day, text } of steps) {
    const message = write(row, day, text);
    if (message) return message;
  }
  done.value = [...done.value.slice(-50), before];
  return null;
}
function undo(): void {
  const last = done.value.at(-1);
  if (!last) return;
  done.value = done.value.slice(0, -1);
  for (const { athleteId, on, text } of last) {
    const row = rows.value.findIndex(({ id }) => id === athleteId);
    const day = days.value.indexOf(on);
    if (row >= 0 && day >= 0) write(row, day, text);
  }
}

/** Keeps what is typed; returns whether it could be. */
function keep(): boolean {
  if (typing.value === null) return true;
  const { row, day } = at.value;
  const message = rows.value[row]?.cells[day]?.text === typing.value ? null : edit([{ row, day, text: typing.value }]);
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
    if (typing.value === null) begin(rows.value[row]?.cells[day]?.text ?? '');
    else if (keep()) void go(row + 1, day);
  } else if (event.key === 'Escape' && typing.value !== null) {
    event.preventDefault();
    typing.value = null;
    wrong.value = '';
    void go(row, day);
  } else if (typing.value === null && (event.key === 'Delete' || event.key === 'Backspace')) {
    event.preventDefault();
    wrong.value = edit([{ row, day, text: '' }]) ?? '';
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
    .filter((step) => step.row < rows.value.length && step.day < 7);
  // Everything is looked at before anything is written: nothing half goes in.
  for (const step of steps) {
    const target = rows.value[step.row]!;
    const found = changesOf(target.cells[step.day]!, step.text, target.kinds);
    const late = target.cells[step.day]!.on > practice.today && step.text !== '';
    if ('message' in found || late) {
      wrong.value = `${target.name}, ${dayWords(target.cells[step.day]!.on)}: ${'message' in found ? found.message : 'this day is still to come.'} Nothing was pasted.`;
      return;
    }
  }
  wrong.value = edit(steps) ?? '';
}
function onWindowKey(event: KeyboardEvent): void {
  if (typing.value === null && isKey(event, 'undo')) {
    event.preventDefault();
    undo();
  }
}
onMounted(() => window.addEventListener('keydown', onWindowKey));
onUnmounted(() => window.removeEventListener('keydown', onWindowKey));

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
</script>

<template>
  <div class="page">
    <header>
      <h1>Load</h1>
      <PickOne
        v-if="squads.length > 0 && !onlyId"
        class="which"
        label="Squad shown"
        :value="squadId"
        :options="[{ value: 'all', label: 'everybody' }, ...squads.map((each) => ({ value: each.id, label: each.name }))]"
        @change="
          (id) => {
            keep();
            squadId = id;
          }
        "
      />
      <button v-if="onlyId" type="button" class="link" @click="router.push('/load')">Everybody</button>
      <div v-if="monday" class="weeks">
        <Button aria-label="A week back" @click="monday = addDays(monday, -7)">‹</Button>
        <DatePicker
          :value="monday"
          value-format="YYYY-MM-DD"
          picker="week"
          :allow-clear="false"
          :format="() => `${dayWords(monday)} – ${dayWords(addDays(monday, 6))}`"
          @change="(day) => day && (monday = mondayOf(String(day)))"
        />
        <Button aria-label="A week on" :disabled="addDays(monday, 7) > practice.today" @click="monday = addDays(monday, 7)">›</Button>
      </div>
      <span class="end choices">
        <Button :disabled="done.length === 0" @click="undo">Undo</Button>
        <Button v-if="session.may('POST', '/import/loads')" @click="router.push('/load/read-in')">Read in</Button>
      </span>
    </header>
    <ProblemNote v-if="problem || store.problem" :problem="(problem ?? store.problem)!" :retry="load" />
    <p v-else-if="!store.served" class="soft">Opening the week …</p>
    <p v-else-if="rows.length === 0" class="card soft">Nobody here yet.</p>
    <template v-else>
      <p class="soft small">
        Minutes, then how hard from 0 to 10: <b>60 7</b>. Another kind by how it begins: <b>str 45 6</b>. Two sessions with a semicolon.
      </p>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <p v-for="change in store.refused" :key="change.id" class="wrong" role="alert">
        {{ change.refusal!.message }} <button type="button" class="link" @click="store.drop(change.id)">Discard it</button>
      </p>
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
                  unsent: unsentSpots.has(`athlete/${row.id}`),
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
      <p class="soft small">
        Load is exertion × minutes, rest days are 0. A dash: not known yet, or not defined where every day was alike. {{ CONTESTED }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.which {
  width: 160px;
}

.weeks {
  display: flex;
  gap: 4px;
}

.weeks :deep(.ant-picker) {
  width: 220px;
}

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
