<script setup lang="ts">
import { computed } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import { MOVING_WEEKS } from '@pace-bend/core/cycle';
import { formatNumber } from '@pace-bend/core/measure';
import { ENOUGH_ESS } from '@pace-bend/core/forecast';
import type { Said, Spot } from '../../workers/forecast.worker.ts';
import { amount, knownWords, middleWords, rhythmWords } from './words.ts';
import { t } from '../../words/athlete.ts';

/** What of a visit stays, how fast it goes, whether it still moves, and how much of this is known. */
const props = defineProps<{ motion: Motion; said: Said; spot: Spot; /** What a visit is like. */ like: string }>();
const unit = computed(() => (props.motion.unit === 'deg' ? t('degree') : t('centimetre')));
</script>

<template>
  <section class="card" :aria-label="t('whatKept')">
    <h2>{{ t('whatKept') }}</h2>
    <p>
      {{ t('eachVisitBrings', { unit }) }} <b>{{ middleWords(said.keptTomorrow, 2) }}</b> {{ t('thereNextMorning') }}
      <b>{{ middleWords(said.keptNext, 2) }}</b> {{ t('nextVisitDaysNothing', { nextInDays: said.nextInDays }) }}
      <b>{{ t('days', { number: formatNumber(said.halfGone.middle, 0) }) }}</b>
      {{ t('to7', { number: formatNumber(said.halfGone.low, 0), number2: formatNumber(said.halfGone.high, 0) }) }}
    </p>
    <p>
      <template v-if="said.moving.weeks !== null"
        ><b>{{ t('stillMoving') }}</b>
        {{
          t('weeksLikeExpectedBring', {
            weeks: said.moving.weeks,
            amount: amount(said.moving.gain, motion.unit),
            amount2: amount(said.moving.measurable, motion.unit),
          })
        }}</template
      >
      <template v-else
        ><b>{{ t('timeStopChasing') }}</b>
        {{
          t('evenWeeksLikeExpected', {
            movingWeeks: MOVING_WEEKS,
            amount: amount(said.moving.gain, motion.unit),
            amount2: amount(said.moving.measurable, motion.unit),
          })
        }}</template
      >
    </p>
    <p class="small soft">{{ t('weekLikeEachVisit', { rhythm: rhythmWords(spot.rhythm.perWeek).toLowerCase(), like }) }}</p>
    <p>
      {{ t('nextVisitLeaves') }} <b>{{ amount(said.nextKept.middle, motion.unit) }}</b>
      {{ t('behindTo', { number: formatNumber(said.nextKept.low, 1), number2: formatNumber(said.nextKept.high, 1) }) }}
    </p>
    <p class="soft small">
      {{ t('homeWorkOnlyWhat', { known: knownWords(spot.occasions, spot.worked, spot.ownShare) }) }}
    </p>
    <p v-if="spot.ess < ENOUGH_ESS" class="rough small" role="status">
      {{ t('theseReadingsFitTogether') }}
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}

p + p {
  margin-top: 8px;
}

.rough {
  color: var(--clay-text);
}
</style>
