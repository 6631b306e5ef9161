<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref, watch } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import { useRoute, useRouter } from 'vue-router';
import { DateTime } from 'luxon';
import { projectDay, type ProjectedVisit } from '@pace-bend/core/record';
import { isTyping } from '../parts/useGlobalKeys.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import EventsAhead from '../events/EventsAhead.vue';
import DayBoard from './DayBoard.vue';
import { useBooking } from './useBooking.ts';
import { useDay } from '../stores/day.ts';
import { usePractice } from '../stores/practice.ts';
import { hintOf, isKey } from '../parts/keys.ts';

const DayList = defineAsyncComponent(() => import('./DayList.vue'));
const BookVisit = defineAsyncComponent(() => import('./BookVisit.vue'));

const route = useRoute();
const router = useRouter();
const day = useDay();
const practice = usePractice();
const booking = useBooking();
/** A board is as wide as it has columns; a phone gets the day as a list. */
const asList = useMediaQuery('(max-width: 640px)');
const asking = ref<'now' | 'later' | null>(null);
const date = computed(() => (route.params.date ? String(route.params.date) : undefined));
watch(date, (wanted) => void day.load(wanted), { immediate: true });

const shown = computed(() => DateTime.fromISO(day.page?.date ?? practice.today));
const title = computed(() => shown.value.toFormat('cccc d LLLL'));
const isToday = computed(() => day.page?.date === practice.today);
const go = (days: number) => {
  const target = shown.value.plus({ days }).toISODate()!;
  void router.push(target === practice.today ? '/' : `/day/${target}`);
};

const cancelled = computed(() => (day.page?.visits ?? []).filter((visit) => visit.cancelledAt !== null));

/** The clock, as often as lateness can change. */
const nowMs = ref(Date.now());
const tick = setInterval(() => {
  nowMs.value = Date.now();
}, 20_000);
const nowMinute = computed(() => (isToday.value ? practice.minuteOfDay(new Date(nowMs.value).toISOString()) : null));
const projected = computed<ReadonlyMap<string, ProjectedVisit>>(
  () => new Map(day.page && isToday.value ? projectDay(day.page.visits, nowMs.value).map((each) => [each.id, each]) : []),
);
/** Somebody is on the table past their time: who waits for it, and how long. */
const late = computed(() => {
  const over = day.page?.visits.find((visit) => (projected.value.get(visit.id)?.overMin ?? 0) > 0);
  if (!over) return '';
  const waiting = day.page!.visits.filter((visit) => visit.step === 'arrive' && (projected.value.get(visit.id)?.lateMin ?? 0) > 0);
  const next = waiting[0];
  return `${over.athleteName} is ${projected.value.get(over.id)!.overMin} min over.${next ? ` ${next.athleteName} begins about ${projected.value.get(next.id)!.lateMin} min late${waiting.length > 1 ? `, and ${waiting.length - 1} after` : ''}.` : ''}`;
});

function onKey(event: KeyboardEvent): void {
  if (!isKey(event, 'undo') || isTyping(event)) return;
  event.preventDefault();
  void booking.undo();
}
onMounted(() => window.addEventListener('keydown', onKey));
onUnmounted(() => {
  window.removeEventListener('keydown', onKey);
  clearInterval(tick);
});

/** A visit of an earlier day taken up today: from now on, as long as it was booked. */
function bringHere(id: string, name: string, minutes: number): void {
  const grid = 5 * 60_000;
  void booking.place(id, { startsAt: new Date(Math.ceil(nowMs.value / grid) * grid).toISOString(), minutes }, `${name} moved to today`);
}
const { problem, question, done, said } = booking;
/** A day kept on this device before notes were signed names none. Of a long list the latest are enough to begin with. */
const unsigned = computed(() => day.page?.unsigned ?? []);
const shownUnsigned = ref(5);
</script>

<template>
  <div class="page">
    <header>
      <div>
        <h1>{{ day.page ? title : 'The day' }}</h1>
        <p class="soft">{{ practice.practice?.name }}</p>
      </div>
      <nav class="end choices no-print" aria-label="Other days">
        <Button aria-label="The day before" @click="go(-1)">←</Button>
        <Button v-if="day.page && !isToday" @click="router.push('/')">Today</Button>
        <Button aria-label="The day after" @click="go(1)">→</Button>
        <Button @click="asking = 'later'">Book</Button>
        <Button type="primary" @click="asking = 'now'">Walk-in</Button>
      </nav>
    </header>

    <ProblemNote v-if="day.problem" :problem="day.problem" :retry="() => day.load(date)" />
    <p v-if="late" class="late" role="status">Running late. {{ late }}</p>
    <div v-if="question" class="bar" role="alert">
      <span>{{ question.words }}</span>
      <Button size="small" type="primary" @click="question.anyway()">Move it anyway</Button>
      <Button size="small" @click="booking.question.value = null">Leave it</Button>
    </div>
    <ProblemNote v-if="problem" :problem="problem" />
    <div v-if="said" class="bar done" role="status">
      <span>{{ said }}</span>
      <Button v-if="done.length > 0" size="small" @click="booking.undo()"
        >Undo <span class="key">{{ hintOf('undo') }}</span></Button
      >
    </div>

    <div v-if="day.page" class="columns">
      <section class="card list" aria-label="Visits">
        <p v-if="day.page.visits.length === cancelled.length" class="empty soft">
          No visits on this day. Book one, or a walk-in puts somebody on the table now.
        </p>
        <DayList v-else-if="asList" :booking="booking" :projected="projected" />
        <DayBoard v-else :booking="booking" :projected="projected" :now-minute="nowMinute" />
      </section>

      <aside class="side">
        <section v-if="day.page.unfinished.length > 0" class="card no-print" aria-label="Left over">
          <h2>Left over</h2>
          <p class="soft small">Neither finished nor cancelled.</p>
          <ul class="plain">
            <li v-for="visit in day.page.unfinished" :key="visit.id" class="left">
              <RouterLink :to="`/visit/${visit.id}`">{{ visit.athleteName }}</RouterLink>
              {{ ' '
              }}<span class="soft small"
                >{{ practice.shortDate(visit.startsAt) }}, {{ visit.step === 'arrive' ? 'not begun' : `at ${visit.step}` }}</span
              >
              <span class="choices"
                ><button v-if="isToday" type="button" class="link small" @click="bringHere(visit.id, visit.athleteName, visit.minutes)">
                  take up today</button
                ><button type="button" class="link small" @click="booking.cancel(visit.id)">cancel</button></span
              >
            </li>
          </ul>
        </section>
        <section v-if="unsigned.length > 0" class="card no-print" aria-label="Notes to sign">
          <h2>Notes to sign</h2>
          <p class="soft small">
            {{ unsigned.length === 1 ? 'One visit' : `${unsigned.length} visits` }} of the last two weeks, finished and not signed.
          </p>
          <ul class="plain">
            <li v-for="visit in unsigned.slice(0, shownUnsigned)" :key="visit.id">
              <RouterLink :to="`/visit/${visit.id}/close`">{{ visit.athleteName }}</RouterLink>
              {{ ' ' }}<span class="soft small">{{ practice.shortDate(visit.startsAt) }}</span>
            </li>
          </ul>
          <button v-if="unsigned.length > shownUnsigned" type="button" class="link small" @click="shownUnsigned = unsigned.length">
            all {{ unsigned.length }}
          </button>
        </section>
        <section v-if="cancelled.length > 0" class="card no-print" aria-label="Cancelled">
          <h2>Cancelled</h2>
          <ul class="plain">
            <li v-for="visit in cancelled" :key="visit.id" class="left">
              <s>{{ visit.athleteName }}</s> <span class="soft small">{{ practice.timeOfDay(visit.startsAt) }}</span> {{ ' '
              }}<button type="button" class="link small" :aria-label="`Put ${visit.athleteName} back`" @click="booking.restore(visit.id)">
                put back
              </button>
            </li>
          </ul>
        </section>
        <EventsAhead :events="day.page.events" :day="day.page.date" @saved="day.load(date)" />
        <p v-if="day.page.visits.length > cancelled.length && !asList" class="soft small no-print">
          Drag a visit to move it (a finger rests on it first, or takes its grip), its lower edge to shorten it.
          <span class="key">{{ hintOf('visitEarlierLater') }}</span> moves, <span class="key">{{ hintOf('visitLength') }}</span> shortens,
          <span class="key">{{ hintOf('cancelVisit') }}</span> cancels.
        </p>
      </aside>
    </div>
    <p v-else-if="day.loading" class="soft">Opening the day …</p>

    <BookVisit v-if="asking" :open="true" :when="asking" :day="day.page?.date ?? practice.today" @update:open="asking = null" />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 200px;
  gap: 16px;
  align-items: start;
}

.list {
  padding: 10px 14px;
}

.late {
  padding: 8px 14px;
  border-left: 4px solid var(--clay);
  border-radius: 4px;
  background: var(--clay-soft);
  color: var(--clay-text);
  font-weight: 600;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 7px 14px;
  border-left: 4px solid var(--sun);
  border-radius: 4px;
  background: var(--sun-soft);
}

.bar.done {
  border-left-color: var(--spruce);
  background: var(--spruce-soft);
}

.empty {
  padding: 18px 6px;
}

.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

/* Names are whole here as well, however long a word of them is. */
.side li {
  min-width: 0;
  overflow-wrap: anywhere;
}

.side ul {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  margin-top: 10px;
}

.left .choices {
  gap: 0 12px;
}

@container page (max-width: 812px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}

/* One page: the day to scale, and what is ahead in a row beneath it. */
@media print {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
