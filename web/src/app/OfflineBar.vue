<script setup lang="ts">
import { line } from './line.ts';
</script>

<template>
  <div role="status">
    <p v-if="line.lost" class="offline"><b>The program cannot be reached.</b> Visits that were opened here today go on: what you change is kept and sent later. Booking, finishing and everything that was not opened today wait for the line.</p>
  </div>
</template>

<style scoped>
.offline {
  margin: 0;
  padding: 8px 26px;
  border-bottom: 2px dashed var(--clay);
  background: var(--clay-soft);
  color: var(--clay-text);
}
</style>
