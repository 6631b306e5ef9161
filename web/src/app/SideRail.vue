<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { DateTime } from 'luxon';
import BrandMark from '../parts/BrandMark.vue';
import NewVersion from './NewVersion.vue';
import OutboxStatus from '../unsent/OutboxStatus.vue';
import VisitState from '../parts/VisitState.vue';
import { useDay } from '../stores/day.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { usePages } from './pages.ts';
import { t } from '../words/app.ts';

defineEmits<{ keys: [] }>();

const route = useRoute();
const day = useDay();
const practice = usePractice();
const session = useSession();
const openVisit = computed(() => (route.path.startsWith('/visit/') ? String(route.params.id) : ''));
const visits = computed(() => (day.page?.visits ?? []).filter((visit) => !visit.cancelledAt));
const heading = computed(() => {
  if (!day.page || session.isCoach) return '';
  const minutes = visits.value.reduce((sum, visit) => sum + visit.minutes, 0);
  const date = DateTime.fromISO(day.page.date).toFormat('ccc d LLL');
  return `${date} · ${visits.value.length} ${visits.value.length === 1 ? 'visit' : 'visits'}${minutes ? ` · ${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}` : ''}`;
});
const { places, isOn } = usePages();
</script>

<template>
  <nav class="rail" :aria-label="t('theDay')">
    <div class="top"><BrandMark /></div>
    <p class="heading">{{ heading }}</p>
    <ol v-if="!session.isCoach" class="visits">
      <li v-for="visit in visits" :key="visit.id">
        <RouterLink
          :to="`/visit/${visit.id}`"
          class="visit"
          :class="{ on: visit.id === openVisit, twelve: practice.clockHabit === '12' }"
          :aria-current="visit.id === openVisit ? 'page' : undefined"
        >
          <span class="num time">{{ practice.timeOfDay(visit.startsAt) }}</span>
          <span class="who">
            <span class="name" :title="visit.athleteName">{{ visit.athleteName }}</span>
            <small :title="practice.sportLine(visit.sports)">{{ practice.sportPlace(visit.sports) }}</small>
          </span>
          <VisitState :visit="visit" />
        </RouterLink>
      </li>
    </ol>
    <div class="foot">
      <OutboxStatus />
      <NewVersion />
      <RouterLink
        v-for="place in places"
        :key="place.to"
        :to="place.to"
        :class="{ on: isOn(place) }"
        :aria-current="isOn(place) ? 'page' : undefined"
        >{{ place.label }}</RouterLink
      >
      <button type="button" @click="$emit('keys')">{{ t('keys') }} <span class="key">?</span></button>
      <p class="who-in small">
        <span :title="session.me?.name">{{ session.me?.name }}</span><button type="button" @click="session.signOut()">
          {{ t('signOut2') }}
        </button>
      </p>
    </div>
  </nav>
</template>

<style scoped>
.rail {
  position: sticky;
  top: 0;
  height: 100vh;
  display: flex;
  flex-direction: column;
  border-right: 1px solid var(--line);
  overflow: hidden auto;
}

.top {
  padding: 18px 18px 14px;
}

.heading {
  min-height: 28px;
  padding: 0 18px 8px;
  color: var(--soft);
  font-size: 12.5px;
}

.visits {
  list-style: none;
  margin: 0;
  padding: 0;
}

.visit {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) 14px;
  align-items: center;
  gap: 6px;
  min-height: 54px;
  padding: 7px 14px 7px 14px;
  border-left: 4px solid transparent;
  text-decoration: none;
}

/* “12:05 pm” is a line of its own and no wider than it is. */
.visit.twelve {
  grid-template-columns: 58px minmax(0, 1fr) 14px;
}

.visit:hover {
  background: var(--raised);
}

.visit.on {
  background: var(--paper);
  border-left-color: var(--spruce);
}

.time {
  white-space: nowrap;
  font-size: 12.5px;
  color: var(--soft);
}

.who {
  min-width: 0;
}

/* A name is whole, on as many lines as it takes. */
.name {
  display: block;
  line-height: 1.2;
  overflow-wrap: anywhere;
}

small {
  display: block;
  overflow: hidden;
  color: var(--soft);
  font-size: 12.5px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.foot {
  margin-top: auto;
  padding: 12px 18px 14px;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 2px;
}

.foot a,
.foot button {
  padding: 4px 0;
  border: 0;
  background: none;
  font: inherit;
  color: var(--soft);
  text-align: left;
  text-decoration: none;
  cursor: pointer;
}

.foot .who-in {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  margin-top: 6px;
  padding-top: 8px;
  border-top: 1px solid var(--line-faint);
}

.who-in span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.who-in button {
  flex: none;
  padding: 0;
  text-decoration: underline;
  text-underline-offset: 3px;
}

.foot .on,
.foot a:hover,
.foot button:hover {
  color: var(--ink);
}

.foot .on {
  font-weight: 700;
}
</style>
