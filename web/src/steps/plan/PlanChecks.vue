<script setup lang="ts">
import type { PlanCheck } from '@pace-bend/core/session';
import { t } from '../../words/plan.ts';

/** What is worth a look in the plan: order, time, what is not looked at. It stops nobody, and says nothing while there is nothing. */
defineProps<{ checks: readonly PlanCheck[] }>();
</script>

<template>
  <section v-if="checks.length > 0" class="card checks" :aria-label="t('worthLook')">
    <h2>{{ t('worthLook') }}</h2>
    <ul>
      <li v-for="each in checks" :key="each.words">{{ each.words }}</li>
    </ul>
  </section>
</template>

<style scoped>
.checks {
  display: flex;
  gap: 4px 16px;
  align-items: baseline;
  padding-block: 8px;
}

h2 {
  flex: none;
}

ul {
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
