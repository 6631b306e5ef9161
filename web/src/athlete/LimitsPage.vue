<script setup lang="ts">
import type { AthleteFile } from '@pace-bend/core/record';
import LimitsTable from '../cautions/LimitsTable.vue';
import { useAthlete } from '../stores/athlete.ts';

/** Which motions and ways of working are limited today, why, and what instead. */
defineProps<{ file: AthleteFile }>();
const athlete = useAthlete();
</script>

<template>
  <section class="card" aria-label="What is limited">
    <h2>What is limited today</h2>
    <p class="soft">
      From the file, the scope of the practice and the next event. Reminders to a licensed person; they are no clearance. Open a row for
      why, and what instead.
    </p>
    <LimitsTable v-if="athlete.cautionContext" :context="athlete.cautionContext" />
  </section>
</template>

<style scoped>
.card {
  display: grid;
  gap: 8px;
}
</style>
