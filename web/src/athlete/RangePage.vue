<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { MOTIONS } from '@pace-bend/core/body';
import { formatNumber } from '@pace-bend/core/measure';
import type { Side } from '@pace-bend/core/body';
import type { AthleteFile } from '@pace-bend/core/record';
import BendPair from '../parts/BendPair.vue';
import VisitState from '../parts/VisitState.vue';
import { usePractice } from '../stores/practice.ts';
import GoalLine from './GoalLine.vue';
import PeriodsCard from './PeriodsCard.vue';
import PosedFigure from '../parts/PosedFigure.vue';
import RangeChart from './RangeChart.vue';
import { seriesOf } from '../parts/series.ts';
import { t } from '../words/athlete.ts';

/** Range over the visits, motion by motion. */
const props = defineProps<{ file: AthleteFile }>();

const practice = usePractice();
const route = useRoute();
const motionId = ref(typeof route.query.motion === 'string' ? route.query.motion : '');
const goalOf = (side: Side) => props.file.goals.find((goal) => goal.motionId === shown.value?.motion.id && goal.side === side) ?? null;
const DAY_MS = 86_400_000;

const motions = computed(() =>
  MOTIONS.filter((motion) => props.file.past.some((reading) => reading.motionId === motion.id && reading.moment === 'before')),
);
const all = computed(() =>
  motions.value.map((motion) => ({
    motion,
    series: seriesOf(motion, props.file.past, props.file.athlete, practice.today, props.file.errors),
  })),
);
const shown = computed(() => all.value.find((row) => row.motion.id === motionId.value) ?? all.value[0] ?? null);

/** Both sides share their axes, so that left and right can be compared by eye. */
const range = computed(() => {
  const series = shown.value?.series ?? [];
  const values = series
    .flatMap((side) => [
      ...side.points.flatMap((point) => [point.before, point.after]),
      side.baseline - side.mdc,
      side.baseline + side.mdc,
      ...side.bands.flatMap((band) => [band.low, band.high]),
      goalOf(side.side)?.value ?? null,
      ...side.level.points.flatMap((point) => [point.low, point.high]),
    ])
    .filter((value) => value !== null);
  const times = series.flatMap((side) => side.points.map((point) => point.at));
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const pad = (high - low) * 0.06;
  return {
    from: Math.min(...times) - 5 * DAY_MS,
    to: Math.max(...times) + 16 * DAY_MS,
    low: Math.floor(low - pad),
    high: Math.ceil(high + pad),
  };
});
const fans = (row: (typeof all.value)[number]) =>
  row.series.map((side) => ({
    side: side.side,
    now: side.points.findLast((point) => point.before !== null)?.before ?? null,
    earlier: null,
    baseline: side.baseline,
    low: false,
  }));
const latest = (row: (typeof all.value)[number], side: 'left' | 'right' | 'midline') => {
  const value = row.series.find((each) => each.side === side)?.points.findLast((point) => point.before !== null)?.before;
  return typeof value === 'number' ? formatNumber(value) : '–';
};
</script>

<template>
  <div class="range">
    <div class="columns">
      <section class="card motions" :aria-label="t('motions')">
        <p v-if="all.length === 0" class="soft empty">
          {{ t('nothingMeasuredYetOpen') }}
        </p>
        <button
          v-for="row in all"
          :key="row.motion.id"
          type="button"
          :aria-pressed="row.motion.id === shown?.motion.id"
          @click="motionId = row.motion.id"
        >
          <PosedFigure :motion="row.motion" :size="44" :shape="1.25" decorative />
          <span class="what"
            ><b>{{ row.motion.name }}</b
            ><span class="soft small">{{ row.motion.testPosition }}</span></span
          >
          <span class="num">{{ latest(row, row.motion.sides[0]!) }}</span>
          <BendPair :motion="row.motion" :fans="fans(row)" :bands="row.series[0]?.bands ?? []" :width="92" />
          <span class="num">{{ row.motion.sides[1] ? latest(row, row.motion.sides[1]) : '' }}</span>
        </button>
      </section>

      <section v-if="shown" class="card charts" :aria-label="t('rangeOverVisits')">
        <h2>{{ shown.motion.name }}, {{ shown.motion.testPosition }}</h2>
        <div class="pair" :class="{ single: shown.series.length === 1 }">
          <RangeChart
            v-for="series in shown.series"
            :key="`${shown.motion.id}/${series.side}`"
            :motion="shown.motion"
            :series="series"
            :range="range"
            :zone="practice.zone"
            :events="file.events.filter((event) => Date.parse(event.onDate) <= range.to)"
            :goal="goalOf(series.side)?.value ?? null"
          />
        </div>
        <p class="legend small soft">
          <span
            ><svg width="14" height="14" aria-hidden="true"><circle cx="7" cy="7" r="4.6" class="dot" /></svg> {{ t('beforeWork') }}</span
          >
          <span
            ><svg width="14" height="14" aria-hidden="true"><path d="M7 1L13 7L7 13L1 7Z" class="diamond" /></svg>
            {{ t('afterWork') }}</span
          >
          <span
            ><svg width="22" height="12" aria-hidden="true">
              <rect width="22" height="12" class="mdc" />
              <path d="M0 6H22" class="base" />
            </svg>
            {{ t('baselineAroundOnlyMeasuring') }}</span
          >
          <span
            ><svg width="22" height="12" aria-hidden="true">
              <rect width="22" height="12" class="level" />
              <path d="M0 6H22" class="level-line" />
            </svg>
            {{ t('levelBehindReadings95') }}</span
          >
          <span
            ><svg width="22" height="12" aria-hidden="true"><path d="M1 2L21 10" class="fades" /></svg> {{ t('whatKeptUntilNext') }}</span
          >
          <span v-if="shown.series[0]?.bands.length"
            ><svg width="22" height="12" aria-hidden="true">
              <rect width="22" height="12" class="band" />
              <path d="M0 6H22" class="middle" />
            </svg>
            {{
              t('referenceMiddle', { what: shown.series[0]!.bands.map((band) => `${band.people} (${band.source.short})`).join(' and ') })
            }}</span
          >
        </p>
        <div class="pair goals" :class="{ single: shown.series.length === 1 }">
          <GoalLine
            v-for="series in shown.series"
            :key="`${shown.motion.id}/${series.side}`"
            :motion="shown.motion"
            :side="series.side"
            :goal="goalOf(series.side)"
          />
        </div>
        <PeriodsCard :key="shown.motion.id" :motion="shown.motion" :series="shown.series" />
      </section>
    </div>

    <section class="card" :aria-label="t('visits')">
      <h2>{{ t('visits') }}</h2>
      <p v-if="file.visits.length === 0" class="soft">{{ t('noneYet') }}</p>
      <ul class="visits">
        <li v-for="visit in file.visits" :key="visit.id">
          <RouterLink :to="`/visit/${visit.id}`"
            ><VisitState :visit="visit" /> <span class="num">{{ practice.shortDate(visit.startsAt) }}</span></RouterLink
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.range {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

.columns {
  display: grid;
  grid-template-columns: 372px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}

.motions {
  padding: 0;
}

.motions button {
  display: grid;
  grid-template-columns: 55px minmax(0, 1fr) 46px 92px 46px;
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: 64px;
  padding: 6px 12px 6px 14px;
  border: 0;
  border-bottom: 1px solid var(--line-faint);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.motions button:last-child {
  border-bottom: 0;
}

.motions button > .num:nth-child(3) {
  text-align: right;
}

.motions button[aria-pressed='true'] {
  background: var(--raised);
  box-shadow: inset 4px 0 0 var(--spruce);
}

.motions button:focus-visible {
  outline-offset: -3px;
}

.what b,
.what span {
  display: block;
  line-height: 1.3;
}

.charts {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px;
}

.pair.single {
  grid-template-columns: minmax(0, 1fr);
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

.legend span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}

.dot {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}

.diamond {
  fill: var(--spruce);
}

.level {
  fill: var(--plum-soft);
}

.level-line {
  stroke: var(--plum);
  stroke-width: 2;
}

.fades {
  stroke: var(--spruce);
  stroke-width: 1.6;
  stroke-dasharray: 1 4;
}

.mdc {
  fill: var(--line-faint);
}

.base {
  stroke: var(--tick);
  stroke-dasharray: 4 3;
}

.middle {
  stroke: var(--paper);
  stroke-width: 2;
}

.band {
  fill: var(--band);
}

.visits {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

.visits a {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 5px 10px;
  border: 1px solid var(--line);
  border-radius: 4px;
  text-decoration: none;
}

.visits a:hover {
  background: var(--raised);
}

.empty {
  padding: 22px 18px;
}

@container page (max-width: 972px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}

@container page (max-width: 812px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}

/* The name has a line of its own above the figure and its numbers. */
@container page (max-width: 460px) {
  .motions button {
    grid-template-columns: 55px minmax(34px, auto) minmax(0, 1fr) minmax(34px, auto);
    gap: 2px 8px;
  }

  .motions button :deep(.posed) {
    grid-row: span 2;
  }

  .what {
    grid-column: 2 / -1;
  }
}
</style>
