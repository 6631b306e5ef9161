<script setup lang="ts">
import { computed } from 'vue';
import { HOME_DAYS } from '@pace-bend/core/cycle';
import { fewestVisits, LIKELY } from '@pace-bend/core/forecast';
import type { Said } from '../../workers/forecast.worker.ts';
import { amount, chanceWords, rhythmWords } from './words.ts';
import type { Motion } from '@pace-bend/core/body';
import { t } from '../../words/athlete.ts';

/** The chance of the goal by visits a week, and the first that is likely enough to plan with. */
const props = defineProps<{
  motion: Motion;
  goal: number;
  date: string;
  /** What a visit is like. */ like: string;
  rhythms: NonNullable<Said['rhythms']>;
}>();
const without = computed(() => fewestVisits(props.rhythms.without));
const withHome = computed(() => fewestVisits(props.rhythms.with));
const HEIGHT = 84;
const STEP = 44;
const at = (chance: number) => HEIGHT - chance * HEIGHT;
const words = (perWeek: number | null) => (perWeek === null ? null : rhythmWords(perWeek).toLowerCase());
</script>

<template>
  <section class="card" :aria-label="t('fewestVisits')">
    <h2>{{ t('fewestVisits') }}</h2>
    <p>
      <template v-if="withHome === null && without === null">{{
        t('notEvenWeekHome', { with: rhythms.with.at(-1)!.perWeek, amount: amount(goal, motion.unit), date, what: LIKELY * 100 })
      }}</template>
      <template v-else-if="without !== null && without === withHome"
        ><b>{{ rhythmWords(without) }}</b>
        {{ t('makesLeast100Paths', { amount: amount(goal, motion.unit), date, what: LIKELY * 100 }) }}</template
      >
      <template v-else
        ><b>{{ rhythmWords(withHome ?? without!) }}{{ withHome === null ? '' : ` ${t('withHomeWork')}` }}</b>
        {{
          t('makesByInAt', {
            amount: amount(goal, motion.unit),
            date,
            what: LIKELY * 100,
            what2: without === null ? t('withoutNoneTheseDoes') : t('withoutIt', { words: words(without) }),
          })
        }}</template
      >
    </p>
    <svg
      viewBox="0 0 290 126"
      role="img"
      :aria-label="
        t('chanceVisitsWeek', {
          without: rhythms.without
            .map((each, i) =>
              t('n100HomeWork', { perWeek: each.perWeek, chance: chanceWords(each.chance), chance2: chanceWords(rhythms.with[i]!.chance) }),
            )
            .join('; '),
        })
      "
    >
      <g transform="translate(12 8)">
        <g v-for="(each, i) in rhythms.with" :key="each.perWeek" :transform="`translate(${i * STEP} 0)`">
          <rect
            x="2"
            :width="STEP - 8"
            :y="at(each.chance)"
            :height="HEIGHT - at(each.chance)"
            :class="each.perWeek === withHome ? 'chosen' : 'tread'"
          />
          <line x1="2" :x2="STEP - 6" :y1="at(rhythms.without[i]!.chance)" :y2="at(rhythms.without[i]!.chance)" class="plain" />
          <text :x="STEP / 2 - 2" :y="HEIGHT + 16" text-anchor="middle" class="num">{{ each.perWeek }}</text>
        </g>
        <line x1="0" :x2="6 * STEP" :y1="at(LIKELY)" :y2="at(LIKELY)" class="mark" />
        <line x1="0" :x2="6 * STEP" :y1="HEIGHT" :y2="HEIGHT" class="floor" />
        <text x="0" :y="at(LIKELY) - 4" class="said">{{ t('in100', { what: LIKELY * 100 }) }}</text>
        <text x="0" :y="HEIGHT + 32">{{ t('visitsWeek') }}</text>
      </g>
    </svg>
    <p class="small soft legend">
      <span><span class="swatch" aria-hidden="true" /> {{ t('homeWorkDays', { homeDays: HOME_DAYS }) }}</span>
      <span><span class="dash" aria-hidden="true" /> {{ t('without') }}</span>
    </p>
    <p class="small soft">{{ t('eachVisit', { like }) }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}

svg {
  display: block;
  width: 100%;
  max-width: 340px;
  height: auto;
}

text {
  fill: var(--soft);
  font: 400 12px var(--words);
}

.num {
  fill: var(--ink);
  font-weight: 600;
}

.tread {
  fill: var(--spruce-soft);
}

.chosen {
  fill: var(--spruce);
}

.plain {
  stroke: var(--ink);
  stroke-width: 3;
}

.chosen + .plain {
  stroke: var(--sun);
}

.mark {
  stroke: var(--sun-text);
  stroke-dasharray: 4 3;
}

.said {
  fill: var(--sun-text);
  font-weight: 600;
}

.floor {
  stroke: var(--line);
}

.legend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}

.legend > span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}

.swatch {
  width: 16px;
  height: 11px;
  background: var(--spruce-soft);
}

.dash {
  width: 16px;
  border-top: 3px solid var(--ink);
}
</style>
