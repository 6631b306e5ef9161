<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ageInYears } from '@pace-bend/core/body';
import type { AthleteList, CalendarEvent, Squad } from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import EventsAhead from '../events/EventsAhead.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { AVAILABILITY_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import SquadsCard from './SquadsCard.vue';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/squad.ts';

const route = useRoute();
const router = useRouter();
const practice = usePractice();
const session = useSession();
const list = ref<AthleteList | null>(null);
const squads = ref<readonly Squad[]>([]);
const squadId = ref('all');
const problem = ref<ApiProblem | null>(null);
const typed = ref('');
const input = ref<InstanceType<typeof TextInput> | null>(null);
const chosen = ref(0);
const editing = ref(false);
const athletes = computed(() => list.value?.athletes ?? []);

let asked = 0;
/** Asks for one page, or for more of the same. Of several questions the last one is shown. */
async function load(more = false): Promise<void> {
  const turn = ++asked;
  try {
    await practice.load();
    const query = new URLSearchParams({
      q: typed.value,
      offset: String(more ? athletes.value.length : 0),
      ...(squadId.value === 'all' ? {} : { squad: squadId.value }),
    });
    const found = await api<AthleteList>('GET', `/athletes?${query}`);
    if (turn !== asked) return;
    list.value = more ? { ...found, athletes: [...athletes.value, ...found.athletes], offset: 0 } : found;
    if (!more) chosen.value = 0;
    problem.value = null;
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    if (turn === asked) problem.value = error;
  }
}
async function loadSquads(): Promise<void> {
  squads.value = await api<{ squads: Squad[] }>('GET', '/squads').then(
    (found) => found.squads,
    () => [],
  );
}
const allEvents = shallowRef<readonly CalendarEvent[] | null>(null);
/** Events ahead of everybody and of the squad that is shown; the athletes’ own stand with them. */
const events = computed(() =>
  allEvents.value?.filter(
    ({ onDate, athleteId, squadId: of }) =>
      onDate >= practice.today && athleteId === null && (of === null || squadId.value === 'all' || of === squadId.value),
  ),
);
async function loadEvents(): Promise<void> {
  allEvents.value = await api<{ events: CalendarEvent[] }>('GET', '/events').then(
    (found) => found.events,
    () => null,
  );
}
onMounted(async () => {
  await Promise.all([load(), loadSquads(), loadEvents()]);
  if (route.query.find !== undefined) input.value?.focus();
});
watch(
  () => route.query.find,
  (find) => {
    if (find !== undefined) input.value?.focus();
  },
);

let pause: ReturnType<typeof setTimeout> | undefined;
watch(typed, () => {
  clearTimeout(pause);
  pause = setTimeout(() => void load(), 120);
});
watch(squadId, () => void load());

function onKey(event: KeyboardEvent): void {
  if (event.key === 'ArrowDown') chosen.value = Math.min(athletes.value.length - 1, chosen.value + 1);
  else if (event.key === 'ArrowUp') chosen.value = Math.max(0, chosen.value - 1);
  else if (event.key === 'Enter') void openChosen();
  else if (event.key === 'Escape') typed.value = '';
  else return;
  event.preventDefault();
}

/** What was typed last has been looked for before anybody is opened. */
async function openChosen(): Promise<void> {
  clearTimeout(pause);
  await load();
  const athlete = athletes.value[chosen.value];
  if (athlete) await router.push(`/athlete/${athlete.id}`);
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('squad') }}</h1>
      <label class="find"
        ><span class="sr-only">{{ t('findAthlete') }}</span>
        <TextInput ref="input" v-model="typed" type="search" :placeholder="t('findNameSeatStory')" @keydown="onKey" />
      </label>
      <PickOne
        v-if="squads.length > 0"
        class="which"
        :label="t('squadShown')"
        :value="squadId"
        :options="[{ value: 'all', label: t('everybody') }, ...squads.map((squad) => ({ value: squad.id, label: squad.name }))]"
        @change="
          (id) => {
            squadId = id;
          }
        "
      />
      <span class="soft small" role="status">{{ list ? t('of', { count: athletes.length, total: list.total }) : '' }}</span>
      <span class="end choices">
        <Button @click="router.push('/squad/range')">{{ t('range') }}</Button>
        <Button v-if="session.may('PUT', '/squads/:id')" :aria-expanded="editing" @click="editing = !editing">{{ t('squads') }}</Button>
        <Button v-if="session.may('POST', '/import/athletes')" @click="router.push('/squad/read-in')">{{ t('import') }}</Button>
        <a v-if="session.may('GET', '/export/athletes')" class="choice out" href="/api/export/athletes" download="squad.csv">{{
          t('export')
        }}</a>
      </span>
    </header>
    <SquadsCard
      v-if="editing"
      :squads="squads"
      @change="
        (next) => {
          squads = next;
          void load();
        }
      "
    />
    <EventsAhead
      v-if="events"
      in-row
      :events="events"
      :day="practice.today"
      :squad-id="squadId === 'all' ? null : squadId"
      @saved="loadEvents()"
    />
    <ProblemNote v-if="problem" :problem="problem" :retry="() => load()" />
    <section v-else-if="list" class="card list" :aria-label="t('athletes')">
      <div v-if="list.total === 0 && typed === '' && squadId === 'all'" class="empty">
        <p class="soft">{{ t('nobodyHereYetWalk') }}</p>
        <p class="choices">
          <Button type="primary" @click="router.push('/')">{{ t('openDay') }}</Button>
          <Button v-if="session.may('POST', '/import/athletes')" @click="router.push('/squad/read-in')">{{ t('importSquad') }}</Button>
        </p>
      </div>
      <p v-else-if="list.total === 0" class="empty soft">{{ t('nobodyFits', { what: typed ? ` “${typed}”` : '' }) }}</p>
      <ul v-else class="plain">
        <li v-for="(athlete, i) in athletes" :key="athlete.id">
          <RouterLink :to="`/athlete/${athlete.id}`" class="row" :class="{ chosen: typed && i === chosen }">
            <b class="name" :title="athlete.name">{{ athlete.name }}</b>
            <span class="num age">{{ ageInYears(athlete.birthDate, practice.today) }}</span>
            <span class="soft">{{ practice.sportShort(athlete.sports) }}</span>
            <span class="about">{{ athlete.about }}</span>
            <span class="flags small"
              ><span v-if="athlete.open > 0" class="level modify">{{ t('onFile', { open: athlete.open }) }}</span
              ><span v-if="athlete.availability !== 'full'" class="soft">{{ AVAILABILITY_WORDS[athlete.availability] }}</span></span
            >
            <span class="soft small last">{{
              athlete.lastVisitAt
                ? t('last', {
                    visits: athlete.visits,
                    what: athlete.visits === 1 ? t('visit') : t('visits'),
                    shortDate: practice.shortDate(athlete.lastVisitAt),
                  })
                : t('noVisitYet')
            }}</span>
          </RouterLink>
        </li>
      </ul>
      <p v-if="athletes.length < list.total" class="more">
        <Button @click="load(true)">{{ t('showMore') }}</Button>
      </p>
    </section>
    <p v-else class="soft">{{ t('openingSquad') }}</p>
  </div>
</template>

<style scoped>
.find {
  flex: 0 1 280px;
}

.which {
  width: 160px;
}

.out {
  display: inline-flex;
  align-items: center;
  min-height: 36px;
  padding: 0 15px;
  font-weight: 600;
  text-decoration: none;
}

.list {
  padding: 0;
}

.row {
  display: grid;
  grid-template-columns: minmax(160px, 1fr) 34px 84px minmax(0, 1.7fr) 96px 168px;
  align-items: center;
  gap: 14px;
  min-height: 54px;
  padding: 6px 18px;
  color: inherit;
  text-decoration: none;
}

li + li .row {
  border-top: 1px solid var(--line-faint);
}

.row:hover,
.row.chosen {
  background: var(--raised);
}

.row:focus-visible {
  outline-offset: -3px;
}

.name {
  line-height: 1.2;
  overflow-wrap: anywhere;
  font-size: 15px;
}

.flags {
  display: grid;
  line-height: 1.3;
}

.last {
  text-align: right;
}

.empty {
  padding: 28px 20px;
}

.more {
  padding: 12px 18px;
  border-top: 1px solid var(--line-faint);
}

@container page (max-width: 812px) {
  .row {
    grid-template-columns: minmax(0, 1fr) 40px 110px 96px;
  }

  .about,
  .last {
    display: none;
  }
}
</style>
