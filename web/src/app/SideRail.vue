<script setup lang="ts">
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { DateTime } from 'luxon';
import BrandMark from '../parts/BrandMark.vue';
import NewVersion from './NewVersion.vue';
import OutboxStatus from '../unsent/OutboxStatus.vue';
import VisitState from '../parts/VisitState.vue';
import { keepDayAhead } from '../stores/ahead.ts';
import { useDay } from '../stores/day.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';

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

keepDayAhead();

// A step that was opened or a visit that was finished shows in the list. The day's own page loads the day itself.
watch(
  () => route.fullPath,
  () => {
    if (!session.isCoach && route.name && route.name !== 'today' && route.name !== 'day') void day.load(day.page?.date);
  },
  { immediate: true },
);
</script>

<template>
  <nav class="rail" aria-label="The day">
    <div class="top"><BrandMark /></div>
    <p class="heading">{{ heading }}</p>
    <ol v-if="!session.isCoach" class="visits">
      <li v-for="visit in visits" :key="visit.id">
        <RouterLink
          :to="`/visit/${visit.id}`"
          class="visit"
          :class="{ on: visit.id === openVisit }"
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
      <template v-if="!session.isCoach">
        <RouterLink to="/" :class="{ on: route.name === 'today' || route.name === 'day' }">Day</RouterLink>
        <RouterLink to="/squad" :class="{ on: ['squad', 'athlete', 'athlete-page', 'read-in', 'squad-range'].includes(String(route.name)) }"
          >Squad</RouterLink
        >
        <RouterLink to="/morning" :class="{ on: route.name === 'morning' }">Morning</RouterLink>
        <RouterLink to="/load" :class="{ on: ['load', 'load-read-in'].includes(String(route.name)) }">Load</RouterLink>
        <RouterLink to="/season" :class="{ on: route.name === 'season' || route.name === 'week' }">Season</RouterLink>
        <RouterLink to="/shelf" :class="{ on: String(route.name).startsWith('shelf') }">Shelf</RouterLink>
      </template>
      <RouterLink v-if="session.isCoach" to="/coach" :class="{ on: route.name === 'coach' }">Squads</RouterLink>
      <RouterLink :to="session.isCoach ? '/practice/me' : '/practice'" :class="{ on: route.name === 'practice' }">Practice</RouterLink>
      <button type="button" @click="$emit('keys')">Keys <span class="key">?</span></button>
      <p class="who-in small">
        <span :title="session.me?.name">{{ session.me?.name }}</span><button type="button" @click="session.signOut()">Sign out</button>
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

.visit:hover {
  background: var(--raised);
}

.visit.on {
  background: var(--paper);
  border-left-color: var(--spruce);
}

.time {
  font-size: 12.5px;
  color: var(--soft);
}

.who {
  min-width: 0;
}

.name {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  line-height: 1.3;
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

@media (max-width: 900px) {
  .rail {
    position: static;
    height: auto;
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }

  .visits {
    display: flex;
    overflow-x: auto;
  }

  .visits li {
    flex: 0 0 auto;
    min-width: 150px;
  }

  .visit {
    grid-template-columns: 44px auto 14px;
  }

  .name {
    overflow: visible;
  }

  .foot {
    display: flex;
    flex-wrap: wrap;
    gap: 0 18px;
    margin: 0;
    padding: 8px 18px;
  }

  .foot .who-in {
    flex: 1 1 auto;
    margin: 0;
    padding: 4px 0;
    border: 0;
  }
}
</style>
