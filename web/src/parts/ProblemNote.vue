<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import type { ApiProblem } from '../api/api.ts';

/** Something went wrong: what, and what to do. */
defineProps<{ problem: ApiProblem; retry?: () => unknown }>();
</script>

<template>
  <div class="problem" role="alert">
    <b>{{ problem.title }}</b>
    <p>{{ problem.message }}</p>
    <p v-if="problem.whatNow" class="soft">{{ problem.whatNow }}</p>
    <slot />
    <Button v-if="retry" @click="retry()">Try again</Button>
  </div>
</template>

<style scoped>
.problem {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-left: 4px solid var(--clay);
  border-radius: 4px;
  background: var(--paper);
}
</style>
