<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { CONSENT_AREAS, type ConsentArea } from '@pace-bend/core/caution';
import { placeWords } from '@pace-bend/core/body';
import { LIMITS } from '@pace-bend/core/record';
import { isTyping } from '../../parts/useGlobalKeys.ts';
import TextInput from '../../parts/TextInput.vue';
import { inDays } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import { useVisit } from '../../stores/visit.ts';
import HomeAsked from '../../home/HomeAsked.vue';
import StopNotice from '../referral/StopNotice.vue';
import ComplaintCard from './ComplaintCard.vue';
import DayCard from './DayCard.vue';
import NotAsked from './NotAsked.vue';
import StopQuestions from './StopQuestions.vue';
import { isKey } from '../../parts/keys.ts';
import { useWindowKeys } from '../../parts/useWindowKeys.ts';
import { t } from '../../words/arrive.ts';

/** Under a minute: what to look at first, what hurts, what changed, what may be touched, how long there is. */
const visit = useVisit();
const practice = usePractice();
const router = useRouter();
const today = ref<InstanceType<typeof DayCard> | null>(null);
const questions = ref<InstanceType<typeof StopQuestions> | null>(null);
const file = computed(() => visit.file!);
const minutesText = ref(String(file.value.visit.minutesAvailable));
const { min, max } = LIMITS.visitMinutes;
const minutesWrong = computed(() => {
  const minutes = Number(minutesText.value);
  return Number.isInteger(minutes) && minutes >= min && minutes <= max ? null : t('wholeMinutes', { min, max });
});
const event = computed(() => file.value.nextEvent);
const last = computed(() => file.value.lastArrival);
const consent = computed(() => file.value.visit.consent);
const noTouch = computed(() => file.value.noTouch.map((area) => placeWords(area.region, area.side)));

function setMinutes(text: string): void {
  minutesText.value = text;
  if (!minutesWrong.value) visit.setArrive({ minutesAvailable: Number(text) });
}

function less(by: number): void {
  setMinutes(String(Math.min(max, Math.max(min, file.value.visit.minutesAvailable + by))));
}

function toggleArea(area: ConsentArea): void {
  const agreed = consent.value ?? [];
  visit.setArrive({
    consent: agreed.includes(area)
      ? agreed.filter((each) => each !== area)
      : CONSENT_AREAS.map((each) => each.id).filter((each) => each === area || agreed.includes(each)),
  });
}

function sameAsLast(): void {
  if (last.value?.consent) visit.setArrive({ consent: last.value.consent });
}

function onKey(keyboard: KeyboardEvent): void {
  if (isTyping(keyboard) || visit.finished) return;
  if (isKey(keyboard, 'allWell')) void questions.value?.allWell();
  else if (isKey(keyboard, 'sameTouch')) sameAsLast();
  else if (isKey(keyboard, 'takeIn')) today.value?.takeIn();
  else if (isKey(keyboard, 'answerToday')) today.value?.answer();
  else return;
  keyboard.preventDefault();
}
useWindowKeys(onKey);
</script>

<template>
  <div class="arrive">
    <div class="main">
      <StopNotice v-if="visit.stops.length > 0 && !visit.finished" at-arrive />
      <p v-if="last?.lookFirst" class="look">
        <span class="soft">{{ t('lookFirst') }}</span> <b>{{ last.lookFirst }}</b> {{ ' '
        }}<span class="soft small">{{ t('left', { shortDate: practice.shortDate(last.startsAt) }) }}</span>
      </p>
      <p v-if="visit.toLookAt.length > 0" class="look">
        <span class="soft">{{ t('lookAtThisFirst') }}</span> {{ ' ' }}<b>{{ visit.toLookAt.map(({ words }) => words).join('; ') }}</b>
      </p>
      <ComplaintCard />
      <HomeAsked v-if="file.lastHome && !file.lastHome.askedBefore" />
      <DayCard ref="today" @minutes="(minutes) => setMinutes(String(minutes))" />
      <StopQuestions ref="questions" />
    </div>

    <aside class="side">
      <section class="card">
        <h2>{{ t('minutesAvailableToday') }}</h2>
        <div class="minutes">
          <Button :disabled="visit.finished" :aria-label="t('n5FiveMinutesLess')" @click="less(-5)">−5</Button>
          <TextInput
            class="num"
            inputmode="numeric"
            :aria-label="t('minutesAvailable')"
            :aria-invalid="minutesWrong ? 'true' : undefined"
            aria-describedby="minutes-wrong"
            :model-value="minutesText"
            :readonly="visit.finished"
            :maxlength="4"
            @update:model-value="(typed) => setMinutes(typed ?? '')"
          />
          <Button :disabled="visit.finished" :aria-label="t('n5FiveMinutesMore')" @click="less(5)">+5</Button>
          <span class="soft small"
            >{{ t('booked', { minutes: file.visit.minutes }) }}<br />{{ practice.timeOfDay(file.visit.startsAt) }}</span
          >
        </div>
        <p v-if="minutesWrong" id="minutes-wrong" class="wrong" role="alert">{{ minutesWrong }}</p>
      </section>
      <section class="card" :aria-label="t('consent')">
        <h2>{{ t('mayTouchedToday') }}</h2>
        <p class="soft small">
          {{
            consent === null
              ? file.visit.consentWord
                ? t('notAskedBecause', { consentWord: file.visit.consentWord })
                : t('notAskedYet')
              : t('areasAgreed', { count: consent.length, count2: CONSENT_AREAS.length })
          }}
        </p>
        <div class="choices">
          <button
            v-for="area in CONSENT_AREAS"
            :key="area.id"
            type="button"
            class="choice area"
            :aria-pressed="consent?.includes(area.id) ?? false"
            :disabled="visit.finished"
            @click="toggleArea(area.id)"
          >
            {{ area.name }}
          </button>
        </div>
        <button v-if="last?.consent && !visit.finished" type="button" class="link" @click="sameAsLast">
          {{ t('sameLastTime') }} <span class="key">{{ t('s') }}</span>
        </button>
        <NotAsked
          v-if="consent === null && file.visit.consentWord === '' && !visit.finished"
          :what="t('consent2')"
          @keep="(word) => visit.setArrive({ consentWord: word })"
        />
        <p v-if="noTouch.length > 0" class="care small">{{ t('never', { noTouch: noTouch.join(', ') }) }}</p>
      </section>
      <section class="card">
        <h2>{{ t('nextEvent') }}</h2>
        <p v-if="event">
          <span class="big num">{{ inDays(practice.daysUntil(event.onDate)) }}</span> {{ event.name }},
          {{ practice.shortDate(event.onDate) }}
        </p>
        <p v-else class="soft">{{ t('noneCalendar') }}</p>
        <p class="soft small">
          <template v-if="last"
            >{{ t('lastVisit', { shortDate: practice.shortDate(last.startsAt) }) }}
            <RouterLink :to="`/athlete/${file.athlete.id}`">{{ t('rangeOverVisits') }}</RouterLink></template
          >
          <template v-else>{{ t('firstVisitTodaysValues') }}</template>
        </p>
      </section>
      <Button
        type="primary"
        size="large"
        block
        :disabled="visit.stops.length > 0 && !visit.finished"
        @click="router.push(`/visit/${visit.id}/measure`)"
        >{{ t('measure') }}</Button
      >
    </aside>
  </div>
</template>

<style scoped>
.arrive {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 14px;
  align-items: start;
}

.main,
.side {
  display: grid;
  gap: 14px;
  min-width: 0;
}

.side .card {
  display: grid;
  gap: 8px;
}

.look {
  padding: 9px 16px;
  border-left: 4px solid var(--spruce);
  border-radius: 4px;
  background: var(--spruce-soft);
  font-size: 15px;
}

.minutes {
  display: flex;
  align-items: center;
  gap: 8px;
}

.minutes input {
  width: 76px;
  height: 54px;
  font-size: 28px;
  text-align: center;
}

.minutes :deep(.ant-btn) {
  width: 48px;
  height: 54px;
}

.area {
  min-height: 36px;
  padding: 4px 10px;
  font-size: 13px;
}

.link {
  justify-self: start;
}

.care {
  color: var(--clay-text);
}

.big {
  font-size: 22px;
}

@container page (max-width: 812px) {
  .arrive {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
