<script setup lang="ts">
import { t } from '../words/app.ts';
</script>

<template>
  <section class="nowhere">
    <h1>{{ t('thereNoSuchPage') }}</h1>
    <p class="soft">
      {{ t('addressNotPartProgram') }} <RouterLink to="/">{{ t('backToday') }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.nowhere {
  padding: 48px 32px;
  display: grid;
  gap: 10px;
}
</style>
