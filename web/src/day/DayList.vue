<script setup lang="ts">
import { computed } from 'vue';
import type { ProjectedVisit } from '@pace-bend/core/record';
import { useDay } from '../stores/day.ts';
import type { Booking } from './useBooking.ts';
import DayListVisit from './DayListVisit.vue';

/** The day as a list with times, where the page is too narrow for a board. */
defineProps<{ booking: Booking; projected: ReadonlyMap<string, ProjectedVisit> }>();
const day = useDay();
const visits = computed(() =>
  (day.page?.visits ?? []).filter((visit) => !visit.cancelledAt).toSorted((a, b) => a.startsAt.localeCompare(b.startsAt)),
);
</script>

<template>
  <ol class="plain">
    <DayListVisit v-for="visit in visits" :key="visit.id" :visit="visit" :booking="booking" :projected="projected.get(visit.id) ?? null" />
  </ol>
</template>

<style scoped>
ol {
  display: grid;
}
</style>
