<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { limitWords } from '@pace-bend/core/caution';
import { formatNumber } from '@pace-bend/core/measure';
import type { Against } from '@pace-bend/core/readiness';
import { fieldsOf, hasAnswer, NOTHING_ANSWERED, type Answers } from '../../checkIn/answers.ts';
import QuestionList from '../../checkIn/QuestionList.vue';
import { normalWords } from '../../parts/normalWords.ts';
import OwnNormal from '../../parts/OwnNormal.vue';
import ReadinessMark from '../../parts/ReadinessMark.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { useVisit } from '../../stores/visit.ts';
import AsideLine from './AsideLine.vue';
import { t } from '../../words/arrive.ts';

/** How they are today: their answers beside their own normal, what that holds back, and what is set aside. */
const emit = defineEmits<{ minutes: [minutes: number] }>();
const visit = useVisit();
const practice = usePractice();
const session = useSession();

const today = computed(() => visit.readiness!);
const file = computed(() => visit.file!);
const kept = computed(() => file.value.readiness.kept);
const checkIn = computed(() => today.value.told.today);
const values = computed(() => [...today.value.told.items, today.value.told.sleep]);
const asideOf = (id: string) => file.value.readiness.setAside.find((each) => each.limitId === id) ?? null;
/** What holds something back besides the reasons: the word itself, sore places, what was trained. */
const others = computed(() =>
  today.value.offered.filter((limit) => today.value.verdict.reasons.every(({ ruleId }) => ruleId !== limit.id)),
);
const mayAside = computed(() => !visit.finished && session.may('PUT', '/visits/:id/readiness-aside/:asideId'));
const said = (against: Against) =>
  normalWords({
    name: against.name,
    value: against.value,
    median: against.normal.kind === 'known' ? against.normal.median : null,
    missing: against.normal.kind === 'known' ? 0 : against.normal.missing,
    off: against.off,
  });
const shorter = computed(() => today.value.minutes < file.value.visit.minutesAvailable);
/** What was taken in is no longer how it stands. */
const changed = computed(() => kept.value !== null && kept.value.word !== today.value.verdict.word);

const asking = ref(false);
const answers = ref<Answers>(NOTHING_ANSWERED);
function answer(): void {
  if (visit.finished) return;
  const before = checkIn.value;
  answers.value = before && before.scale === file.value.readiness.scale ? { ...before } : NOTHING_ANSWERED;
  asking.value = true;
}
function keepAnswers(): void {
  const { answers: given, hoursSlept, sore, ill, injured, travelled, training, rmssdMs } = answers.value;
  visit.saveCheckIn(
    fieldsOf(
      { answers: given, hoursSlept, sore, ill, injured, travelled, training, rmssdMs },
      practice.dayOf(file.value.visit.startsAt),
      file.value.readiness.scale,
    ),
  );
  asking.value = false;
}
function takeIn(): void {
  if (!visit.finished) visit.keepReadiness(null);
}
defineExpose({ takeIn, answer });
</script>

<template>
  <section class="card day" :aria-label="t('today')">
    <header>
      <ReadinessMark :shape="today.verdict.word" :size="20" aria-hidden="true" />
      <h2>{{ today.verdict.word === 'not known' ? t('notKnownHowThey') : t('today2', { word: today.verdict.word }) }}</h2>
      <span class="soft small">{{
        checkIn ? t('answered', { timeOfDay: practice.timeOfDay(checkIn.at), by: checkIn.by }) : t('notAnsweredToday')
      }}</span>
      <span class="acts">
        <Button :disabled="visit.finished" @click="answer"
          >{{ checkIn ? t('correctAnswers') : t('enterAnswers') }} <span class="key">{{ t('d') }}</span></Button
        >
        <Button :type="kept && !changed ? 'default' : 'primary'" :disabled="visit.finished" @click="takeIn"
          >{{ kept && !changed ? t('applied') : t('applyIt') }} <span class="key">{{ t('t') }}</span></Button
        >
      </span>
    </header>
    <p v-if="today.verdict.missing.length > 0" class="soft small">
      {{ t('notKnown', { missing: today.verdict.missing.join(', ') })
      }}<template v-if="today.told.sum.normal.kind === 'not-known'">
        {{ ' ' }}{{ t('moreAnswersMakeOwn', { missing: today.told.sum.normal.missing }) }}</template
      >
    </p>
    <div v-if="checkIn" class="values">
      <div v-for="each in values" :key="each.id" class="value">
        <span class="small soft">{{ each.name }}</span>
        <b class="num">{{ each.value === null ? '–' : formatNumber(each.value) }}</b>
        <OwnNormal :off="each.off" :known="each.normal.kind === 'known'" :label="said(each)" />
      </div>
    </div>
    <ul v-if="today.verdict.reasons.length > 0" class="plain reasons" :aria-label="t('reasons')">
      <li v-for="reason in today.verdict.reasons" :key="reason.ruleId" :class="{ aside: asideOf(reason.ruleId) }">
        <span class="weight num" :title="t('weighsMuchFrom1')">{{ formatNumber(reason.weight) }}</span>
        <span
          ><b>{{ reason.reason }}</b> <span class="soft small">{{ t('until', { until: reason.until }) }}</span><span
            v-if="limitWords(reason.limits, '°').length > 0"
            class="small limits"
            >{{ limitWords(reason.limits, '°').join(', ') }}</span
          ></span
        >
        <AsideLine
          :aside="asideOf(reason.ruleId)"
          :may="mayAside"
          :what="reason.reason"
          @keep="(word) => visit.setLimitAside(reason.ruleId, word)"
        />
      </li>
    </ul>
    <ul v-if="others.length > 0" class="plain reasons" :aria-label="t('whatHoldsBack')">
      <li v-for="limit in others" :key="limit.id" :class="{ aside: asideOf(limit.id) }">
        <span class="weight" aria-hidden="true">·</span>
        <span
          ><b>{{ limit.because }}</b> <span class="small limits">{{ limitWords(limit.limits, '°').join(', ') }}</span></span
        >
        <AsideLine :aside="asideOf(limit.id)" :may="mayAside" :what="limit.because" @keep="(word) => visit.setLimitAside(limit.id, word)" />
      </li>
    </ul>
    <p v-if="today.trained.length > 0" class="small">
      <span class="soft">{{ t('trainedYesterday') }}</span>
      {{
        today.trained
          .map((each) =>
            t('min', {
              name: each.name.toLowerCase(),
              minutes: each.minutes,
              what: each.exertion === null ? '' : ` ${t('at', { number: formatNumber(each.exertion) })}`,
            }),
          )
          .join(', ')
      }}
    </p>
    <p v-if="shorter && !visit.finished" class="small">
      {{ t('dayAboutMinutes', { word: today.effective.word, minutes: today.minutes, minutesAvailable: file.visit.minutesAvailable }) }}
      <button type="button" class="link" @click="emit('minutes', today.minutes)">{{ t('useMinutes', { minutes: today.minutes }) }}</button>
    </p>
    <p v-if="changed" class="small care">{{ t('appliedStandsDifferentlyNow', { word: kept!.word }) }}</p>
    <p class="soft small">{{ t('adviceFromWhatKnown') }}</p>
  </section>
  <SheetDialog v-model:open="asking" :title="t('todaysAnswers', { name: file.athlete.name })" :width="600">
    <form class="asked" @submit.prevent="keepAnswers">
      <QuestionList :answers="answers" :scale="file.readiness.scale" @change="(next) => (answers = next)" />
      <Button type="primary" size="large" html-type="submit" :disabled="!hasAnswer(answers)">{{ t('keepAnswers') }}</Button>
    </form>
  </SheetDialog>
</template>

<style scoped>
.day {
  display: grid;
  gap: 10px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}

.acts .key {
  margin-left: 6px;
  color: var(--ink);
}

.values {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
}

.value {
  display: grid;
  grid-template-columns: auto auto;
  align-items: baseline;
  gap: 0 6px;
}

.value .own {
  grid-column: 1 / -1;
}

.value b {
  font-size: 18px;
}

.reasons {
  display: grid;
  gap: 2px;
}

.reasons li {
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid var(--line-faint);
}

.weight {
  color: var(--soft);
}

.limits {
  display: block;
  color: var(--clay-text);
}

.aside b,
.aside .limits {
  text-decoration: line-through;
}

.care {
  color: var(--clay-text);
}

.asked {
  display: grid;
  gap: 14px;
}
</style>
