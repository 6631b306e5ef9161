<script setup lang="ts">
import { computed } from 'vue';
import { cautionOverview, type CautionContext } from '@pace-bend/core/caution';
import { LEVEL_WORDS } from '../parts/words.ts';
import { t } from '../words/eventDay.ts';

/** What is on file of somebody and what the day holds back, in one line, before hands go on. */
const props = defineProps<{
  context: CautionContext | null;
  /** What holds for everybody that day: `holds to 20 s`. */
  limits: readonly string[];
  /** They have a file, and it is not known here. */
  unread: boolean;
}>();
const found = computed(() => (props.context && !props.unread ? cautionOverview(props.context) : []));
</script>

<template>
  <p class="cautions" :aria-label="t('cautionsLimits')">
    <span v-if="unread || context === null" class="chip untaken">{{ t('theirFileNotRead') }}</span>
    <template v-else>
      <span v-for="each in found" :key="each.because" class="chip" :class="each.level"
        ><b>{{ LEVEL_WORDS[each.level] }}</b> {{ each.because }}</span
      >
      <span v-if="!context.subject.historyTaken" class="chip untaken">{{ t('historyNotTakenEmpty') }}</span>
      <span v-else-if="found.length === 0" class="soft">{{ t('noCautionsFile') }}</span>
    </template>
    <span v-if="limits.length > 0" class="chip">{{ limits.join(', ') }}</span>
  </p>
</template>

<style scoped>
.cautions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
}

.chip {
  padding: 4px 10px;
  border-radius: 4px;
  background: var(--raised);
  font-size: 15px;
}

.chip.stop,
.chip.avoid {
  background: var(--clay-soft);
}

.chip.modify,
.chip.untaken {
  background: var(--sun-soft);
}

.chip.note {
  background: var(--slate-soft);
}
</style>
