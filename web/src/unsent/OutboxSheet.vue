<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { onBeforeUnmount, ref } from 'vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useOutbox } from '../stores/outbox.ts';
import { t } from '../words/unsent.ts';

/** What is not on the server, why, and what can be done about it. */
const outbox = useOutbox();
const trying = ref(false);
/** A change that is asked about once more before it is thrown away. */
const dropping = ref<string | null>(null);

async function sendNow(): Promise<void> {
  trying.value = true;
  await outbox.wake();
  trying.value = false;
}

function discard(id: string): void {
  if (dropping.value !== id) {
    dropping.value = id;
    return;
  }
  dropSoon(id);
}

/** What is on its way just now is thrown away as soon as it has come back; where it has arrived there is nothing left to throw away. */
const going = ref<string | null>(null);
let timer: ReturnType<typeof setTimeout> | undefined;
onBeforeUnmount(() => clearTimeout(timer));
function dropSoon(id: string): void {
  const gone = outbox.drop(id) || !outbox.changes.some((change) => change.id === id);
  [going.value, dropping.value] = gone ? [null, null] : [id, id];
  if (!gone) timer = setTimeout(() => dropSoon(id), SOON_MS);
}
const SOON_MS = 100;

const at = (time: string) => DateTime.fromISO(time).toFormat('HH:mm:ss');
</script>

<template>
  <SheetDialog v-model:open="outbox.listOpen" :title="t('notSentYet')" :width="560">
    <p v-if="outbox.changes.length === 0">{{ t('everythingServer') }}</p>
    <p v-if="!outbox.isStored" class="warn">
      {{ t('browserDoesNotLet') }}
    </p>
    <p v-else-if="outbox.waiting.length > 0" class="soft">
      {{ t('keptDeviceYourAccount') }}
    </p>
    <p v-if="outbox.problem && outbox.waiting.length > 0">
      <b>{{ outbox.problem.title }}.</b> {{ outbox.problem.message }}
    </p>
    <ul class="plain">
      <li v-for="change in outbox.changes" :key="change.id">
        <span class="num soft">{{ at(change.madeAt) }}</span>
        <span class="what"
          ><b>{{ change.words }}</b
          ><template v-if="change.refusal">
            <span class="no">{{ t('refused') }}</span><br />{{ change.refusal.message }}</template
          ></span
        >
        <Button
          size="small"
          :danger="dropping === change.id"
          :loading="going === change.id"
          :aria-label="
            t('of', { what: dropping === change.id ? t('reallyDiscard') : t('discard'), words: change.words, what2: at(change.madeAt) })
          "
          @click="discard(change.id)"
          >{{ dropping === change.id ? t('reallyDiscard') : t('discard') }}</Button
        >
      </li>
    </ul>
    <Button v-if="outbox.waiting.length > 0" type="primary" size="large" block :loading="trying" @click="sendNow">{{
      t('sendNow')
    }}</Button>
  </SheetDialog>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: start;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line-faint);
}

.what {
  overflow-wrap: anywhere;
}

.no,
.warn {
  color: var(--clay-text);
  font-weight: 600;
}

ul {
  max-height: 46vh;
  margin: 10px 0 14px;
  overflow-y: auto;
}
</style>
