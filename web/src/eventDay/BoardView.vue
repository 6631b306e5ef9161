<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { ConsentArea } from '@pace-bend/core/caution';
import {
  KIND_WORDS,
  type BoardRow,
  type BoardTable as Table,
  type DayEvent,
  type DayEventBody,
  type EventRecord,
} from '@pace-bend/core/eventDay';
import { keepChoice, readChoice } from '../api/drafts.ts';
import KitTheme from '../parts/KitTheme.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useForAMoment } from '../parts/useForAMoment.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import BoardTable from './BoardTable.vue';
// All of the board is there once it is open: where it is used there may be no line.
import AskFirst from './AskFirst.vue';
import CloseDialog from './CloseDialog.vue';
import MoreDialog from './MoreDialog.vue';
import OneMoreDialog from './OneMoreDialog.vue';
import PlanLook from './PlanLook.vue';
import RaceDialog from './RaceDialog.vue';
import RecordDialog from './RecordDialog.vue';
import { eventDayRecord } from '../outbox/eventDayChanges.ts';
import { useEventDay } from './useEventDay.ts';
import { useRecords } from './useRecords.ts';
import { countWords, keptWords } from '../outbox/words.ts';
import { useOutbox } from '../stores/outbox.ts';
import { listed, STATUS_WORDS } from './words.ts';
import { t } from '../words/eventDay.ts';

/** The day as it goes on: what is on each table, what is next and later; told by taps, and told anew when something changes. */
const route = useRoute();
const practice = usePractice();
const session = useSession();
const id = String(route.params.id);
const day = useEventDay(id);
const { file, problem, alone, now, isToday, state, board, plan, remedies, planning, failure } = day;
const records = useRecords(id, file, state);
const outbox = useOutbox();
const notSent = computed(() => outbox.of(eventDayRecord(id)).length);
const entrance = computed(() => route.name === 'event-day-entrance');
const maySay = computed(() => session.may('POST', '/event-days/:id/events'));
const mayRecord = computed(() => session.may('PUT', '/event-days/:id/records/:wishId'));
const maySetUp = computed(() => session.may('PUT', '/event-days/:id'));

/** For a screen in the sun or in a hall, whatever the machine asks for; as the machine asks where nothing was chosen. */
const LIGHT = 'event-day-light';
const light = ref<'machine' | 'sun' | 'hall'>(readChoice<'sun' | 'hall'>(LIGHT) ?? 'machine');
function turnLight(): void {
  light.value = light.value === 'machine' ? 'sun' : light.value === 'sun' ? 'hall' : 'machine';
  keepChoice(LIGHT, light.value === 'machine' ? null : light.value);
}
const LIGHT_WORDS = { machine: t('lightDevice'), sun: t('lightSun'), hall: t('lightHall') } as const;

onMounted(async () => {
  await day.load();
  if (!entrance.value && maySay.value) await records.load();
});
// Whoever came on file since has cautions of their own.
watch(
  () => state.value?.starters.map(({ athleteId }) => athleteId).join(),
  (_now, before) => {
    if (before !== undefined && records.people.value) void records.load();
  },
);
// What happened changes the times: they are worked out anew, and shown before they are taken.
watch(
  [state, now],
  ([nextState, nextNow], [lastState, lastNow]) => {
    if (nextState !== lastState || nextNow !== lastNow) day.planNow();
  },
  { immediate: true },
);
const { toWrite } = records;
const looking = ref(false);
const raceOpen = ref(false);
const closeOpen = ref(false);
const wishOpen = ref(false);
const more = ref<BoardRow | null>(null);
/** Who comes onto which table, while it is asked what has to be asked. */
const asking = ref<{ readonly row: BoardRow; readonly shiftId: string } | null>(null);
/** What is written down now: as it was done, or that they were sent on. */
const writing = ref<{ readonly row: BoardRow; readonly sendOn: boolean } | null>(null);

const nameOf = (wishId: string) => {
  const wish = state.value?.wishes.find((each) => each.wish.id === wishId)?.wish;
  return state.value?.starters.find(({ id: starter }) => starter === wish?.starterId)?.name ?? '';
};
const changes = computed(() => plan.value?.changes ?? []);
const unserved = computed(() => plan.value?.notServed.filter(({ why }) => why !== 'over' && why !== 'told-just-now') ?? []);
const noneTold = computed(() => state.value?.wishes.every(({ promise }) => promise === null) ?? true);

// The last thing that was said here can be taken back.
const last = useForAMoment<{ readonly event: DayEvent; readonly words: string }>(20_000);
function say(body: DayEventBody, words: string): void {
  last.show({ event: day.say(body), words });
  more.value = null;
}
function takeBack(): void {
  const said = last.value.value;
  if (said) day.say({ kind: 'takeBack', eventId: said.event.id });
  last.show(null);
}
function mark(row: BoardRow, kind: 'here' | 'done' | 'notComing'): void {
  say({ kind, wishId: row.state.wish.id }, `${row.name}: ${STATUS_WORDS[kind === 'notComing' ? 'off' : kind]}`);
  if (kind === 'done' && mayRecord.value) writeDown(row.state.wish.id);
}
/** Before hands go on it is asked, by whoever may write it down. */
function onto(row: BoardRow, shiftId: string): void {
  more.value = null;
  if (mayRecord.value && row.state.asked === null) asking.value = { row, shiftId };
  else ontoTable(row, shiftId);
}
function well(consent: readonly ConsentArea[]): void {
  const { row, shiftId } = asking.value!;
  day.say({ kind: 'asked', wishId: row.state.wish.id, consent });
  ontoTable(row, shiftId);
}
function notWell(): void {
  writing.value = { row: asking.value!.row, sendOn: true };
  asking.value = null;
}
function writeDown(wishId: string): void {
  const row = [...(board.value?.finished ?? []), ...(board.value?.off ?? [])].find(({ state: { wish } }) => wish.id === wishId);
  if (row) writing.value = { row, sendOn: false };
}
function write(record: EventRecord): void {
  const { row, sendOn } = writing.value!;
  if (sendOn) day.say({ kind: 'notComing', wishId: row.state.wish.id });
  records.write(row.state.wish.id, record);
  // What is written down is not taken back by undoing what led to it.
  last.show(null);
  writing.value = null;
}
function ontoTable(row: BoardRow, shiftId: string): void {
  asking.value = null;
  say({ kind: 'onTable', wishId: row.state.wish.id, shiftId }, `${row.name}: ${STATUS_WORDS.onTable}`);
}
function longer(row: BoardRow): void {
  const until = Math.min(1439, Math.max(row.until ?? now.value, now.value) + 5);
  say({ kind: 'overrun', wishId: row.state.wish.id, until }, t('until2', { name: row.name, clock: practice.clock(until) }));
}
function takeTimes(): void {
  const times = changes.value.flatMap(({ to }) => (to ? [to] : []));
  const dropped = changes.value.flatMap(({ wishId, to }) => (to ? [] : [wishId]));
  if (changes.value.length > 0)
    say(
      { kind: 'promise', times, dropped },
      t('told', { count: changes.value.length, what: changes.value.length === 1 ? t('time') : t('times2') }),
    );
  looking.value = false;
}
const conflicts = computed(
  () =>
    state.value?.conflicts.map(({ first, second }) => ({
      key: first.id + second.id,
      words: t('didNotKnowWhat', {
        by: second.by,
        by2: first.by,
        what: 'wishId' in second.body ? nameOf(second.body.wishId) : t('theTimes'),
      }),
    })) ?? [],
);
const handsOf = ({ shift }: Table) => {
  if (!shift) return t('closed');
  const name = file.value?.therapists.find((each) => each.id === shift.therapistId)?.name ?? '';
  return shift.from > now.value
    ? t('from', { name, clock: practice.clock(shift.from) })
    : t('until3', { name, clock: practice.clock(shift.until) });
};
</script>

<template>
  <KitTheme :shade="light === 'hall' ? 'dark' : light === 'sun' ? 'light' : null">
    <div class="frame" :class="[light === 'sun' ? 'on-paper' : '', light === 'hall' ? 'hall' : '', { entrance }]">
      <main id="main" class="page board" tabindex="-1">
        <ProblemNote v-if="problem" :problem="problem"
          ><Button @click="day.load()">{{ t('tryAgain') }}</Button></ProblemNote
        >
        <p v-else-if="!file || !board || !state" class="soft">{{ t('openingDay') }}</p>
        <template v-else>
          <header>
            <h1>{{ file.setUp.title }}</h1>
            <span v-if="isToday" class="clock num" role="timer">{{ practice.clock(now) }}</span>
            <span v-else class="soft">{{ now < 0 ? t('notTodayStillAhead') : t('itIsOver') }}</span>
            <span v-if="alone || notSent > 0" class="line soft" role="status"
              >{{ alone ? t('noLineDeviceGoes') : ''
              }}{{ notSent > 0 ? ` ${countWords(notSent)}, ${keptWords(outbox.isStored)}` : '' }}</span
            >
            <span class="end tools no-print">
              <template v-if="!entrance">
                <Button v-if="maySay" @click="raceOpen = true">{{ t('raceLater') }}</Button>
                <Button v-if="maySay" @click="closeOpen = true">{{ t('tableCloses') }}</Button>
                <Button v-if="maySay" @click="wishOpen = true">{{ t('oneMoreWish') }}</Button>
              </template>
              <Button @click="turnLight">{{ LIGHT_WORDS[light] }}</Button>
              <RouterLink v-if="!entrance" :to="`/event-day/${id}/entrance`">{{ t('forTheEntrance') }}</RouterLink>
              <RouterLink v-else :to="`/event-day/${id}`">{{ t('board') }}</RouterLink>
              <RouterLink v-if="maySetUp && !entrance" :to="`/event-day/${id}/set-up`">{{ t('setUp') }}</RouterLink>
              <RouterLink v-if="!entrance" to="/event-days">{{ t('allDays') }}</RouterLink>
            </span>
          </header>

          <template v-if="!entrance">
            <div v-if="maySay && (changes.length > 0 || unserved.length > 0)" class="notice" role="status">
              <b v-if="changes.length > 0">{{
                noneTold
                  ? t('timesTell', { count: changes.length })
                  : t('wouldChange', { count: changes.length, what: changes.length === 1 ? t('time') : t('times2') })
              }}</b>
              <b v-else>{{ t('withoutTime', { count: unserved.length }) }}</b>
              <span v-if="changes.length > 0" class="who"
                >{{ listed([...new Set(changes.map(({ wishId }) => nameOf(wishId)))].slice(0, 4))
                }}{{ changes.length > 4 ? ' …' : '' }}</span
              >
              <Button type="primary" size="large" @click="looking = true">{{ t('lookTimes') }}</Button>
            </div>
            <p v-if="failure" class="wrong" role="alert">{{ failure }}</p>
            <div v-for="conflict in conflicts" :key="conflict.key" class="notice care" role="alert">{{ conflict.words }}</div>
            <div v-if="last.value.value" class="notice quiet" role="status">
              <span>{{ last.value.value.words }}</span>
              <Button size="large" @click="takeBack">{{ t('undo') }}</Button>
            </div>
          </template>

          <p v-if="board.tables.length === 0" class="soft">
            {{ t('noTableOpen') }} <RouterLink v-if="maySetUp" :to="`/event-day/${id}/set-up`">{{ t('sayWhoStandsWhere') }}</RouterLink>
          </p>
          <div class="tables" :style="{ '--tables': board.tables.length }">
            <BoardTable
              v-for="table in board.tables"
              :key="table.table"
              :table="table"
              :hands="handsOf(table)"
              :quiet="entrance || !maySay"
              @here="(row) => mark(row, 'here')"
              @done="(row) => mark(row, 'done')"
              @onto="(row) => onto(row, table.shift?.id ?? row.state.promise!.shiftId)"
              @longer="longer"
              @more="(row) => (more = row)"
            />
          </div>
          <section v-if="!entrance && mayRecord && toWrite.length > 0" class="untimed" :aria-label="t('writeDown')">
            <h2>{{ t('writeDown') }}</h2>
            <ul class="plain">
              <li v-for="{ wish } in toWrite" :key="wish.id">
                <button type="button" class="row" @click="writeDown(wish.id)">
                  <b>{{ nameOf(wish.id) }}</b>{{ ' ' }}
                  <span class="soft">{{ KIND_WORDS[wish.kind] }}{{ records.refusedOf(wish.id) ? t('notTakenWriteDown') : '' }}</span>
                </button>
              </li>
            </ul>
          </section>
          <section v-if="!entrance && board.untimed.length > 0" class="untimed" :aria-label="t('withoutATime')">
            <h2>{{ t('withoutATime') }}</h2>
            <ul class="plain">
              <li v-for="row in board.untimed" :key="row.state.wish.id">
                <button type="button" class="row" :disabled="!maySay" @click="more = row">
                  <b>{{ row.name }}</b> <span class="soft">{{ KIND_WORDS[row.state.wish.kind] }}, {{ row.raceName }}</span>
                </button>
              </li>
            </ul>
          </section>
          <p v-if="!entrance && (board.finished.length > 0 || board.off.length > 0)" class="soft counts">
            {{ t('done2', { count: board.finished.length })
            }}<template v-if="board.off.length > 0">{{ t('notComing', { count: board.off.length }) }}</template>
          </p>

          <PlanLook
            v-if="looking && plan"
            :plan="plan"
            :remedies="remedies"
            :planning="planning"
            :set-up="file.setUp"
            :name-of="nameOf"
            @take="takeTimes"
            @close="looking = false"
          />
          <RaceDialog v-if="raceOpen" :races="state.races" @say="say" @close="raceOpen = false" />
          <CloseDialog v-if="closeOpen" :set-up="file.setUp" :now="now" @say="say" @close="closeOpen = false" />
          <OneMoreDialog v-if="wishOpen" :set-up="file.setUp" :state="state" @say="say" @close="wishOpen = false" />
          <MoreDialog
            v-if="more"
            :row="more"
            :now="now"
            :set-up="file.setUp"
            @say="say"
            @done="mark(more, 'done')"
            @onto="(shiftId) => onto(more!, shiftId)"
            @close="more = null"
          />
          <AskFirst
            v-if="asking"
            :row="asking.row"
            :records="records"
            @well="well"
            @not-well="notWell"
            @unasked="ontoTable(asking.row, asking.shiftId)"
            @close="asking = null"
          />
          <RecordDialog
            v-if="writing"
            :key="writing.row.state.wish.id"
            :row="writing.row"
            :records="records"
            :send-on="writing.sendOn"
            :last-event-id="state.last[`record ${writing.row.state.wish.id}`] ?? null"
            @write="write"
            @close="writing = null"
          />
        </template>
      </main>
    </div>
  </KitTheme>
</template>

<style scoped src="./board.css"></style>
