<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Motion, Side } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import type { Moment } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import { t } from '../words/measuring.ts';

/** What stood before a reading was corrected. */
const props = defineProps<{ motion: Motion; side: Side; moment: Moment }>();
const visit = useVisit();
const practice = usePractice();
const open = ref(false);

const rows = computed(() =>
  visit
    .file!.readings.filter((each) => each.motionId === props.motion.id && each.side === props.side && each.moment === props.moment)
    .slice(0, -1)
    .reverse(),
);
const print = (trials: readonly number[]) =>
  trials.length === 0
    ? t('withdrawn')
    : trials.map((trial) => formatValue(trial, props.motion.unit, Number.isInteger(trial) ? 0 : 1)).join(', ');
</script>

<template>
  <p v-if="rows.length > 0" class="small">
    <button type="button" class="link" :aria-expanded="open" @click="open = !open">
      {{ rows.length === 1 ? t('correctedOnce') : t('correctedTimes', { count: rows.length }) }}
    </button>
    <span v-if="open"
      ><span v-for="row in rows" :key="row.id" class="soft">{{ practice.timeOfDay(row.takenAt) }} {{ print(row.trials) }}</span></span
    >
  </p>
</template>

<style scoped>
p {
  margin: 0;
}

span span {
  display: block;
}
</style>
