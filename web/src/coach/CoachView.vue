<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { motionOf, type Side } from '@pace-bend/core/body';
import { formatNumber } from '@pace-bend/core/measure';
import type { CoachAthlete, CoachPage } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';
import DataTable, { type DataColumn } from '../parts/DataTable.vue';
import ReadinessMark from '../parts/ReadinessMark.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { AVAILABILITY_WORDS, SIDE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import TrendLine from './TrendLine.vue';
import { t } from '../words/coach.ts';

/** What a coach sees: who can be counted on, and where range is going. No reasons, no notes. */
const practice = usePractice();
const page = shallowRef<CoachPage | null>(null);
const { problem, run } = useAction();
const openId = ref('');

const load = () =>
  run(async () => {
    await practice.load();
    page.value = await api<CoachPage>('GET', '/coach');
  });
onMounted(load);

/** Motions of an athlete with both sides beside each other. */
const motionsOf = (athlete: CoachAthlete) => {
  const ids = [...new Set(athlete.trends.map((trend) => trend.motionId))];
  return ids.map((id) => ({ motion: motionOf(id), sides: athlete.trends.filter((trend) => trend.motionId === id) }));
};
/** First and last value of a trend, and how far they lie apart. */
const change = (points: readonly { readonly value: number }[]) => points.at(-1)!.value - points[0]!.value;
const sideName = (side: Side) => (side === 'midline' ? '' : SIDE_WORDS[side]);
const rangesOf = (athlete: CoachAthlete) => motionsOf(athlete).flatMap(({ motion, sides }) => sides.map((side) => ({ motion, side })));
type RangeRow = ReturnType<typeof rangesOf>[number];
const unitOf = ({ motion }: RangeRow) => (motion.unit === 'deg' ? '°' : ' cm');
const RANGE: readonly DataColumn<RangeRow>[] = [
  { key: 'motion', title: t('motion'), value: ({ motion }) => `${motion.name}, ${motion.testPosition}`, sortable: true },
  { key: 'side', title: t('side'), value: ({ side }) => sideName(side.side), sortable: true },
  { key: 'first', title: t('first'), value: (row) => formatNumber(row.side.points[0]!.value) + unitOf(row), numeric: true },
  { key: 'latest', title: t('latest'), value: (row) => formatNumber(row.side.points.at(-1)!.value) + unitOf(row), numeric: true },
  {
    key: 'change',
    title: t('change'),
    value: (row) => `${change(row.side.points) > 0 ? '+' : ''}${formatNumber(change(row.side.points))}${unitOf(row)}`,
    numeric: true,
  },
  { key: 'visits', title: t('visits'), value: ({ side }) => side.points.length, sortable: true, numeric: true },
];
const nobody = computed(() => page.value?.squads.every((squad) => squad.athletes.length === 0) ?? false);
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('squads') }}</h1>
      <span class="soft">{{ practice.practice?.name }}</span>
    </header>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <p v-else-if="!page" class="soft">{{ t('opening') }}</p>
    <p v-else-if="page.squads.length === 0" class="card soft">
      {{ t('noSquadBeenGiven') }}
    </p>
    <p v-else-if="nobody" class="card soft">{{ t('theseSquadsNoMembers') }}</p>
    <template v-else>
      <p class="legend small soft">
        <span v-for="shape in ['ready', 'ease', 'hold', 'not known'] as const" :key="shape"
          ><ReadinessMark :shape="shape" aria-hidden="true" /> {{ shape }}</span
        ><span>{{ t('todayFromWhatThey') }}</span
        ><span
          ><svg width="22" height="8" aria-hidden="true"><path d="M0 4H22" class="left-line" /></svg> {{ t('left') }}</span
        ><span
          ><svg width="22" height="8" aria-hidden="true"><path d="M0 4H22" class="right-line" /></svg> {{ t('rightMoreRangeUp') }}</span
        >
      </p>
      <section v-for="squad in page.squads" :key="squad.id" class="card" :aria-label="squad.name">
        <h2>{{ squad.name }}</h2>
        <ul class="plain">
          <li v-for="athlete in squad.athletes" :key="athlete.id">
            <div class="row">
              <ReadinessMark :shape="athlete.readiness" :size="18" />
              <b>{{ athlete.name }}</b>
              <span class="soft">{{ athlete.readiness }}</span>
              <span
                >{{ AVAILABILITY_WORDS[athlete.availability]
                }}<template v-if="athlete.availableUntil"
                  >{{ ' ' }}{{ t('until', { availableUntil: athlete.availableUntil }) }}</template
                ></span
              >
              <span class="trends">
                <TrendLine
                  v-for="each in motionsOf(athlete).slice(0, 3)"
                  :key="each.motion.id"
                  :sides="each.sides"
                  :better="each.motion.better"
                  :label="each.motion.name"
                />
              </span>
              <button
                v-if="athlete.trends.length > 0"
                type="button"
                class="link"
                :aria-expanded="openId === athlete.id"
                @click="openId = openId === athlete.id ? '' : athlete.id"
              >
                {{ t('range') }}
              </button>
            </div>
            <DataTable
              v-if="openId === athlete.id"
              class="range"
              :label="t('rangeOf', { name: athlete.name })"
              :rows="rangesOf(athlete)"
              :columns="RANGE"
              :row-key="({ motion, side }) => `${motion.id} ${side.side}`"
            />
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
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

.left-line {
  stroke: var(--spruce);
  stroke-width: 2;
}

.right-line {
  stroke: var(--slate);
  stroke-width: 2;
  stroke-dasharray: 4 2;
}

.row {
  display: grid;
  grid-template-columns: 22px minmax(150px, 1fr) 84px 140px minmax(0, 2fr) 60px;
  align-items: center;
  gap: 14px;
  min-height: 58px;
}

.row b {
  min-width: 0;
  overflow-wrap: anywhere;
}

li + li {
  border-top: 1px solid var(--line-faint);
}

.trends {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
}

.range {
  margin: 0 0 12px 36px;
}

@container page (max-width: 900px) {
  .row {
    grid-template-columns: 22px minmax(0, 1fr) 84px;
  }

  .trends {
    display: none;
  }

  table {
    margin-left: 0;
  }

  th,
  td {
    padding-right: 8px;
  }
}
</style>
