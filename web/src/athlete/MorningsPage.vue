<script setup lang="ts">
import { computed, onMounted, shallowRef, ref } from 'vue';
import { CONTESTED, loadHistory, type TrainingLoad } from '@pace-bend/core/load';
import { formatNumber } from '@pace-bend/core/measure';
import { ownNormal, scaleOf, scaleSum, standing, type CheckIn, type ScaleId } from '@pace-bend/core/readiness';
import { addDays } from '@pace-bend/core/load';
import type { AthleteFile } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import DaysChart from './DaysChart.vue';
import LoadChart from './LoadChart.vue';
import { t } from '../words/athlete.ts';

/** Twelve weeks of mornings and training of one athlete: each answer with its own normal day by day, load with its means. */
const props = defineProps<{ file: AthleteFile }>();
const practice = usePractice();
const { problem, run } = useAction();
const WEEKS = 12;
const found = shallowRef<{ scale: ScaleId; checkIns: CheckIn[]; loads: TrainingLoad[] } | null>(null);
const asTable = ref(false);

const load = () =>
  run(async () => {
    found.value = await api(
      'GET',
      `/athletes/${props.file.athlete.id}/days?from=${addDays(practice.today, -WEEKS * 7 - 56)}&to=${practice.today}`,
    );
  });
onMounted(load);

const days = computed(() => Array.from({ length: WEEKS * 7 }, (_, i) => addDays(practice.today, i - WEEKS * 7 + 1)));
const checkIns = computed(() => standing(found.value?.checkIns ?? []));

/** One line: its value on each day, and its owner's normal as it was known on that day. */
function lineOf(id: string, name: string, ofDay: (checkIn: CheckIn) => number | null, smallest: number, worse: 'higher' | 'lower') {
  const values = checkIns.value.map((each) => ({ on: each.onDate, value: ofDay(each) }));
  const byDay = new Map(values.map(({ on, value }) => [on, value]));
  return {
    id,
    name,
    worse,
    points: days.value.map((on) => {
      const normal = ownNormal(values, on, smallest);
      return {
        on,
        value: byDay.get(on) ?? null,
        low: normal.kind === 'known' ? normal.median - normal.unit : null,
        high: normal.kind === 'known' ? normal.median + normal.unit : null,
      };
    }),
  };
}
const lines = computed(() => {
  if (!found.value) return [];
  const scale = scaleOf(found.value.scale);
  const ofScale = (each: CheckIn) => each.scale === scale.id;
  return [
    lineOf('sum', t('sumAnswers'), (each) => (ofScale(each) ? scaleSum(scale.id as ScaleId, each.answers) : null), 1.4826, scale.worse),
    ...scale.items.map((item) =>
      lineOf(item.id, item.name, (each) => (ofScale(each) ? (each.answers[item.id] ?? null) : null), 0.7413, scale.worse),
    ),
    lineOf('hours', t('hoursSlept'), (each) => each.hoursSlept, 0.7413, 'lower'),
    ...(checkIns.value.some((each) => each.rmssdMs !== null) ? [lineOf('rmssd', t('rmssdMs'), (each) => each.rmssdMs, 1, 'lower')] : []),
  ];
});
const history = computed(() => loadHistory(found.value?.loads ?? [], practice.today));
const number = (value: number | null) => (value === null ? t('notDefined') : formatNumber(value, value < 10 ? 2 : 0));
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" :retry="load" />
  <p v-else-if="!found" class="soft">{{ t('openingTwelveWeeks') }}</p>
  <div v-else class="mornings">
    <section class="card" :aria-label="t('answers')">
      <h2>{{ t('morningsTwelveWeeks') }}</h2>
      <p v-if="checkIns.length === 0" class="soft">
        {{ t('noCheckYetPage') }}
      </p>
      <template v-else>
        <p class="soft small">
          {{ t('bandOwnNormalDay') }}
        </p>
        <div class="charts"><DaysChart v-for="line in lines" :key="line.id" :line="line" /></div>
        <button type="button" class="link small" :aria-expanded="asTable" @click="asTable = !asTable">
          {{ asTable ? t('hideNumbers') : t('showNumbers') }}
        </button>
        <div v-if="asTable" class="numbers" tabindex="0" role="region" :aria-label="t('answersNumbers')">
          <table>
            <thead>
              <tr>
                <th scope="col">{{ t('day') }}</th>
                <th v-for="line in lines" :key="line.id" scope="col">{{ line.name }}</th>
                <th scope="col">{{ t('by3') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="each in [...checkIns].reverse()" :key="each.id">
                <th scope="row" class="num">{{ each.onDate }}</th>
                <td v-for="line in lines" :key="line.id" class="num">
                  {{ line.points.find((point) => point.on === each.onDate)?.value ?? '' }}
                </td>
                <td class="soft small">{{ each.by }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </template>
    </section>
    <section class="card" :aria-label="t('load')">
      <h2>
        {{ t('load') }} <RouterLink class="small" :to="`/load?athlete=${file.athlete.id}`">{{ t('enterSessions') }}</RouterLink>
      </h2>
      <p v-if="history.days.length === 0" class="soft">{{ t('noSessionYet') }}</p>
      <template v-else>
        <dl class="figures">
          <div>
            <dt>{{ t('weeksSum') }}</dt>
            <dd class="num">{{ history.week ? formatNumber(history.week.sum, 0) : t('notKnownYet') }}</dd>
          </div>
          <div>
            <dt>{{ t('monotony') }}</dt>
            <dd class="num">{{ history.week ? number(history.week.monotony) : t('notKnownYet') }}</dd>
          </div>
          <div>
            <dt>{{ t('strain') }}</dt>
            <dd class="num">{{ history.week ? number(history.week.strain) : t('notKnownYet') }}</dd>
          </div>
          <div>
            <dt>{{ t('n7DaysAgainst28') }}</dt>
            <dd class="num">{{ history.rolling.ratio === null ? t('notKnownYet') : formatNumber(history.rolling.ratio, 2) }}</dd>
          </div>
          <div>
            <dt>{{ t('sameWeighted') }}</dt>
            <dd class="num">{{ history.weighted.ratio === null ? t('notKnownYet') : formatNumber(history.weighted.ratio, 2) }}</dd>
          </div>
        </dl>
        <p class="soft small">{{ CONTESTED }}</p>
        <p v-if="history.unrated > 0" class="small">{{ t('withoutRatingEveryFigure', { unrated: history.unrated }) }}</p>
        <LoadChart :history="history" :from="days[0]!" />
      </template>
    </section>
  </div>
</template>

<style scoped>
.mornings {
  display: grid;
  gap: 14px;
}

.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 14px 20px;
}

.numbers {
  max-height: 420px;
  overflow: auto;
}

.numbers table {
  border-collapse: collapse;
}

.numbers th,
.numbers td {
  padding: 3px 12px 3px 0;
  text-align: left;
  white-space: nowrap;
}

.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  margin: 0;
}

dt {
  color: var(--soft);
  font-size: 13px;
}

dd {
  margin: 0;
  font-size: 20px;
}
</style>
