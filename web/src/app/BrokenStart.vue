<script setup lang="ts">
import { t } from '../words/opening.ts';
/** The program itself did not come: nothing of the kit is there to say so with. */
const again = () => location.reload();
</script>

<template>
  <main class="broken" role="alert">
    <h1>{{ t('programDidNotLoad') }}</h1>
    <p>{{ t('partDidNotArrive') }}</p>
    <button type="button" @click="again">{{ t('tryAgain2') }}</button>
  </main>
</template>

<style scoped>
.broken {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 32px;
}

button {
  min-height: 44px;
  padding: 0 18px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: inherit;
  font: inherit;
  cursor: pointer;
}
</style>
