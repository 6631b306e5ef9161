<script setup lang="ts">
import { useOutbox } from '../stores/outbox.ts';
import { line } from '../api/line.ts';
import { t } from '../words/app.ts';

/** What works without the line. It lies over the foot of the page: nothing under a finger moves when it comes. */
const outbox = useOutbox();
</script>

<template>
  <div role="status" class="foot">
    <p v-if="line.lost" class="offline">
      <b>{{ t('programCannotReached') }}</b>
      {{ t('todaysVisitsDeviceRead', { what: outbox.isStored ? t('keptDevice') : t('keptWhilePageOpen') }) }}
    </p>
  </div>
</template>

<style scoped>
.foot {
  position: sticky;
  bottom: var(--foot, 0);
  z-index: 5;
}

.offline {
  margin: 0;
  padding: 8px 26px;
  border-top: 2px dashed var(--clay);
  background: var(--clay-soft);
  color: var(--clay-text);
}
</style>
