<script setup lang="ts">
import { computed } from 'vue';
import type { Visit } from '@pace-bend/core/record';
import { t } from '../words/parts.ts';

const STATE_WORDS = { cancelled: t('cancelled'), finished: t('finished'), toCome: t('toCome'), underWay: t('underWay') };
const props = defineProps<{ visit: Visit }>();

/** Its own shape for each state, and none that says how somebody is; colour only repeats it. */
const state = computed(() =>
  props.visit.cancelledAt ? 'cancelled' : props.visit.finishedAt ? 'finished' : props.visit.step === 'arrive' ? 'toCome' : 'underWay',
);
const words = computed(() => STATE_WORDS[state.value]);
</script>

<template>
  <svg class="state" width="14" height="14" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <path v-if="state === 'cancelled'" d="M3 3 11 11M11 3 3 11" class="cross" />
    <path v-else-if="state === 'finished'" d="M2 7.5 5.5 11 12 3.5" class="tick" />
    <path v-else-if="state === 'underWay'" d="M3 2 12 7 3 12z" class="going" />
    <circle v-else cx="7" cy="7" r="5.2" class="ring" />
  </svg>
</template>

<style scoped>
.ring {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.6;
}

.going {
  fill: var(--sun);
}

.cross {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.8;
}

.tick {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 2.4;
}
</style>
