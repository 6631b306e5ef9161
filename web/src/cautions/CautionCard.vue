<script setup lang="ts">
import { limitWords, type Caution } from '@pace-bend/core/caution';
import { LEVEL_WORDS } from '../parts/words.ts';
import { t } from '../words/cautions.ts';

/** One caution in full: why, how far, what instead, and who to ask. */
withDefaults(defineProps<{ caution: Caution; unit?: '°' | ' cm'; because?: boolean }>(), { unit: '°', because: true });
</script>

<template>
  <article class="caution" :class="caution.level">
    <p class="head">
      <span class="level" :class="caution.level">{{ LEVEL_WORDS[caution.level] }}</span><b v-if="because">{{ caution.because }}</b>
    </p>
    <p>{{ caution.reason }}</p>
    <p v-if="limitWords(caution.limits, unit).length > 0" class="limits">{{ limitWords(caution.limits, unit).join(', ') }}</p>
    <p>
      <span class="soft">{{ t('instead') }}</span> {{ caution.instead }}
    </p>
    <p v-if="caution.refer">
      <span class="soft">{{ t('referTo') }}</span> {{ caution.refer }}.
    </p>
    <p class="soft small">{{ caution.source }}</p>
  </article>
</template>

<style scoped>
.caution {
  display: grid;
  gap: 3px;
  align-content: start;
  padding: 10px 14px;
  border-left: 4px solid var(--line);
  border-radius: 4px;
  background: var(--raised);
  line-height: 1.4;
}

.caution.stop,
.caution.avoid {
  border-left-color: var(--clay);
}

.caution.modify {
  border-left-color: var(--sun);
}

.caution.note {
  border-left-color: var(--slate);
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}

.limits {
  font-weight: 600;
}
</style>
