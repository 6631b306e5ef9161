<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { v7 as uuid } from 'uuid';
import { computed, ref, watch } from 'vue';
import { comeBack, hasWords, keptSoFar, lookChoices, shortOf, toggleWords } from '@pace-bend/core/next';
import { isDay, LIMITS, timeProblem, type Visit } from '@pace-bend/core/record';
import { api } from '../../api/api.ts';
import DayField from '../../parts/DayField.vue';
import NumberField from '../../parts/NumberField.vue';
import ProblemNote from '../../parts/ProblemNote.vue';
import TimeField from '../../parts/TimeField.vue';
import { dayProblem, NO_SUCH_TIME } from '../../parts/typedDays.ts';
import { useAction } from '../../parts/useAction.ts';
import { useDay } from '../../stores/day.ts';
import { usePractice } from '../../stores/practice.ts';
import { useVisit } from '../../stores/visit.ts';
import TextInput from '../../parts/TextInput.vue';
import { t } from '../../words/close.ts';

/** What to look at first next time, chosen; when to come back, with the reason; and the booking itself. */
const visit = useVisit();
const practice = usePractice();
const day = useDay();
const { busy, problem, run } = useAction();
const file = computed(() => visit.file!);
const today = computed(() => practice.dayOf(file.value.visit.startsAt));
const startMs = computed(() => Date.parse(file.value.visit.startsAt));

const choices = computed(() => lookChoices(file.value.findings, file.value.lastFindings, file.value.goals, visit.readings, startMs.value));
const kept = computed(() => file.value.visit.lookFirst);
const MARK = { found: t('foundToday'), 'not looked at': t('notLookedToday'), goal: t('goalNotReached') } as const;
function toggle(words: string): void {
  const next = toggleWords(kept.value, words);
  if (next.length <= LIMITS.aboutLength) visit.setArrive({ lookFirst: next });
}
const isTooLong = (words: string) => !hasWords(kept.value, words) && toggleWords(kept.value, words).length > LIMITS.aboutLength;

const back = computed(() =>
  comeBack({
    day: today.value,
    stopped: visit.stops.length > 0,
    short: shortOf(file.value.goals, visit.readings).map(({ goal }) => goal.byDate),
    kept: keptSoFar(
      file.value.past,
      visit.readings.flatMap(({ value, ...each }) => (value === null ? [] : [{ ...each, value, trialCount: each.trials.length }])),
      file.value.visit.startsAt,
      file.value.errors,
    ),
    sorest: visit.findings.reduce<number | null>(
      (most, each) =>
        each.kind === 'point' && each.data && each.data.tenderness !== null ? Math.max(most ?? 0, each.data.tenderness) : most,
      null,
    ),
    event: file.value.nextEvent,
  }),
);

const ids = ref(uuid());
const on = ref('');
const at = ref(timeNow());
const minutes = ref(file.value.visit.minutes);
const tried = ref(false);
watch(
  back,
  (now, before) => {
    // What somebody chose stays; what was proposed follows the proposal.
    if (on.value === '' || on.value === before?.day) on.value = now.day ?? '';
  },
  { immediate: true },
);
function timeNow(): string {
  return practice.recordTime(file.value.visit.startsAt);
}
const startsAt = computed(() => (!isDay(on.value) ? null : practice.instantAt(on.value, at.value)));
const { min, max } = LIMITS.visitMinutes;
const wrong = computed(() => {
  if (!tried.value) return '';
  if (on.value === '') return t('chooseDay');
  const unread = dayProblem(on.value, practice.today) ?? timeProblem(at.value);
  if (unread !== null || startsAt.value === null) return unread ?? NO_SUCH_TIME;
  if (Date.parse(startsAt.value) <= startMs.value) return t('nextTimeLiesAfter');
  if (!Number.isInteger(minutes.value) || minutes.value < min || minutes.value > max) return t('wholeMinutes', { min, max });
  return '';
});
async function book(overlap = false): Promise<void> {
  tried.value = true;
  if (wrong.value !== '') return;
  await run(async () => {
    await api<Visit>('PUT', `/visits/${ids.value}`, {
      athleteId: file.value.athlete.id,
      startsAt: startsAt.value,
      minutes: minutes.value,
      overlap,
    });
    ids.value = uuid();
    await visit.load(visit.id);
    await day.load(day.page?.date);
  });
}
const booked = computed(() => file.value.nextVisitAt);
</script>

<template>
  <section class="card next" :aria-label="t('nextTime')">
    <h2>{{ t('nextTime') }}</h2>
    <div v-if="choices.length > 0" class="choices" role="group" :aria-label="t('lookFirst')">
      <button
        v-for="each in choices"
        :key="each.words"
        type="button"
        class="choice look"
        :aria-pressed="hasWords(kept, each.words)"
        :disabled="visit.finished || isTooLong(each.words)"
        @click="toggle(each.words)"
      >
        {{ each.words }} <span class="small mark">{{ MARK[each.why] }}</span>
      </button>
    </div>
    <div class="field">
      <label for="look-first">{{ t('nextTimeLookFirst') }}</label>
      <TextInput
        id="look-first"
        :model-value="kept"
        :maxlength="LIMITS.aboutLength"
        :readonly="visit.finished"
        :placeholder="t('standsTopWhenThey')"
        @input="visit.setArrive({ lookFirst: ($event.target as HTMLInputElement).value })"
      />
    </div>
    <p v-if="booked" class="booked" role="status">
      {{ t('bookedFor') }} <b>{{ practice.shortDate(booked) }}, {{ practice.timeOfDay(booked) }}</b
      >.
    </p>
    <p class="why">
      <template v-if="back.days !== null"
        >{{ t('comeBackAbout') }} <b class="num">{{ back.days }}</b> {{ t('days', { reasons: back.reasons.join('; ') }) }}
        <span class="soft small">{{ t('ruleThumbAthletesOwn') }}</span></template
      ><template v-else>{{ t('noDayProposed', { reasons: back.reasons.join('; ') }) }}</template>
    </p>
    <form v-if="!booked" class="book" novalidate @submit.prevent="book()">
      <DayField id="next-day" v-model:value="on" :label="t('day')" />
      <TimeField id="next-time" v-model:value="at" />
      <div class="field">
        <span class="label">{{ t('minutes') }}</span>
        <NumberField
          :value="minutes"
          :label="t('minutesNextVisit')"
          :unit="t('min')"
          :step="5"
          :wrong="wrong.startsWith('Whole')"
          @change="(value) => (minutes = value)"
        />
      </div>
      <Button html-type="submit" :loading="busy">{{ t('bookIt') }}</Button>
    </form>
    <p v-if="wrong !== ''" class="wrong" role="alert">{{ wrong }}</p>
    <ProblemNote v-if="problem" :problem="problem"
      ><Button v-if="problem.overlaps.length > 0" :disabled="busy" @click="book(true)">{{ t('allowOverlap') }}</Button></ProblemNote
    >
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 10px;
}

.look {
  text-align: left;
}

.mark {
  margin-left: 6px;
  opacity: 0.8;
}

.book {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 2px 14px;
}

/* Beside fields that have a label above them. */
.book > .ant-btn {
  margin-top: 24px;
}

.booked {
  padding-left: 10px;
  border-left: 4px solid var(--spruce);
}

@media (pointer: coarse) {
  .look {
    min-height: 44px;
  }
}
</style>
