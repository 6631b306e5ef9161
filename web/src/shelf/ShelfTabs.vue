<script setup lang="ts">
import { useSession } from '../stores/session.ts';
import { t } from '../words/shelf.ts';

defineProps<{ here: 'entries' | 'ways' | 'compare' | 'new' }>();
const session = useSession();
</script>

<template>
  <nav class="tabs" :aria-label="t('shelf')">
    <RouterLink to="/shelf" :class="{ on: here === 'entries' }">{{ t('whatCanDone') }}</RouterLink>
    <RouterLink to="/shelf/ways" :class="{ on: here === 'ways' }">{{ t('waysWorking') }}</RouterLink>
    <RouterLink to="/shelf/compare" :class="{ on: here === 'compare' }">{{ t('sideSide') }}</RouterLink>
    <RouterLink v-if="session.may('PUT', '/shelf/:id')" to="/shelf/new" :class="{ on: here === 'new' }">{{ t('addEntry') }}</RouterLink>
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 18px;
}

.tabs a {
  padding: 4px 0;
  border-bottom: 3px solid transparent;
  color: var(--ink);
  text-decoration: none;
}

.tabs a.on {
  border-color: var(--spruce);
  font-weight: 600;
}
</style>
