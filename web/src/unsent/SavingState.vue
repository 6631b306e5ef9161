<script setup lang="ts">
import { computed } from 'vue';
import type { SaveState } from '../stores/outbox.ts';
import { useOutbox } from '../stores/outbox.ts';
import { keptWords } from '../outbox/words.ts';
import { t } from '../words/unsent.ts';

/** Whether what is on this page is on the server: quiet when it is. */
const props = defineProps<{ state: SaveState }>();
const outbox = useOutbox();
const words = computed(
  () =>
    ({ saved: '', saving: t('saving'), offline: t('notSentYetTrying', { kept: keptWords(outbox.isStored) }), refused: '' })[props.state],
);
</script>

<template>
  <span class="saving small" :class="state" role="status">{{ words }}</span>
</template>

<style scoped>
.saving {
  color: var(--soft);
}

.offline {
  color: var(--clay-text);
}
</style>
