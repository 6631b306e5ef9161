<script setup lang="ts">
import { ref, watch } from 'vue';
import Button from 'ant-design-vue/es/button';
import type { Motion, Side } from '@pace-bend/core/body';
import { formatValue, parseTrial } from '@pace-bend/core/measure';
import { GOAL_WHYS, isDay, LIMITS, type Goal, type GoalWhy } from '@pace-bend/core/record';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import TextInput from '../parts/TextInput.vue';
import { dayInWords, dayProblem } from '../parts/typedDays.ts';
import { goalWhyWords, SIDE_WORDS, WHY_WORDS } from '../parts/words.ts';
import { useAthlete } from '../stores/athlete.ts';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/athlete.ts';

/** The goal of one motion and side: what is worked toward, and by when. */
const props = defineProps<{ motion: Motion; side: Side; goal: Goal | null }>();
const athlete = useAthlete();
const practice = usePractice();
const { problem, busy, run } = useAction();
const editing = ref(false);
const value = ref('');
const byDate = ref('');
const why = ref<GoalWhy | 'none'>('none');
const whyWords = ref('');
const WHYS = [{ value: 'none' as const, label: t('noReasonSaid') }, ...GOAL_WHYS.map((value) => ({ value, label: WHY_WORDS[value] }))];
const wrong = ref<string | null>(null);
watch(editing, () => {
  value.value = props.goal ? String(props.goal.value) : '';
  byDate.value = props.goal?.byDate ?? '';
  why.value = props.goal?.why ?? 'none';
  whyWords.value = props.goal?.whyWords ?? '';
  wrong.value = null;
});

async function keep(): Promise<void> {
  const read = parseTrial(value.value, props.motion);
  if (!read.ok) {
    wrong.value = read.message;
    return;
  }
  if (byDate.value !== '' && !isDay(byDate.value)) {
    wrong.value = dayProblem(byDate.value, practice.today);
    return;
  }
  const goal = {
    motionId: props.motion.id,
    side: props.side,
    value: read.value,
    byDate: byDate.value || null,
    why: why.value === 'none' ? null : why.value,
    whyWords: whyWords.value.trim(),
  };
  if (await run(() => athlete.setGoal(goal))) editing.value = false;
}
const withdraw = () =>
  run(async () => {
    if (props.goal) await athlete.withdrawGoal(props.goal.id);
    editing.value = false;
  });
</script>

<template>
  <div class="goal small">
    <template v-if="!editing">
      <span v-if="goal"
        >{{ t('goal', { what: SIDE_WORDS[side].toLowerCase() }) }} <b class="num">{{ formatValue(goal.value, motion.unit) }}</b><template
          v-if="goal.byDate"
          >{{ ' ' }}{{ t('by', { dayIn: dayInWords(goal.byDate) }) }}</template
        ><template v-if="goalWhyWords(goal)">, {{ goalWhyWords(goal) }}</template></span
      >
      <button type="button" class="link" @click="editing = true">
        {{ goal ? t('changeIt') : t('setGoal', { what: SIDE_WORDS[side].toLowerCase() }) }}
      </button>
    </template>
    <form v-else @submit.prevent="keep">
      <label
        >{{ t('goal2', { what: SIDE_WORDS[side].toLowerCase() }) }}
        <TextInput v-model="value" class="num amount" size="small" inputmode="decimal" :maxlength="8" :aria-invalid="wrong !== null" />
        {{ motion.unit === 'deg' ? '°' : t('cm') }}</label
      >
      <DayField
        :id="`goal-by-${motion.id}-${side}`"
        v-model:value="byDate"
        :label="t('by2')"
        optional
        :wrong="null"
        :placeholder="t('noDay')"
        class="by"
      />
      <PickOne
        :label="t('whatItIsFor')"
        size="small"
        :value="why"
        :options="WHYS"
        @change="
          (value) => {
            why = value;
          }
        "
      />
      <label
        ><span class="sr-only">{{ t('theirWords') }}</span
        ><TextInput v-model="whyWords" class="words" size="small" :maxlength="LIMITS.goalWords" :placeholder="t('inTheirWords')"
      /></label>
      <Button size="small" html-type="submit" type="primary" :disabled="busy">{{ t('keep') }}</Button>
      <Button v-if="goal" size="small" :disabled="busy" @click="withdraw">{{ t('takeBack') }}</Button>
      <Button size="small" @click="editing = false">{{ t('leaveIt') }}</Button>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    </form>
    <ProblemNote v-if="problem" :problem="problem" />
  </div>
</template>

<style scoped>
.goal,
form {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}

.by {
  width: 170px;
}

.words {
  width: 200px;
}

.amount {
  width: 70px;
  text-align: center;
}

.wrong {
  width: 100%;
  margin: 0;
  color: var(--clay-text);
}
</style>
