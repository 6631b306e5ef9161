<script setup lang="ts">
import Radio, { RadioGroup } from 'ant-design-vue/es/radio';
import { formatClock } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/practice.ts';

/** How times of day are shown. Typed they are read either way; records and what is sent keep twenty-four hours. */
const practice = usePractice();
const HABITS = [
  { habit: '24', words: t('twentyFourHours') },
  { habit: '12', words: t('twelveHoursAmPm') },
] as const;
const EXAMPLE = 14 * 60 + 30;
</script>

<template>
  <section class="card fields" :aria-label="t('clock')">
    <h2>{{ t('clock') }}</h2>
    <RadioGroup
      :value="practice.clockHabit"
      role="radiogroup"
      :aria-label="t('howTimesShown')"
      @update:value="(habit: unknown) => practice.setClockHabit(habit as '24' | '12')"
    >
      <Radio v-for="{ habit, words } in HABITS" :key="habit" :value="habit"
        >{{ words }} <span class="soft num">{{ formatClock(EXAMPLE, habit) }}</span></Radio
      >
    </RadioGroup>
    <p class="soft small">
      {{ t('yourScreensDeviceTimes') }}
    </p>
  </section>
</template>
