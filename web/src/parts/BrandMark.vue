<script setup lang="ts">
import { t } from '../words/opening.ts';
</script>

<template>
  <RouterLink class="mark" to="/">
    <svg width="34" height="20" aria-hidden="true">
      <path d="M1 18H10L15 11H21L26 4H33" fill="none" stroke="currentColor" stroke-width="3.2" stroke-linejoin="round" />
    </svg>
    <span>{{ t('paceBend') }}</span>
  </RouterLink>
</template>

<style scoped>
.mark {
  display: flex;
  align-items: center;
  gap: 9px;
  color: var(--ink);
  text-decoration: none;
  font: 650 16px var(--figures);
  font-stretch: 118%;
}

svg {
  color: var(--spruce);
}
</style>
