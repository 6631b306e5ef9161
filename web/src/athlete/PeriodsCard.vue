<script setup lang="ts">
import { computed, reactive } from 'vue';
import { DateTime } from 'luxon';
import type { Motion } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { comparePeriods } from '@pace-bend/core/trend';
import DayField from '../parts/DayField.vue';
import { SIDE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import type { SideSeries } from '../parts/series.ts';
import { t } from '../words/athlete.ts';

/** Two periods of one motion against each other; at first the earlier and the later half of what there is. */
const props = defineProps<{ motion: Motion; series: readonly SideSeries[] }>();
const practice = usePractice();
const DAY_MS = 86_400_000;

const dayOf = (day: number) => DateTime.fromMillis(day * DAY_MS, { zone: practice.zone }).toISODate()!;
const all = props.series.flatMap((side) => side.readings.map((reading) => reading.day)).sort((a, b) => a - b);
const middle = ((all[0] ?? 0) + (all.at(-1) ?? 0)) / 2;
const first = reactive({ from: dayOf(all[0] ?? 0), to: dayOf(middle) });
const second = reactive({ from: dayOf(middle + 1), to: dayOf(all.at(-1) ?? 0) });
const ENDS = [
  { id: 'first-from', label: t('firstPeriodFrom'), dates: first, end: 'from' },
  { id: 'first-to', label: t('firstPeriod'), dates: first, end: 'to' },
  { id: 'second-from', label: t('secondPeriodFrom'), dates: second, end: 'from' },
  { id: 'second-to', label: t('secondPeriod'), dates: second, end: 'to' },
] as const;
const period = ({ from, to }: { from: string; to: string }) => ({
  from: DateTime.fromISO(from, { zone: practice.zone }).toMillis() / DAY_MS,
  to: DateTime.fromISO(to, { zone: practice.zone }).endOf('day').toMillis() / DAY_MS,
});
const backward = computed(() => first.from > first.to || second.from > second.to);
const compared = computed(() =>
  backward.value
    ? []
    : props.series.map((side) => ({ side: side.side, result: comparePeriods(side.readings, period(first), period(second), props.motion) })),
);
</script>

<template>
  <details class="periods">
    <summary>{{ t('compareTwoPeriods') }}</summary>
    <div class="dates small">
      <DayField
        v-for="{ id, label, dates, end } in ENDS"
        :id="`${motion.id}-${id}`"
        :key="id"
        :label="label"
        :value="dates[end]"
        @day="(day) => (dates[end] = day)"
      />
    </div>
    <p v-if="backward" class="wrong small" role="alert">{{ t('periodEndsAfterDay') }}</p>
    <ul class="small">
      <li v-for="{ side, result } in compared" :key="side">
        <b>{{ SIDE_WORDS[side] }}</b> {{ result.words
        }}<span v-if="result.first && result.second" class="soft">
          {{
            t('fromThenFromReadings', {
              value: formatValue(result.first.mean, motion.unit),
              n: result.first.n,
              value2: formatValue(result.second.mean, motion.unit),
              n2: result.second.n,
            })
          }}</span
        >
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}

.dates {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 6px 16px;
  margin: 8px 0;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

.wrong {
  color: var(--clay-text);
}
</style>
