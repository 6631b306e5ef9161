<script setup lang="ts">
import { computed } from 'vue';
import { canSoften, type RunStatus } from '@pace-bend/core/table';
import { keyOf, type TableAct } from '../../parts/keys.ts';
import type { TableHandle } from './useRun.ts';
import { t } from '../../words/table.ts';

/** Keys that follow the hand: what it does otherwise than planned. Those that mean nothing now stand still in their place. */
const props = defineProps<{ run: TableHandle; status: RunStatus }>();
const emit = defineEmits<{ key: [act: TableAct] }>();

const cue = computed(() => props.run.view.value!.cue);
const inRound = computed(() => cue.value.round >= 1 && cue.value.round <= cue.value.rounds);
const keys = computed<readonly { readonly act: TableAct; readonly words: string; readonly on: boolean }[]>(() => [
  { act: 'more', words: t('oneMoreRound'), on: true },
  { act: 'leave', words: t('leaveRest'), on: true },
  { act: 'until', words: props.status === 'softening' ? t('itSoftened') : t('untilSoftens'), on: canSoften(cue.value) },
  { act: 'drift', words: t('wrongDirection'), on: inRound.value },
  { act: 'brace', words: t('breathHeld'), on: true },
  { act: 'other', words: t('otherSideNow'), on: cue.value.side !== 'midline' },
  { act: 'swap', words: t('swap'), on: true },
  { act: 'add', words: t('add'), on: true },
  { act: 'found', words: t('found'), on: true },
  { act: 'refer', words: t('stopRefer'), on: true },
]);
</script>

<template>
  <div class="hand" role="group" :aria-label="t('whatHandDoes')">
    <button
      v-for="each in keys"
      :key="each.act"
      type="button"
      :disabled="!each.on"
      :class="{ on: each.act === 'until' && status === 'softening' }"
      @click="emit('key', each.act)"
    >
      <span>{{ each.words }}</span> <kbd>{{ keyOf(each.act) }}</kbd>
    </button>
  </div>
</template>

<style scoped>
.hand {
  display: grid;
  grid-template-columns: repeat(10, minmax(0, 1fr));
  gap: 6px;
  width: 100%;
}

button {
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 1px;
  min-height: 58px;
  padding: 2px 4px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: 600 14px/1.15 var(--words);
  cursor: pointer;
}

button kbd {
  color: var(--soft);
  font-size: 13px;
}

button:hover {
  border-color: var(--ink);
}

button.on {
  border-color: var(--spruce-fill);
  background: #27705c;
}

button:disabled {
  opacity: 0.4;
  cursor: default;
}

@media (max-width: 800px) {
  .hand {
    grid-template-columns: repeat(5, minmax(0, 1fr));
  }
}
</style>
