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
import { t } from '../words/day.ts';

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
  return t('minOver', {
    athleteName: over.athleteName,
    get: projected.value.get(over.id)!.overMin,
    what: next
      ? ` ${t('beginsAboutMinLate', { athleteName: next.athleteName, get: projected.value.get(next.id)!.lateMin, what: waiting.length > 1 ? t('andAfter', { what: waiting.length - 1 }) : '' })}`
      : '',
  });
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
  void booking.place(id, { startsAt: new Date(Math.ceil(nowMs.value / grid) * grid).toISOString(), minutes }, t('movedToday', { name }));
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
        <h1>{{ day.page ? title : t('theDay') }}</h1>
        <p class="soft">{{ practice.practice?.name }}</p>
      </div>
      <nav class="end choices no-print" :aria-label="t('otherDays')">
        <Button :aria-label="t('dayBefore')" @click="go(-1)">←</Button>
        <Button v-if="day.page && !isToday" @click="router.push('/')">{{ t('today') }}</Button>
        <Button :aria-label="t('dayAfter')" @click="go(1)">→</Button>
        <Button @click="asking = 'later'">{{ t('book') }}</Button>
        <Button type="primary" @click="asking = 'now'">{{ t('walkIn') }}</Button>
      </nav>
    </header>

    <ProblemNote v-if="day.problem" :problem="day.problem" :retry="() => day.load(date)" />
    <p v-if="late" class="late" role="status">{{ t('runningLate', { late }) }}</p>
    <div v-if="question" class="bar" role="alert">
      <span>{{ question.words }}</span>
      <Button size="small" type="primary" @click="question.anyway()">{{ t('moveAnyway') }}</Button>
      <Button size="small" @click="booking.question.value = null">{{ t('leaveIt') }}</Button>
    </div>
    <ProblemNote v-if="problem" :problem="problem" />
    <div v-if="said" class="bar done" role="status">
      <span>{{ said }}</span>
      <Button v-if="done.length > 0" size="small" @click="booking.undo()"
        >{{ t('undo') }} <span class="key">{{ hintOf('undo') }}</span></Button
      >
    </div>

    <div v-if="day.page" class="columns">
      <section class="card list" :aria-label="t('visits2')">
        <p v-if="day.page.visits.length === cancelled.length" class="empty soft">
          {{ t('noVisitsDayBook') }}
        </p>
        <DayList v-else-if="asList" :booking="booking" :projected="projected" />
        <DayBoard v-else :booking="booking" :projected="projected" :now-minute="nowMinute" />
      </section>

      <aside class="side">
        <section v-if="day.page.unfinished.length > 0" class="card no-print" :aria-label="t('leftOver')">
          <h2>{{ t('leftOver') }}</h2>
          <p class="soft small">{{ t('neitherFinishedNorCancelled') }}</p>
          <ul class="plain">
            <li v-for="visit in day.page.unfinished" :key="visit.id" class="left">
              <RouterLink :to="`/visit/${visit.id}`">{{ visit.athleteName }}</RouterLink>
              {{ ' '
              }}<span class="soft small"
                >{{ practice.shortDate(visit.startsAt) }},
                {{ visit.step === 'arrive' ? t('notBegun') : t('at', { step: visit.step }) }}</span
              >
              <span class="choices"
                ><button v-if="isToday" type="button" class="link small" @click="bringHere(visit.id, visit.athleteName, visit.minutes)">
                  {{ t('takeUpToday') }}</button
                ><button type="button" class="link small" @click="booking.cancel(visit.id)">{{ t('cancel2') }}</button></span
              >
            </li>
          </ul>
        </section>
        <section v-if="unsigned.length > 0" class="card no-print" :aria-label="t('notesSign')">
          <h2>{{ t('notesSign') }}</h2>
          <p class="soft small">
            {{ t('lastTwoWeeksFinished', { what: unsigned.length === 1 ? t('oneVisit') : t('visits', { count: unsigned.length }) }) }}
          </p>
          <ul class="plain">
            <li v-for="visit in unsigned.slice(0, shownUnsigned)" :key="visit.id">
              <RouterLink :to="`/visit/${visit.id}/close`">{{ visit.athleteName }}</RouterLink>
              {{ ' ' }}<span class="soft small">{{ practice.shortDate(visit.startsAt) }}</span>
            </li>
          </ul>
          <button v-if="unsigned.length > shownUnsigned" type="button" class="link small" @click="shownUnsigned = unsigned.length">
            {{ t('all', { count: unsigned.length }) }}
          </button>
        </section>
        <section v-if="cancelled.length > 0" class="card no-print" :aria-label="t('cancelled')">
          <h2>{{ t('cancelled') }}</h2>
          <ul class="plain">
            <li v-for="visit in cancelled" :key="visit.id" class="left">
              <s>{{ visit.athleteName }}</s> <span class="soft small">{{ practice.timeOfDay(visit.startsAt) }}</span> {{ ' '
              }}<button
                type="button"
                class="link small"
                :aria-label="t('putBack2', { athleteName: visit.athleteName })"
                @click="booking.restore(visit.id)"
              >
                {{ t('putBack') }}
              </button>
            </li>
          </ul>
        </section>
        <EventsAhead :events="day.page.events" :day="day.page.date" @saved="day.load(date)" />
        <p v-if="day.page.visits.length > cancelled.length && !asList" class="soft small no-print">
          {{ t('dragVisitMoveFinger') }}
          <span class="key">{{ hintOf('visitEarlierLater') }}</span> {{ t('moves') }} <span class="key">{{ hintOf('visitLength') }}</span>
          {{ t('shortens') }} <span class="key">{{ hintOf('cancelVisit') }}</span> {{ t('cancels') }}
        </p>
      </aside>
    </div>
    <p v-else-if="day.loading" class="soft">{{ t('openingDay') }}</p>

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
