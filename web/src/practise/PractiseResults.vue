<script setup lang="ts">
import { computed } from 'vue';
import { formatNumber } from '@pace-bend/core/measure';
import type { Attempt } from './usePractise.ts';

/** What came of the last attempt against what was asked, and how the ones before it went. */
const props = defineProps<{ attempts: readonly Attempt[] }>();
const last = computed(() => props.attempts[0]!);
const s = (ms: number) => `${formatNumber(ms / 1000, 1)} s`;
/** How far off it was on average, in words. */
function offWords(askedMs: number, tookMs: number): string {
  const off = (tookMs - askedMs) / 1000;
  if (Math.abs(off) < 0.05) return 'exact';
  return `${formatNumber(Math.abs(off), 1)} s ${off < 0 ? 'short' : 'long'}`;
}
const EFFORT = { more: 'too little', good: 'as asked', 'too hard': 'too hard' } as const;
const pace = (attempt: Attempt) => {
  const { phases } = attempt.result;
  return attempt.byHand
    ? `${phases.filter(({ word }) => word === 'on pace').length} of ${phases.length} on pace`
    : 'counted by the program';
};
const effort = (attempt: Attempt) => {
  const known = attempt.result.presses.filter(({ word }) => word !== null);
  return known.length === 0
    ? 'no effort measured'
    : `${known.filter(({ word }) => word === 'good').length} of ${known.length} presses as asked`;
};
</script>

<template>
  <section class="card results" aria-label="How it went">
    <h2>How it went</h2>
    <p class="sum" role="status">
      <b>{{ pace(last) }}</b> · {{ effort(last) }}
    </p>
    <table v-if="last.result.kinds.length > 0">
      <caption class="small soft">
        Your own count. On pace is within a tenth of the time, half a second at least.
      </caption>
      <thead>
        <tr>
          <th scope="col">Phase</th>
          <th scope="col">Asked</th>
          <th scope="col">You, on average</th>
          <th scope="col">Off</th>
          <th scope="col">On pace</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="kind in last.result.kinds" :key="kind.name">
          <th scope="row">{{ kind.name }}</th>
          <td class="num">{{ s(kind.askedMs) }}</td>
          <td class="num">{{ s(kind.tookMs) }}</td>
          <td>{{ offWords(kind.askedMs, kind.tookMs) }}</td>
          <td class="num" :class="{ off: kind.onPace < kind.count }">{{ kind.onPace }} of {{ kind.count }}</td>
        </tr>
      </tbody>
    </table>
    <table v-if="last.result.presses.length > 0">
      <caption class="small soft">
        The press, as the gauge heard it.
      </caption>
      <thead>
        <tr>
          <th scope="col">Round</th>
          <th scope="col">Asked</th>
          <th scope="col">Pressed</th>
          <th scope="col">Inside the band</th>
          <th scope="col"></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="press in last.result.presses" :key="press.cue.index">
          <th scope="row">{{ press.cue.round }}</th>
          <td class="num">{{ press.askedPct }} %</td>
          <td class="num">{{ press.pct === null ? `${formatNumber(press.n, 0)} N` : `${press.pct} %` }}</td>
          <td class="num">{{ press.inside === null ? 'not known' : `${Math.round(100 * press.inside)} % of the time` }}</td>
          <td :class="{ off: press.word !== null && press.word !== 'good' }">
            {{ press.word === null ? 'no strongest press to compare with' : EFFORT[press.word] }}
          </td>
        </tr>
      </tbody>
    </table>
    <ul v-if="last.result.offPlane.length > 0">
      <li v-for="each in last.result.offPlane" :key="each.words">{{ each.words }}, {{ each.times }}×, up to {{ each.deg }}°</li>
    </ul>
    <p v-if="!last.byHand && last.result.presses.length === 0 && last.result.offPlane.length === 0" class="soft">
      The program counted and no device was connected, so there is nothing to compare. Count it yourself, or connect the force gauge.
    </p>
    <template v-if="attempts.length > 1">
      <h3>Before</h3>
      <ol class="small" :start="1">
        <li v-for="attempt in attempts.slice(1)" :key="attempt.id">{{ pace(attempt) }} · {{ effort(attempt) }}</li>
      </ol>
    </template>
    <p class="small soft">For you only: it stands on this page and in no record, and counts as no treatment.</p>
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
