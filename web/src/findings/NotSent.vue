<script setup lang="ts">
import { t } from '../words/findings.ts';
/** How many findings the server does not have yet. */
defineProps<{ count: number }>();
</script>

<template>
  <span v-if="count > 0" class="not-sent" role="status">{{ t('notSent', { count }) }}</span>
</template>
