<script setup lang="ts">
import { computed } from 'vue';
import { formatValue } from '@pace-bend/core/measure';
import type { RunEventKind } from '@pace-bend/core/table';
import { keyOf } from '../../parts/keys.ts';
import type { TableHandle } from './useRun.ts';

/** The last key, said, and how long it can still be taken back; or that it could do nothing here. */
const props = defineProps<{ run: TableHandle }>();
const { undo, inVain, state, line } = props.run;

const WORDS: Readonly<Partial<Record<RunEventKind, string>>> = {
  next: 'Next',
  again: 'Again',
  ease: 'Shorter',
  lighter: 'Lighter',
  stop: 'Stopped',
  more: 'One more round',
  leave: 'The rest is left',
  drift: 'Wrong direction',
  brace: 'Breath held',
  until: 'Until it softens',
  other: 'The other side now',
  refer: 'Ended, to refer',
};
/** What a key says that can do nothing where the run is. */
const IN_VAIN: Readonly<Partial<Record<RunEventKind, string>>> = {
  more: 'No round to repeat here',
  leave: 'Nothing is left of this side',
  drift: 'No press to show here',
  brace: 'Nothing to ease off here',
  until: 'Nothing to wait for here',
  other: 'No other side here',
  put: 'Nothing can go in here',
  felt: 'Nothing softened yet',
  edge: 'No edge here',
};
const vain = computed(() => (inVain.value === null ? null : (IN_VAIN[inVain.value] ?? 'Not now')));
const words = computed(() => {
  switch (undo.value?.kind) {
    case undefined:
      return '';
    case 'discomfort':
      return `Discomfort ${state.value.discomfort.at(-1)?.score ?? ''}`;
    case 'edge': {
      const edge = state.value.edges.at(-1);
      return edge ? `Edge ${formatValue(edge.value, line.value!.blocks[edge.blockIndex]!.unit)}` : 'Edge';
    }
    case 'felt': {
      const soft = state.value.softened.at(-1);
      return soft ? `From ${soft.before} to ${soft.after}` : 'How it felt';
    }
    case 'put':
      return line.value!.blocks.at(-1)?.unplanned === 'instead' ? 'Swapped' : 'Added';
    default:
      return WORDS[undo.value!.kind] ?? '';
  }
});
</script>

<template>
  <p v-if="vain" class="undo vain" role="status" data-testid="in-vain">{{ vain }}</p>
  <button v-else-if="undo" type="button" class="undo" data-testid="undo" @click="run.act({ kind: 'undo' })">
    {{ words }} · <b>take back</b> <kbd>{{ keyOf('undo') }}</kbd> <span class="num">{{ undo.secondsLeft }}</span>
  </button>
</template>

<style scoped>
.undo {
  min-height: 56px;
  padding: 0 16px;
  border: 2px solid var(--sun);
  border-radius: 4px;
  background: var(--ground);
  color: var(--ink);
  font: 500 17px var(--words);
  cursor: pointer;
}

.vain {
  display: grid;
  place-items: center;
  margin: 0;
  border-color: var(--line);
  color: var(--soft);
  cursor: default;
}

.undo kbd {
  margin-left: 4px;
}

.undo .num {
  margin-left: 8px;
  color: var(--sun);
}
</style>
