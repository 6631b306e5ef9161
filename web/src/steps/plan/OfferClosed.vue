<script setup lang="ts">
import type { Caution } from '@pace-bend/core/caution';
import { t } from '../../words/plan.ts';

/** Why an offer cannot be taken, and where the rule stands. */
defineProps<{ caution: Caution | null }>();
</script>

<template>
  <p v-if="caution" class="small">
    <span class="level avoid">{{ caution.because }}</span> {{ caution.reason }} {{ caution.instead }}
    <RouterLink v-if="caution.kind === 'scope'" to="/practice/scope">{{ t('practicesScope') }}</RouterLink>
  </p>
</template>

<style scoped>
.level {
  margin-right: 6px;
}
</style>
