<script setup lang="ts">
import { useSession } from '../stores/session.ts';

defineProps<{ here: 'entries' | 'ways' | 'compare' | 'new' }>();
const session = useSession();
</script>

<template>
  <nav class="tabs" aria-label="Shelf">
    <RouterLink to="/shelf" :class="{ on: here === 'entries' }">What can be done</RouterLink>
    <RouterLink to="/shelf/ways" :class="{ on: here === 'ways' }">Ways of working</RouterLink>
    <RouterLink to="/shelf/compare" :class="{ on: here === 'compare' }">Side by side</RouterLink>
    <RouterLink v-if="session.may('PUT', '/shelf/:id')" to="/shelf/new" :class="{ on: here === 'new' }">Add an entry</RouterLink>
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
