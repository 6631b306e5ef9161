<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { EventDayFile, EventDayLine } from '@pace-bend/core/eventDay';
import type { CalendarEvent } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TextInput from '../parts/TextInput.vue';
import { dayInWords } from '../parts/typedDays.ts';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { newDay } from './newDay.ts';
import { isDay } from '@pace-bend/core/record';
import { t } from '../words/eventDay.ts';

/** Days at events: those that are set up, and a new one, from an event of the season or by itself. */
const route = useRoute();
const router = useRouter();
const practice = usePractice();
const session = useSession();
const { busy, problem, run } = useAction();
const days = shallowRef<readonly EventDayLine[] | null>(null);
const events = shallowRef<readonly CalendarEvent[]>([]);
const mayChange = computed(() => session.may('PUT', '/event-days/:id'));

const open = ref(false);
const eventId = ref('none');
const title = ref('');
const onDate = ref('');
const wrong = ref('');
/** Minted when the form opens, so that pressing twice writes once. */
let id = uuid();

onMounted(() =>
  run(async () => {
    await practice.load();
    const [found, known] = await Promise.all([
      api<{ days: EventDayLine[] }>('GET', '/event-days'),
      api<{ events: CalendarEvent[] }>('GET', '/events'),
    ]);
    days.value = found.days;
    events.value = known.events;
    const named = known.events.find((event) => event.id === route.query.event);
    if (named && mayChange.value) begin(named);
  }),
);
const choices = computed(() => [
  { value: 'none', label: t('noneSeasons') },
  ...events.value
    .filter((event) => event.onDate >= practice.today)
    .map((event) => ({ value: event.id, label: `${event.name}, ${practice.shortDate(event.onDate)}` })),
]);
function begin(event: CalendarEvent | null = null): void {
  id = uuid();
  wrong.value = '';
  problem.value = null;
  eventId.value = event?.id ?? 'none';
  title.value = event?.name ?? '';
  onDate.value = event?.onDate ?? practice.today;
  open.value = true;
}
function choose(of: string): void {
  eventId.value = of;
  const event = events.value.find((each) => each.id === of);
  if (event) [title.value, onDate.value] = [event.name, event.onDate];
}
const leaving = ref<EventDayLine | null>(null);
async function takeOff(): Promise<void> {
  const { id: gone } = leaving.value!;
  const worked = await run(async () => {
    days.value = (await api<{ days: EventDayLine[] }>('DELETE', `/event-days/${gone}`)).days;
  });
  if (worked) leaving.value = null;
}
async function create(): Promise<void> {
  wrong.value = title.value.trim() === '' ? t('giveDayName') : '';
  if (wrong.value !== '' || !isDay(onDate.value)) return;
  await run(async () => {
    const setUp = newDay(title.value.trim(), onDate.value, eventId.value === 'none' ? null : eventId.value);
    await api<EventDayFile>('PUT', `/event-days/${id}`, { revision: 0, ...setUp });
    await router.push(`/event-day/${id}/set-up`);
  });
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('eventDays') }}</h1>
      <Button v-if="mayChange" class="end" type="primary" @click="begin()">{{ t('setUpDay') }}</Button>
    </header>
    <ProblemNote v-if="problem && !open && leaving === null" :problem="problem" />
    <p v-if="days === null && !problem" class="soft">{{ t('openingEventDays') }}</p>
    <section v-else-if="days?.length === 0" class="card fields" :aria-label="t('noDayYet')">
      <p>{{ t('noDayEventSet') }}</p>
      <p class="soft">
        {{ t('raceDayManyWant') }}
      </p>
    </section>
    <ul v-else class="plain days">
      <li v-for="day in days ?? []" :key="day.id" class="card">
        <RouterLink :to="`/event-day/${day.id}`" class="name"
          ><b>{{ day.title }}</b></RouterLink
        >
        <span class="soft">{{ dayInWords(day.onDate) }} · {{ day.wishes }} {{ day.wishes === 1 ? t('wish') : t('wishes2') }}</span>
        <span v-if="mayChange" class="end acts">
          <RouterLink :to="`/event-day/${day.id}/set-up`">{{ t('setUp') }}</RouterLink>
          <button type="button" class="link" :aria-label="t('takeOff2', { title: day.title })" @click="leaving = day">
            {{ t('takeOff') }}
          </button>
        </span>
      </li>
    </ul>

    <SheetDialog :open="leaving !== null" :title="t('takeADayOff')" @update:open="leaving = null">
      <p>{{ t('startListWishesTables', { title: leaving?.title }) }}</p>
      <ProblemNote v-if="problem" :problem="problem" />
      <div class="pair">
        <Button type="primary" :loading="busy" @click="takeOff">{{ t('takeDayOff') }}</Button>
        <Button @click="leaving = null">{{ t('keepIt') }}</Button>
      </div>
    </SheetDialog>
    <SheetDialog v-model:open="open" :title="t('setUpDay')">
      <form class="fields" @submit.prevent="create">
        <div class="field">
          <label for="day-event">{{ t('eventSeason') }}</label>
          <PickOne input-id="day-event" :label="t('eventSeason')" :value="eventId" :options="choices" @change="choose" />
        </div>
        <div class="field">
          <label for="day-title">{{ t('name') }}</label>
          <TextInput
            id="day-title"
            v-model="title"
            maxlength="120"
            autocomplete="off"
            :aria-invalid="wrong ? 'true' : undefined"
            aria-describedby="day-title-wrong"
          />
          <p v-if="wrong" id="day-title-wrong" class="wrong small" role="alert">{{ wrong }}</p>
        </div>
        <DayField id="day-day" :label="t('day')" :value="onDate" @update:value="(held) => (onDate = held)" />
        <ProblemNote v-if="problem" :problem="problem" />
        <Button type="primary" html-type="submit" :loading="busy">{{ t('setUpThisDay') }}</Button>
      </form>
    </SheetDialog>
  </div>
</template>

<style scoped>
.days {
  display: grid;
  gap: 10px;
}

.days li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
}

.end {
  margin-left: auto;
}

.acts {
  display: flex;
  gap: 14px;
}
</style>
