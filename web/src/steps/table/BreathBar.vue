<script setup lang="ts">
import { t } from '../../words/table.ts';
/** A pacer: it fills with the breath in and empties with the breath out. Where the breath is free it leads nobody, and says so. */
const props = defineProps<{ breath: { readonly way: 'in' | 'out'; readonly share: number }; paced: boolean; still: boolean }>();

const filled = () => (props.breath.way === 'in' ? props.breath.share : 1 - props.breath.share);
</script>

<template>
  <div class="breath" :class="{ paced, still }" aria-hidden="true">
    <span class="bar"><i v-if="paced" :style="{ transform: `scaleX(${filled()})` }" /></span>
    <span class="word">{{ paced ? (breath.way === 'in' ? t('in') : t('out')) : t('free') }}</span>
  </div>
</template>

<style scoped>
.breath {
  display: flex;
  align-items: center;
  gap: 12px;
  max-width: 460px;
  margin-top: 18px;
  color: #9cc0d8;
}

/* Not to be followed now: fainter, and still to be read. */
.breath:not(.paced),
.breath.still {
  opacity: 0.75;
}

.breath:not(.paced) .bar,
.breath.still .bar {
  opacity: 0.4;
}

.bar {
  flex: 1;
  height: 8px;
  border-radius: 4px;
  background: #20322b;
  overflow: hidden;
}

.bar i {
  display: block;
  height: 100%;
  background: currentColor;
  transform-origin: left;
}

.word {
  width: 40px;
  font-size: 17px;
}
</style>
