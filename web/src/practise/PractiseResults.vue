<script setup lang="ts">
import { computed } from 'vue';
import { formatNumber } from '@pace-bend/core/measure';
import type { Attempt } from './usePractise.ts';
import { t } from '../words/practise.ts';

/** What came of the last attempt against what was asked, and how the ones before it went. */
const props = defineProps<{ attempts: readonly Attempt[] }>();
const last = computed(() => props.attempts[0]!);
const s = (ms: number) => `${formatNumber(ms / 1000, 1)} s`;
/** How far off it was on average, in words. */
function offWords(askedMs: number, tookMs: number): string {
  const off = (tookMs - askedMs) / 1000;
  if (Math.abs(off) < 0.05) return t('exact');
  return `${formatNumber(Math.abs(off), 1)} s ${off < 0 ? 'short' : 'long'}`;
}
const EFFORT = { more: t('tooLittle'), good: t('asAsked'), 'too hard': t('tooHard') } as const;
const pace = (attempt: Attempt) => {
  const { phases } = attempt.result;
  return attempt.byHand
    ? t('ofOnPace', { phases: phases.filter(({ word }) => word === 'on pace').length, count: phases.length })
    : t('countedProgram');
};
const effort = (attempt: Attempt) => {
  const known = attempt.result.presses.filter(({ word }) => word !== null);
  return known.length === 0
    ? t('noEffortMeasured')
    : t('pressesAsked', { known: known.filter(({ word }) => word === 'good').length, count: known.length });
};
</script>

<template>
  <section class="card results" :aria-label="t('howWent')">
    <h2>{{ t('howWent') }}</h2>
    <p class="sum" role="status">
      <b>{{ pace(last) }}</b> · {{ effort(last) }}
    </p>
    <table v-if="last.result.kinds.length > 0">
      <caption class="small soft">
        {{
          t('yourOwnCountPace')
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ t('phase') }}</th>
          <th scope="col">{{ t('asked') }}</th>
          <th scope="col">{{ t('youAverage') }}</th>
          <th scope="col">{{ t('off') }}</th>
          <th scope="col">{{ t('onPace') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="kind in last.result.kinds" :key="kind.name">
          <th scope="row">{{ kind.name }}</th>
          <td class="num">{{ s(kind.askedMs) }}</td>
          <td class="num">{{ s(kind.tookMs) }}</td>
          <td>{{ offWords(kind.askedMs, kind.tookMs) }}</td>
          <td class="num" :class="{ off: kind.onPace < kind.count }">{{ t('of', { onPace: kind.onPace, count: kind.count }) }}</td>
        </tr>
      </tbody>
    </table>
    <table v-if="last.result.presses.length > 0">
      <caption class="small soft">
        {{
          t('pressGaugeHeard')
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ t('round') }}</th>
          <th scope="col">{{ t('asked') }}</th>
          <th scope="col">{{ t('pressed') }}</th>
          <th scope="col">{{ t('insideBand') }}</th>
          <th scope="col"></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="press in last.result.presses" :key="press.cue.index">
          <th scope="row">{{ press.cue.round }}</th>
          <td class="num">{{ press.askedPct }} %</td>
          <td class="num">{{ press.pct === null ? t('n', { number: formatNumber(press.n, 0) }) : `${press.pct} %` }}</td>
          <td class="num">{{ press.inside === null ? t('notKnown') : t('ofTheTime', { what: Math.round(100 * press.inside) }) }}</td>
          <td :class="{ off: press.word !== null && press.word !== 'good' }">
            {{ press.word === null ? t('noStrongestPressCompare') : EFFORT[press.word] }}
          </td>
        </tr>
      </tbody>
    </table>
    <ul v-if="last.result.offPlane.length > 0">
      <li v-for="each in last.result.offPlane" :key="each.words">
        {{ t('upTo', { words: each.words, times: each.times, deg: each.deg }) }}
      </li>
    </ul>
    <p v-if="!last.byHand && last.result.presses.length === 0 && last.result.offPlane.length === 0" class="soft">
      {{ t('programCountedNoDevice') }}
    </p>
    <template v-if="attempts.length > 1">
      <h3>{{ t('before') }}</h3>
      <ol class="small" :start="1">
        <li v-for="attempt in attempts.slice(1)" :key="attempt.id">{{ pace(attempt) }} · {{ effort(attempt) }}</li>
      </ol>
    </template>
    <p class="small soft">{{ t('youOnlyStandsPage') }}</p>
  </section>
</template>

<style scoped>
.results {
  display: grid;
  gap: 12px;
}

.sum {
  margin: 0;
  font-size: 18px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

caption {
  padding-bottom: 4px;
  text-align: left;
}

th,
td {
  padding: 6px 8px 6px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
}

.off {
  color: var(--clay-text);
  font-weight: 600;
}
</style>
