<script setup lang="ts">
import interact from 'interactjs';
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed, defineAsyncComponent, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { addDays } from '@pace-bend/core/load';
import { MOST_A_WEEK, WEEK_REACH, WEEK_WEIGHTS, weekDays, weekdayOf, type WeekPerson } from '@pace-bend/core/week';
import { hintOf, isKey, whichKey } from '../parts/keys.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { isTyping } from '../parts/useGlobalKeys.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { dayName, degreesWords, type Cell } from './cells.ts';
import { rowsOf } from './rows.ts';
import { useWeek } from './useWeek.ts';
import WeekAside from './WeekAside.vue';
import WeekCell from './WeekCell.vue';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/week.ts';

const TimesDialog = defineAsyncComponent(() => import('./TimesDialog.vue'));

/** The therapist's week: days down, times across; filled so that the visits bring most, changed by hand, booked in one step. */
const route = useRoute();
const router = useRouter();
const practice = usePractice();
const session = useSession();
const week = useWeek();
const { state, share, failure, problem, file, people, plan, draft, valued, clashes, kept, leftOut, more, filling, standing, steps } = week;
const { busy, problem: refused, run } = useAction();
const mayChange = computed(() => session.may('POST', '/week/book'));

const mondayOf = (day: string) => addDays(day, 1 - weekdayOf(day));
/** The key of the time that is looked at. */
const chosen = ref<string | null>(null);
/** The week after this one where none is named: this one has begun. */
const monday = computed(() =>
  typeof route.query.of === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(route.query.of)
    ? mondayOf(route.query.of)
    : addDays(mondayOf(practice.today), 7),
);
const show = (of: string) => void router.push({ query: { ...route.query, of } });
onMounted(() => practice.load());
watch(
  () => (practice.today === '' ? '' : monday.value),
  (of) => {
    chosen.value = null;
    if (of !== '') void week.open(of);
  },
  { immediate: true },
);

const whose = ref('all');
const therapists = computed(() => {
  const working = new Set(file.value?.hours.therapists.map(({ accountId }) => accountId));
  return (file.value?.therapists ?? []).filter(({ id }) => working.has(id));
});
const nameOf = (accountId: string) => file.value?.therapists.find(({ id }) => id === accountId)?.name ?? '';
const rows = computed(() =>
  file.value && plan.value
    ? rowsOf(file.value, plan.value, draft.value, {
        valued: valued.value,
        clashes: clashes.value,
        standing: standing.value,
        today: practice.today,
      }).filter(({ accountId }) => whose.value === 'all' || accountId === whose.value)
    : [],
);
const cells = computed(() => rows.value.map((row) => row.cells));
const mostKept = computed(() => Math.max(0.1, ...cells.value.flat().map(({ visit }) => visit?.kept ?? 0)));
const chosenCell = computed(() => cells.value.flat().find(({ id }) => id === chosen.value) ?? null);
const chosenPerson = computed<WeekPerson | null>(() => people.value.find(({ id }) => id === chosenCell.value?.visit?.athleteId) ?? null);
const firstKey = computed(() => chosenCell.value?.id ?? cells.value[0]?.[0]?.id ?? null);
const mayBeFree = ({ slot, state: now }: Cell) => slot !== null || now === 'closed';
const canHold = (cell: Cell | null | undefined) =>
  cell !== null && cell !== undefined && (cell.state === 'free' || cell.state === 'placed');

const title = computed(() => {
  const [from, to] = [DateTime.fromISO(monday.value), DateTime.fromISO(addDays(monday.value, 6))];
  return t('to3', { toFormat: from.toFormat(from.month === to.month ? 'd' : 'd LLL'), toFormat2: to.toFormat('d LLL') });
});
const count = computed(() => ({
  visits: valued.value.length,
  slots: plan.value?.slots.length ?? 0,
  people: new Set(valued.value.map(({ person }) => person)).size,
}));
/** How good the week is, in words; true by how it came about. */
const howWords = computed(() => {
  if (draft.value.how === 'optimal') return draft.value.placed.some(({ pinned }) => pinned) ? t('noWeekAroundPins') : t('noWeekBringsMore');
  if (draft.value.how === 'stopped') return t('bestFoundFarNone', { degrees: degreesWords(draft.value.gap) });
  return draft.value.how === 'by hand' ? t('changedHand') : '';
});
const events = computed(() => {
  const days = weekDays(monday.value);
  const all = new Map(
    people.value.flatMap((person) => person.days.flatMap((day) => day.events.map((event) => [event.id, event] as const))),
  );
  return [...all.values()].filter(({ onDate }) => days.includes(onDate)).sort((a, b) => (a.onDate < b.onDate ? -1 : 1));
});
const history = computed(() => steps.kept(monday.value));

/** Minutes of thumb work of a row, as far as visits of before say it, against what the practice allows. */
function thumbs(row: (typeof rows.value)[number]) {
  const known = row.cells.flatMap(({ visit }) => {
    const minutes = visit ? people.value.find(({ id }) => id === visit.athleteId)?.thumbMin : null;
    return minutes === null || minutes === undefined ? [] : [minutes];
  });
  const minutes = Math.round(known.reduce((sum, each) => sum + each, 0));
  return { known: known.length, minutes, limit: file.value!.thumbLimit, over: minutes - file.value!.thumbLimit };
}

const grid = ref<HTMLElement | null>(null);
async function choose(key: string, focus = true): Promise<void> {
  chosen.value = key;
  await nextTick();
  if (focus) grid.value?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(key)}"]`)?.focus();
}
/** The cell next to one: along the row, or the one at about the same time of another row. */
function beside(key: string, which: number): Cell | null {
  const r = cells.value.findIndex((row) => row.some((cell) => cell.id === key));
  if (r < 0) return null;
  const row = cells.value[r]!;
  const c = row.findIndex((cell) => cell.id === key);
  if (which < 2) return row[c + (which === 0 ? -1 : 1)] ?? null;
  const other = cells.value[r + (which === 2 ? -1 : 1)];
  const at = row[c]!.fromMin;
  return (
    other?.reduce<Cell | null>(
      (best, cell) => (best === null || Math.abs(cell.fromMin - at) < Math.abs(best.fromMin - at) ? cell : best),
      null,
    ) ?? null
  );
}
/** The next cell that way that can hold a visit. */
function besideToHold(key: string, which: number): Cell | null {
  for (let at = beside(key, which); at !== null; at = beside(at.id, which)) if (canHold(at)) return at;
  return null;
}
function moveVisit(from: string, to: string): void {
  week.move(from, to);
  void choose(to);
}

function onKey(event: KeyboardEvent): void {
  if (isTyping(event) || (event.target instanceof Element && event.target.closest('.ant-modal-wrap, .ant-select, button, a'))) {
    if (!isKey(event, 'undo') && !isKey(event, 'redo')) return;
    if (isTyping(event)) return;
  }
  if (document.querySelector('.ant-modal-wrap:not([style*="display: none"])') || state.value !== 'ready') return;
  const done = act(event);
  if (done) event.preventDefault();
}
function act(event: KeyboardEvent): boolean {
  const go = whichKey(event, 'otherSlot');
  if (go !== null) {
    const next = chosen.value === null ? (cells.value[0]?.[0] ?? null) : beside(chosen.value, go);
    if (next) void choose(next.id);
    return true;
  }
  if (!mayChange.value || busy.value) return false;
  if (isKey(event, 'redo')) void undoing(() => steps.redo(monday.value));
  else if (isKey(event, 'undo')) void undoing(() => steps.undo(monday.value));
  else if (isKey(event, 'fillWeek')) week.fill(t('weekFilled'));
  else {
    const cell = chosenCell.value;
    if (!cell) return false;
    const way = whichKey(event, 'moveSlot');
    if (way !== null) {
      const to = cell.state === 'placed' ? besideToHold(cell.id, way) : null;
      if (to) moveVisit(cell.id, to.id);
    } else if (isKey(event, 'pinVisit')) week.togglePin(cell.id);
    else if (isKey(event, 'takeOut')) week.takeOut(cell.id);
    else if (isKey(event, 'keepFree') && mayBeFree(cell)) week.keepFree(cell.id);
    else return false;
  }
  return true;
}
useWindowKeys(onKey);

const undoing = (work: () => Promise<void>) => run(work);
const book = () => run(() => week.book());

/** A visit is dragged by its cell; where the hand lets go over a time that can hold it, it moves there. */
const dragged = ref<{ readonly id: string; readonly x: number; readonly y: number } | null>(null);
const over = ref<string | null>(null);
const cellAt = (x: number, y: number): string | null =>
  document
    .elementsFromPoint(x, y)
    .flatMap((element) => element.closest<HTMLElement>('[data-cell]')?.dataset.cell ?? [])
    .find((key) => key !== dragged.value?.id) ?? null;
let drag: ReturnType<typeof interact> | null = null;
watch(grid, (element) => {
  drag?.unset();
  drag = null;
  if (!element || !mayChange.value) return;
  drag = interact('.cell.placed', { context: element })
    // A finger scrolls the page; it drags only the visit that was chosen before. A mouse takes hold anywhere.
    .actionChecker(
      (pointer: { pointerType?: string }, _event: unknown, action: object | null, _interactable: unknown, target: HTMLElement) =>
        (pointer.pointerType === 'touch' || pointer.pointerType === 'pen') && target.dataset.cell !== chosen.value ? null : action,
    )
    .draggable({
      autoScroll: true,
      listeners: {
        start: ({ target }: { target: HTMLElement }) => {
          dragged.value = { id: target.dataset.cell!, x: 0, y: 0 };
        },
        move: ({ dx, dy, clientX, clientY }: { dx: number; dy: number; clientX: number; clientY: number }) => {
          if (!dragged.value) return;
          dragged.value = { ...dragged.value, x: dragged.value.x + dx, y: dragged.value.y + dy };
          const at = cellAt(clientX, clientY);
          over.value = canHold(cells.value.flat().find(({ id }) => id === at)) ? at : null;
        },
        end: () => {
          const [from, to] = [dragged.value?.id, over.value];
          dragged.value = null;
          over.value = null;
          if (from && to) moveVisit(from, to);
        },
      },
    })
    .styleCursor(false);
});
onBeforeUnmount(() => drag?.unset());
const shift = (key: string) =>
  dragged.value?.id === key ? { transform: `translate(${dragged.value.x}px, ${dragged.value.y}px)`, zIndex: 5 } : {};

const times = ref<WeekPerson | null>(null);
async function timesKept(): Promise<void> {
  times.value = null;
  await week.open(monday.value);
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ practice.today === '' ? t('week') : title }}</h1>
      <span class="choices">
        <Button :aria-label="t('weekBefore')" @click="show(addDays(monday, -7))">←</Button>
        <Button :aria-label="t('weekAfter')" @click="show(addDays(monday, 7))">→</Button>
      </span>
      <PickOne
        v-if="therapists.length > 1"
        :label="t('therapist')"
        :value="whose"
        :options="[{ value: 'all', label: t('everybody') }, ...therapists.map(({ id, name }) => ({ value: id, label: name }))]"
        @change="(id) => (whose = id)"
      />
      <RouterLink v-if="session.may('PUT', '/week-hours')" to="/practice/hours" class="small">{{ t('hours') }}</RouterLink>
      <span v-if="mayChange" class="end choices">
        <Button
          :disabled="busy || history.done.length === 0"
          :title="`${hintOf('undo')}: ${history.done.at(-1)?.words ?? ''}`"
          @click="undoing(() => steps.undo(monday))"
          >{{ t('undo') }}</Button
        >
        <Button :disabled="state !== 'ready' || busy || filling !== null" :title="hintOf('fillWeek')" @click="week.fill(t('weekFilled'))">{{
          draft.placed.some(({ pinned }) => pinned) ? t('fillAroundPins') : t('fillWeek')
        }}</Button>
        <Button type="primary" :loading="busy" :disabled="state !== 'ready' || filling !== null || valued.length === 0" @click="book">{{
          t('book', { count: valued.length, what: valued.length === 1 ? t('visit') : t('visits') })
        }}</Button>
      </span>
    </header>

    <ProblemNote v-if="problem" :problem="problem" :retry="() => week.open(monday)" />
    <div v-else-if="state === 'failed'" role="alert">
      <p>{{ failure }}</p>
      <Button @click="week.open(monday)">{{ t('tryAgain') }}</Button>
    </div>
    <ProblemNote v-if="refused" :problem="refused" :retry="() => week.open(monday)" />
    <p class="sr-only" role="status">
      {{
        history.undone.length > 0
          ? t('undone', { undone: history.undone.at(-1)?.words })
          : history.done.length > 0
            ? t('done', { done: history.done.at(-1)?.words })
            : ''
      }}
    </p>

    <p v-if="state === 'reading'" class="soft" role="status">{{ t('reading') }}</p>
    <p v-else-if="state === 'learning'" class="soft" role="status">{{ t('workingOutWhatVisits', { share: Math.round(share * 100) }) }}</p>

    <div v-else-if="file && plan" class="layout">
      <section :aria-label="t('theWeek')">
        <div class="sum">
          <b class="num">{{ degreesWords(kept) }}</b>
          <span
            >{{
              t('expectedKeptTowardsGoals', {
                visits: count.visits,
                slots: count.slots,
                people: count.people,
                what: count.people === 1 ? t('person') : t('people'),
                howWords,
              })
            }}
            <template v-if="filling"
              ><span role="status"
                >{{ t('filling')
                }}<template v-if="filling.bound > 0"
                  >{{ ' ' }}{{ t('mostGain', { degrees: degreesWords(Math.max(0, filling.bound - filling.best)) }) }}</template
                >
                …</span
              >
              <Button v-if="filling.long" size="small" @click="week.stopFilling">{{ t('stop') }}</Button></template
            ><Button v-else-if="draft.how === 'stopped' && mayChange" size="small" @click="week.fill('', true)">{{
              t('lookFurther')
            }}</Button></span
          >
        </div>
        <p v-if="!file.hoursSet" class="small soft">{{ t('usualHours818') }}</p>
        <p class="legend small soft" aria-hidden="true">
          <span><i class="t seen" /><i class="t out" /><i class="t seen" /> {{ t('lastThreeWeeksSeen') }}</span>
          <span><i class="edge" /> {{ t('keepOnly') }}</span>
          <span class="end">{{ t('thumbsMin') }}</span>
        </p>
        <div ref="grid" class="grid" role="grid" :aria-label="t('timesWeek')">
          <div v-for="row in rows" :key="row.key" class="row" role="row" :aria-label="`${dayName(row.date)}, ${nameOf(row.accountId)}`">
            <div class="day" role="rowheader">
              <b class="num">{{ Number(row.date.slice(8)) }}</b>
              <span class="soft">{{ dayName(row.date).slice(0, 3) }}</span>
              <span v-if="therapists.length > 1" class="small soft who">{{ nameOf(row.accountId) }}</span>
            </div>
            <div class="cells" role="presentation">
              <WeekCell
                v-for="cell in row.cells"
                :key="cell.id"
                :data-cell="cell.id"
                :time="practice.clock(cell.fromMin)"
                :visit="cell.visit"
                :state="cell.state"
                :words="cell.words"
                :chosen="cell.id === chosen"
                :target="cell.id === over"
                :first="cell.id === firstKey"
                :most="mostKept"
                :style="shift(cell.id)"
                @click="choose(cell.id)"
                @focus="choose(cell.id, false)"
              />
              <p v-if="row.cells.length === 0" class="soft small">{{ t('noTimeLeftDay') }}</p>
            </div>
            <div class="thumbs small" role="presentation">
              <template v-if="thumbs(row).known > 0">
                <span class="meter" aria-hidden="true"
                  ><i
                    :class="{ over: thumbs(row).over > 0 }"
                    :style="{ width: `${Math.min(100, (100 * thumbs(row).minutes) / (thumbs(row).limit * 1.3))}%` }" /><em
                /></span>
                <b>{{ thumbs(row).minutes }}</b> {{ t('of', { thumbs: thumbs(row).limit })
                }}<span v-if="thumbs(row).over > 0" class="wrong">{{ t('over', { thumbs: thumbs(row).over }) }}</span>
              </template>
            </div>
          </div>
          <p v-if="rows.length === 0" class="soft">
            {{ t('noHoursWeek') }}
            <RouterLink v-if="session.may('PUT', '/week-hours')" to="/practice/hours">{{ t('setHours') }}</RouterLink>
          </p>
        </div>
        <p v-if="mayChange && chosenCell" class="choices acts">
          <template v-if="chosenCell.state === 'placed'">
            <Button size="small" :title="hintOf('pinVisit')" @click="week.togglePin(chosenCell.id)">{{
              chosenCell.visit?.pinned ? t('unpin') : t('pin')
            }}</Button>
            <Button size="small" :title="hintOf('takeOut')" @click="week.takeOut(chosenCell.id)">{{ t('remove') }}</Button>
          </template>
          <Button v-if="mayBeFree(chosenCell)" size="small" :title="hintOf('keepFree')" @click="week.keepFree(chosenCell.id)">{{
            chosenCell.state === 'closed' ? t('giveTimeBack') : t('keepTimeFree')
          }}</Button>
          <RouterLink v-if="chosenCell.visitId" :to="`/visit/${chosenCell.visitId}`">{{ t('openVisit') }}</RouterLink>
        </p>
        <p v-for="event in events" :key="event.id" class="event">
          <b>{{ dayName(event.onDate).slice(0, 3) }} {{ Number(event.onDate.slice(8)) }}: {{ event.name }}</b>
        </p>
        <details class="small how">
          <summary>{{ t('howWeighed') }}</summary>
          <p>
            {{
              t('visitCountsWhatExpected', {
                look: WEEK_WEIGHTS.look,
                unknown: WEEK_WEIGHTS.unknown,
                path: WEEK_WEIGHTS.path,
                leftOut: WEEK_WEIGHTS.leftOut,
                what: WEEK_WEIGHTS.keep[0],
                what2: -WEEK_WEIGHTS.longTraining,
                mostAWeek: MOST_A_WEEK,
                apart: file.hours.apart,
                what3: file.hours.apart === 1 ? t('day2') : t('days'),
              })
            }}
            <template v-if="file.total > people.length">{{
              t('athletesLookedThoseSeen', { count: people.length, total: file.total, ...WEEK_REACH })
            }}</template>
          </p>
        </details>
      </section>
      <WeekAside
        :person="chosenPerson"
        :time="chosenCell?.slot ?? null"
        :taken="chosenCell?.state !== 'free'"
        :people="people"
        :left-out="leftOut"
        :out="draft.out"
        :more="more"
        :name-of="nameOf"
        :several-therapists="therapists.length > 1"
        :may-change="mayChange"
        @put="(id) => week.put(id, chosenCell!.id)"
        @let-in="week.letIn"
        @open="week.openSlot"
        @times="(person) => (times = person)"
      />
    </div>
    <TimesDialog v-if="times" :open="true" :athlete-id="times.id" :name="times.name" @update:open="times = null" @kept="timesKept" />
  </div>
</template>

<style scoped>
.layout {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 244px;
  gap: 20px;
}

.sum {
  display: flex;
  align-items: baseline;
  gap: 12px;
  margin-bottom: 6px;
}

.sum > b {
  font-family: var(--figures);
  font-size: 26px;
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0 0 4px;
}

.legend .t {
  display: inline-block;
  width: 4px;
  margin-right: 2px;
}

.legend .seen {
  height: 13px;
  background: var(--spruce);
}

.legend .out {
  height: 3px;
  background: var(--clay);
}

.edge {
  display: inline-block;
  width: 4px;
  height: 13px;
  background: var(--clay);
}

.end {
  margin-left: auto;
}

.row {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) 74px;
  gap: 8px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

.day {
  display: flex;
  flex-direction: column;
}

.day b {
  font-family: var(--figures);
  font-size: 22px;
  line-height: 1.1;
}

.who {
  overflow-wrap: anywhere;
}

.cells {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(112px, 100%), 1fr));
  gap: 6px;
}

.cells p {
  margin: 0;
}

.meter {
  position: relative;
  display: block;
  height: 8px;
  margin: 4px 0;
  background: var(--line-faint);
}

.meter i {
  display: block;
  height: 100%;
  background: var(--slate);
}

.meter .over {
  background: var(--clay);
}

.meter em {
  position: absolute;
  top: -3px;
  bottom: -3px;
  left: calc(100% / 1.3);
  width: 2px;
  background: var(--ink);
}

.wrong {
  color: var(--clay-text);
}

.event {
  margin: 6px 0 0;
  padding: 3px 10px;
  border-left: 3px solid var(--slate);
  background: var(--slate-soft);
}

.acts {
  align-items: center;
  margin: 8px 0 0;
}

.how {
  margin-top: 10px;
}

.how p {
  max-width: 76ch;
  margin: 6px 0 0;
}

@container page (max-width: 972px) {
  .layout {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
