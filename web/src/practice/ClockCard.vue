<script setup lang="ts">
import Radio, { RadioGroup } from 'ant-design-vue/es/radio';
import { formatClock } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';

/** How times of day are shown. Typed they are read either way; records and what is sent keep twenty-four hours. */
const practice = usePractice();
const HABITS = [
  { habit: '24', words: 'Twenty-four hours' },
  { habit: '12', words: 'Twelve hours, am and pm' },
] as const;
const EXAMPLE = 14 * 60 + 30;
</script>

<template>
  <section class="card fields" aria-label="Clock">
    <h2>Clock</h2>
    <RadioGroup
      :value="practice.clockHabit"
      role="radiogroup"
      aria-label="How times are shown"
      @update:value="(habit: unknown) => practice.setClockHabit(habit as '24' | '12')"
    >
      <Radio v-for="{ habit, words } in HABITS" :key="habit" :value="habit"
        >{{ words }} <span class="soft num">{{ formatClock(EXAMPLE, habit) }}</span></Radio
      >
    </RadioGroup>
    <p class="soft small">
      On your screens on this device. Times are read either way when you type them; notes, letters and exports keep twenty-four hours.
    </p>
  </section>
</template>
