<script setup lang="ts">
import { computed } from 'vue';
import { useOutbox } from '../stores/outbox.ts';
import { countWords } from '../outbox/words.ts';
import { t } from '../words/unsent.ts';

/** The one place that says what is not on the server; nothing while all is, or is just on its way. */
const outbox = useOutbox();
const shown = computed(() => outbox.isStuck || outbox.refused.length > 0 || !outbox.isStored);
const words = computed(() => {
  if (outbox.changes.length === 0) return t('nothingCanKeptDevice');
  return outbox.refused.length === outbox.changes.length
    ? t('refused2', { count: outbox.refused.length })
    : countWords(outbox.changes.length);
});
</script>

<template>
  <div role="status">
    <button v-if="shown" type="button" class="unsent" :class="{ refused: outbox.refused.length > 0 }" @click="outbox.listOpen = true">
      {{ words }}
    </button>
  </div>
</template>

<style scoped>
.unsent {
  min-height: 32px;
  padding: 4px 12px;
  border: 2px dashed var(--clay);
  border-radius: 4px;
  background: var(--clay-soft);
  color: var(--clay-text);
  font: inherit;
  font-weight: 600;
  text-align: left;
  cursor: pointer;
}

.refused {
  border-style: solid;
}
</style>
