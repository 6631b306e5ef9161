<script setup lang="ts">
import { computed } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { amount, chanceWords, rhythmWords } from '../athlete/whatIf/words.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { goalWhyWords, SIDE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { dayWords } from './scale.ts';
import type { useGoal } from './useGoal.ts';
import type { useGoalOutlook } from './useGoalOutlook.ts';
import { t } from '../words/season.ts';

/** A goal of an athlete in words: where it stands against its path, how likely it is, and what that hangs on. */
const props = defineProps<{ goals: ReturnType<typeof useGoal>; ahead: ReturnType<typeof useGoalOutlook>; athleteId: string }>();

const practice = usePractice();
const { goal, motion, standing, chosen, problem, file, goalKey } = props.goals;
const { outlook, endDays, away, perWeek, state, failure, problem: unread } = props.ahead;

const options = computed(() =>
  props.goals.goals.value.map((each) => ({
    value: goalKey(each),
    label: `${motionOf(each.motionId).name}${each.side === 'midline' ? '' : `, ${SIDE_WORDS[each.side].toLowerCase()}`}`,
  })),
);
const why = computed(() => (goal.value ? goalWhyWords(goal.value) : ''));
const half = computed(() => {
  const ends = outlook.value?.ends;
  return ends && motion.value
    ? t('halfPathsEndBetween', { amount: amount(ends[25]!, motion.value.unit), amount2: amount(ends[75]!, motion.value.unit) })
    : '';
});
</script>

<template>
  <section class="words" :aria-label="t('theGoal')">
    <template v-if="goal && motion">
      <p>
        <PickOne
          v-if="options.length > 1"
          :label="t('goal2')"
          size="small"
          :value="goalKey(goal)"
          :options="options"
          @change="(key) => (chosen = key)"
        /><b v-else>{{ options[0]?.label }}</b>
        {{ t('by', { amount: amount(goal.value, motion.unit), day: dayWords(goal.byDate!, practice.today) })
        }}<template v-if="why">, {{ why }}</template
        >.
        <b v-if="standing" :class="standing.against.kind">{{ standing.words[0]!.toUpperCase() + standing.words.slice(1) }}.</b>
      </p>
      <p v-if="outlook && outlook.chance !== null">
        <b class="chance">{{ t('in100', { chance: chanceWords(outlook.chance) }) }}</b>
        {{
          t('thatItHoldsOn', {
            amount: amount(goal.value, motion.unit),
            day: dayWords(goal.byDate!, practice.today),
            rhythm: rhythmWords(perWeek ?? 1).toLowerCase(),
          })
        }}<template v-if="away">{{ t('awayLaidOut') }}</template
        >; {{ half }}.
        <RouterLink :to="`/athlete/${athleteId}/what-if?motion=${goal.motionId}&side=${goal.side}`">{{
          t('tryOtherRhythms')
        }}</RouterLink>{{ ' ' }}
        <span class="small soft">{{ t('everyVisitReckonedLike') }}</span>
      </p>
      <p v-else-if="endDays <= 0" class="soft">{{ t('dayPassed') }}</p>
      <p v-else-if="state !== 'failed'" class="soft" role="status">{{ t('forecastBeingWorkedOut') }}</p>
      <p v-else class="soft">{{ t('noForecast', { what: failure || unread?.message }) }}</p>
    </template>
    <p v-else-if="file" class="soft">
      {{ t('noGoalDayReadings') }} <RouterLink :to="`/athlete/${athleteId}`">{{ t('setOneBesideChart') }}</RouterLink>
    </p>
    <ProblemNote v-if="problem" :problem="problem" />
    <slot />
  </section>
</template>

<style scoped>
.words p {
  margin: 0 0 6px;
}

.chance {
  color: var(--plum);
  font-family: var(--figures);
  font-size: 18px;
}

.under {
  color: var(--clay-text);
}
</style>
