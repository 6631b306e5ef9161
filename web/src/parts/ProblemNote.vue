<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { watch } from 'vue';
import type { ApiProblem } from '../api/api.ts';
import { useSession } from '../stores/session.ts';
import { t } from '../words/parts.ts';

/** Something went wrong: what, and what to do. Where it was only that nobody was signed in, it is tried again as soon as somebody is. */
const props = defineProps<{ problem: ApiProblem; retry?: () => unknown }>();
const session = useSession();
watch(
  () => session.state,
  (now) => {
    if (now === 'in' && props.problem.type === 'not-signed-in') props.retry?.();
  },
);
</script>

<template>
  <div class="problem" role="alert">
    <b>{{ problem.title }}</b>
    <p>{{ problem.message }}</p>
    <p v-if="problem.whatNow" class="soft">{{ problem.whatNow }}</p>
    <slot />
    <Button v-if="retry" @click="retry()">{{ t('tryAgain') }}</Button>
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
