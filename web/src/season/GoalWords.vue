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
    ? `half of the paths end between ${amount(ends[25]!, motion.value.unit)} and ${amount(ends[75]!, motion.value.unit)}`
    : '';
});
</script>

<template>
  <section class="words" aria-label="The goal">
    <template v-if="goal && motion">
      <p>
        <PickOne
          v-if="options.length > 1"
          label="Goal"
          size="small"
          :value="goalKey(goal)"
          :options="options"
          @change="(key) => (chosen = key)"
        /><b v-else>{{ options[0]?.label }}</b> {{ amount(goal.value, motion.unit) }} by {{ dayWords(goal.byDate!, practice.today)
        }}<template v-if="why">, {{ why }}</template
        >.
        <b v-if="standing" :class="standing.against.kind">{{ standing.words[0]!.toUpperCase() + standing.words.slice(1) }}.</b>
      </p>
      <p v-if="outlook && outlook.chance !== null">
        <b class="chance">{{ chanceWords(outlook.chance) }} in 100</b> that it holds {{ amount(goal.value, motion.unit) }} on
        {{ dayWords(goal.byDate!, practice.today) }}, {{ rhythmWords(perWeek ?? 1).toLowerCase()
        }}<template v-if="away">, away as laid out</template>; {{ half }}.
        <RouterLink :to="`/athlete/${athleteId}/what-if?motion=${goal.motionId}&side=${goal.side}`">Try other rhythms</RouterLink>{{ ' ' }}
        <span class="small soft">Every visit is reckoned like those of late, whatever its phase.</span>
      </p>
      <p v-else-if="endDays <= 0" class="soft">Its day has passed.</p>
      <p v-else-if="state !== 'failed'" class="soft" role="status">The forecast is being worked out …</p>
      <p v-else class="soft">No forecast: {{ failure || unread?.message }}</p>
    </template>
    <p v-else-if="file" class="soft">
      No goal with a day and readings. <RouterLink :to="`/athlete/${athleteId}`">Set one beside its chart</RouterLink>
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
