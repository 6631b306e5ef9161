<script setup lang="ts">
import { computed } from 'vue';
import { formatValue } from '@pace-bend/core/measure';
import type { RunEventKind } from '@pace-bend/core/table';
import { keyOf } from '../../parts/keys.ts';
import type { TableHandle } from './useRun.ts';
import { t } from '../../words/table.ts';

/** The last key, said, and how long it can still be taken back; or that it could do nothing here. */
const props = defineProps<{ run: TableHandle }>();
const { undo, inVain, state, line } = props.run;

const WORDS: Readonly<Partial<Record<RunEventKind, string>>> = {
  next: t('next'),
  again: t('again'),
  ease: t('shorter'),
  lighter: t('lighter'),
  stop: t('stopped'),
  more: t('oneMoreRound'),
  leave: t('restLeft'),
  drift: t('wrongDirection'),
  brace: t('breathHeld'),
  until: t('untilSoftens'),
  other: t('theOtherSideNow'),
  refer: t('endedToRefer'),
};
/** What a key says that can do nothing where the run is. */
const IN_VAIN: Readonly<Partial<Record<RunEventKind, string>>> = {
  more: t('noRoundRepeatHere'),
  leave: t('nothingLeftSide'),
  drift: t('noPressShowHere'),
  brace: t('nothingEaseOffHere'),
  until: t('nothingWaitHere'),
  other: t('noOtherSideHere'),
  put: t('nothingCanGoHere'),
  felt: t('nothingSoftenedYet'),
  edge: t('noEdgeHere'),
};
const vain = computed(() => (inVain.value === null ? null : (IN_VAIN[inVain.value] ?? t('notNow'))));
const words = computed(() => {
  switch (undo.value?.kind) {
    case undefined:
      return '';
    case 'discomfort':
      return t('discomfort3', { discomfort: state.value.discomfort.at(-1)?.score ?? '' });
    case 'edge': {
      const edge = state.value.edges.at(-1);
      return edge ? t('edge', { value: formatValue(edge.value, line.value!.blocks[edge.blockIndex]!.unit) }) : t('edge2');
    }
    case 'felt': {
      const soft = state.value.softened.at(-1);
      return soft ? t('fromTo', { before: soft.before, after: soft.after }) : t('howFelt');
    }
    case 'put':
      return line.value!.blocks.at(-1)?.unplanned === 'instead' ? t('swapped') : t('added');
    default:
      return WORDS[undo.value!.kind] ?? '';
  }
});
</script>

<template>
  <p v-if="vain" class="undo vain" role="status" data-testid="in-vain">{{ vain }}</p>
  <button v-else-if="undo" type="button" class="undo" data-testid="undo" @click="run.act({ kind: 'undo' })">
    {{ words }} · <b>{{ t('takeBack2') }}</b> <kbd>{{ keyOf('undo') }}</kbd> <span class="num">{{ undo.secondsLeft }}</span>
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
