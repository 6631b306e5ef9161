<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import type { CalendarEvent } from '@pace-bend/core/record';
import { IMPORTANCE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { t } from '../words/events.ts';

const EventDialog = defineAsyncComponent(() => import('./EventDialog.vue'));

/** What is trained for: how many days until each, with adding and changing for whoever may. */
withDefaults(
  defineProps<{
    events: readonly CalendarEvent[];
    /** The day a new one is offered with. */
    day: string;
    /** Whose a new one is unless something else is said. */
    squadId?: string | null;
    /** In a row over the page instead of a column beside it. */
    inRow?: boolean;
  }>(),
  { squadId: null, inRow: false },
);
const emit = defineEmits<{ saved: [] }>();
const practice = usePractice();
const session = useSession();
const mayChange = computed(() => session.may('PUT', '/events/:id'));
/** The event that is being written: one that stands, or a new one. */
const writing = ref<CalendarEvent | 'new' | null>(null);
</script>

<template>
  <section class="card" :class="{ 'in-row': inRow }" :aria-label="t('ahead')">
    <h2>
      {{ t('ahead') }}
      <button v-if="mayChange" type="button" class="link small no-print" @click="writing = 'new'">{{ t('addEvent') }}</button>
    </h2>
    <p v-if="events.length === 0" class="soft">
      {{ t('noEventsCalendarRace') }}
    </p>
    <ul class="plain events">
      <li v-for="event in events" :key="event.id">
        <span class="num days"
          >{{ practice.daysUntil(event.onDate) }}<small>{{ ' ' }}{{ t('d') }}</small></span
        >
        <span
          ><button
            v-if="mayChange"
            type="button"
            class="link name"
            :aria-label="t('change', { name: event.name })"
            @click="writing = event"
          >
            <b>{{ event.name }}</b></button
          ><b v-else>{{ event.name }}</b
          ><span class="soft small">{{ practice.shortDate(event.onDate) }} · {{ IMPORTANCE_WORDS[event.importance] }}</span></span
        >
      </li>
    </ul>
    <EventDialog
      v-if="writing"
      :open="true"
      :event="writing === 'new' ? null : writing"
      :day="day"
      :squad-id="squadId"
      @update:open="writing = null"
      @saved="emit('saved')"
    />
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 2px 10px;
}

h2 .link {
  font: 400 14px var(--words);
}

.events {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  margin-top: 10px;
}

.events li {
  display: grid;
  grid-template-columns: 58px 1fr;
  align-items: center;
  gap: 8px;
  min-width: 0;
  overflow-wrap: anywhere;
}

.name {
  color: inherit;
  text-align: left;
  text-decoration: none;
}

.name:hover {
  text-decoration: underline;
}

.events b,
.events .small {
  display: block;
}

.days {
  font-size: 23px;
}

.days small {
  color: var(--soft);
  font-size: 13px;
}

.in-row .events {
  grid-template-columns: repeat(auto-fill, minmax(min(205px, 100%), 1fr));
  gap: 8px 16px;
}

@media print {
  .link:not(.name) {
    display: none;
  }

  .events {
    grid-template-columns: repeat(auto-fill, minmax(150pt, 1fr));
    gap: 4px 14px;
  }
}
</style>
