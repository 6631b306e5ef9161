<script setup lang="ts">
import { computed, ref } from 'vue';
import { cautionOverview, type CautionContext } from '@pace-bend/core/caution';
import { isTyping } from '../parts/useGlobalKeys.ts';
import { LEVEL_WORDS } from '../parts/words.ts';
import CautionSheet from './CautionSheet.vue';
import { isKey } from '../parts/keys.ts';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/cautions.ts';

/** What is on file, strongest first; the full text is one key away. */
const props = defineProps<{ context: CautionContext }>();

/** As many as the header has room for. */
const MOST = 3;
const open = ref(false);
const overview = computed(() => cautionOverview(props.context));
const shown = computed(() => overview.value.slice(0, MOST));

function onKey(event: KeyboardEvent): void {
  if (!isKey(event, 'cautions') || isTyping(event)) return;
  event.preventDefault();
  open.value = !open.value;
}
useWindowKeys(onKey);
</script>

<template>
  <button
    type="button"
    class="chips"
    :title="overview.map((each) => `${LEVEL_WORDS[each.level]}: ${each.because}`).join('\n')"
    aria-haspopup="dialog"
    @click="open = true"
  >
    <span class="sr-only">{{ t('cautions') }}{{ ' ' }}</span>
    <span v-for="each in shown" :key="each.because" class="chip" :class="each.level"
      ><span class="level" :class="each.level">{{ LEVEL_WORDS[each.level] }}</span
      ><span class="words">{{ each.because }}</span></span
    >
    <span v-if="overview.length > MOST" class="soft small">{{ t('more', { what: overview.length - MOST }) }}</span>
    <span v-if="!context.subject.historyTaken" class="chip untaken">{{ t('historyNotTakenEmpty') }}</span>
    <span v-else-if="overview.length === 0" class="soft small">{{ t('noCautionsFile') }}</span>
    <span class="key" aria-hidden="true">{{ t('c') }}</span>
  </button>
  <CautionSheet v-model:open="open" :context="context" />
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  min-width: 0;
  padding: 3px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.chip {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  max-width: min(440px, 100%);
  padding: 3px 10px;
  border-radius: 3px;
  background: var(--raised);
  font-size: 13px;
}

.chip.stop,
.chip.avoid {
  background: var(--clay-soft);
}

.chip.modify {
  background: var(--sun-soft);
}

.chip.note {
  background: var(--slate-soft);
}

/* Not a caution: nobody knows yet whether there is one. */
.chip.untaken {
  background: var(--sun-soft);
}

.words {
  min-width: 0;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
</style>
