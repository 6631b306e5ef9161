<script setup lang="ts">
import type { AthleteFile } from '@pace-bend/core/record';
import LimitsTable from '../cautions/LimitsTable.vue';
import { useAthlete } from '../stores/athlete.ts';
import { t } from '../words/athlete.ts';

/** Which motions and ways of working are limited today, why, and what instead. */
defineProps<{ file: AthleteFile }>();
const athlete = useAthlete();
</script>

<template>
  <section class="card" :aria-label="t('whatLimited')">
    <h2>{{ t('whatLimitedToday') }}</h2>
    <p class="soft">
      {{ t('fromFileScopePractice') }}
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
