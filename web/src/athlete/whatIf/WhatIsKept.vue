<script setup lang="ts">
import { computed } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import { MOVING_WEEKS } from '@pace-bend/core/cycle';
import { formatNumber } from '@pace-bend/core/measure';
import { ENOUGH_ESS } from '@pace-bend/core/forecast';
import type { Said, Spot } from '../../workers/forecast.worker.ts';
import { amount, knownWords, middleWords, rhythmWords } from './words.ts';

/** What of a visit stays, how fast it goes, whether it still moves, and how much of this is known. */
const props = defineProps<{ motion: Motion; said: Said; spot: Spot; /** What a visit is like. */ like: string }>();
const unit = computed(() => (props.motion.unit === 'deg' ? 'degree' : 'centimetre'));
</script>

<template>
  <section class="card" aria-label="What is kept">
    <h2>What is kept</h2>
    <p>
      Of each {{ unit }} a visit brings, <b>{{ middleWords(said.keptTomorrow, 2) }}</b> is there the next morning and
      <b>{{ middleWords(said.keptNext, 2) }}</b> at the next visit, {{ said.nextInDays }} days on. With nothing done, half of what is above
      the floor is gone in <b>{{ formatNumber(said.halfGone.middle, 0) }} days</b> ({{ formatNumber(said.halfGone.low, 0) }} to
      {{ formatNumber(said.halfGone.high, 0) }}).
    </p>
    <p>
      <template v-if="said.moving.weeks !== null"
        ><b>Still moving.</b> {{ said.moving.weeks }} weeks like this are expected to bring {{ amount(said.moving.gain, motion.unit) }}; a
        month’s readings show {{ amount(said.moving.measurable, motion.unit) }} or more.</template
      >
      <template v-else
        ><b>Time to stop chasing it?</b> Even {{ MOVING_WEEKS }} weeks like this are expected to bring only
        {{ amount(said.moving.gain, motion.unit) }}, and a month’s readings cannot show less than
        {{ amount(said.moving.measurable, motion.unit) }}.</template
      >
    </p>
    <p class="small soft">A week like this: {{ rhythmWords(spot.rhythm.perWeek).toLowerCase() }}, each visit {{ like }}.</p>
    <p>
      The next visit leaves <b>{{ amount(said.nextKept.middle, motion.unit) }}</b> behind ({{ formatNumber(said.nextKept.low, 1) }} to
      {{ formatNumber(said.nextKept.high, 1) }}).
    </p>
    <p class="soft small">
      {{ knownWords(spot.occasions, spot.worked, spot.ownShare) }} Of home work only what is usual is known. In brackets: between these lie
      eight in ten.
    </p>
    <p v-if="spot.ess < ENOUGH_ESS" class="rough small" role="status">
      These readings fit together badly: the bands are rough. Look whether one of them is a slip.
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
