<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { addDays } from '@pace-bend/core/load';
import type { AthleteFile, SeasonFile } from '@pace-bend/core/record';
import { api, ApiProblem } from '../../api/api.ts';
import DayField from '../../parts/DayField.vue';
import PickOne from '../../parts/PickOne.vue';
import PosedFigure from '../../parts/PosedFigure.vue';
import SavePictures from '../../parts/SavePictures.vue';
import { standalone } from '../../parts/savePicture.ts';
import { AVAILABILITY_WORDS } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import { reportOf, type Reader } from './report.ts';
import ReportChart from './ReportChart.vue';
import { saveAsPdf } from '../../parts/pdf.ts';
import { reportDocument } from './reportPdf.ts';
import { t } from '../../words/athlete.ts';

/** A season on paper: for the athlete all of it, for a coach availability and range without reasons; saved as a PDF as it is shown. */
const props = defineProps<{ file: AthleteFile }>();
const practice = usePractice();
const season = shallowRef<SeasonFile | null>(null);
const unread = ref('');
onMounted(async () => {
  try {
    season.value = await api<SeasonFile>('GET', `/athletes/${encodeURIComponent(props.file.athlete.id)}/season`);
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    unread.value = t('withoutSeason', { message: error.message });
  }
});

const USUAL_DAYS = 84;
const reader = ref<Reader>('athlete');
const from = ref(addDays(practice.today, -USUAL_DAYS));
const to = ref(practice.today);
const backward = computed(() => from.value > to.value);
const dayWords = (day: string) => DateTime.fromISO(day).toFormat(day.slice(0, 4) === practice.today.slice(0, 4) ? 'd LLL' : 'd LLL yyyy');
const report = computed(() =>
  backward.value
    ? null
    : reportOf(
        {
          file: props.file,
          season: season.value,
          from: from.value,
          to: to.value,
          today: practice.today,
          practice: practice.practice?.name ?? '',
          sport: practice.sportLine(props.file.athlete.sports),
          availability: AVAILABILITY_WORDS[props.file.athlete.availability],
          dayOf: practice.dayOf,
          dayWords,
        },
        reader.value,
      ),
);

const sheet = ref<HTMLElement | null>(null);
const chartOf = (motionId: string, side: string) =>
  sheet.value?.querySelector<SVGSVGElement>(`[data-chart="${CSS.escape(`${motionId}/${side}`)}"] svg`) ?? null;
const figureOf = (motionId: string) => sheet.value?.querySelector<SVGSVGElement>(`[data-figure="${CSS.escape(motionId)}"] svg`) ?? null;
const busy = ref(false);
const unsaved = ref('');
async function save(): Promise<void> {
  if (!report.value || busy.value) return;
  busy.value = true;
  unsaved.value = '';
  const drawn = (svg: SVGSVGElement | null) => svg && standalone(svg, null);
  const name = t('to2', {
    name: props.file.athlete.name,
    value: from.value,
    value2: to.value,
    what: reader.value === 'coach' ? t('coach2') : '',
  }).replace(/[^\p{L}\p{N} ,-]/gu, '');
  try {
    await saveAsPdf(
      reportDocument(report.value, {
        chart: (motionId, side) => drawn(chartOf(motionId, side)),
        figure: (motionId) => drawn(figureOf(motionId)),
      }),
      name,
    );
  } catch (error) {
    unsaved.value = t('reportCouldNotMade', { what: error instanceof Error ? error.message : String(error) });
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="report">
    <div class="bar">
      <PickOne
        :label="t('reportFor')"
        :value="reader"
        :options="[
          { value: 'athlete', label: t('athleteAll') },
          { value: 'coach', label: t('coachAvailabilityRange') },
        ]"
        @change="(who) => (reader = who)"
      />
      <DayField id="report-from" :label="t('from')" :value="from" @day="(day) => (from = day)" />
      <DayField id="report-to" :label="t('to3')" :value="to" @day="(day) => (to = day)" />
      <Button type="primary" :loading="busy" :disabled="backward" @click="save">{{ t('savePdf') }}</Button>
    </div>
    <p v-if="backward" class="wrong" role="alert">{{ t('endsDayBeginsLater') }}</p>
    <p v-if="unread" class="soft small" role="status">{{ unread }}</p>
    <p v-if="unsaved" class="wrong" role="alert">{{ unsaved }}</p>
    <article v-if="report" ref="sheet" class="card sheet on-paper" :aria-label="t('seasonReport')">
      <h2>{{ report.title }}</h2>
      <p class="soft">{{ report.about }}</p>
      <p v-for="sentence in report.sentences" :key="sentence">{{ sentence }}</p>
      <p v-if="report.season.length > 0">{{ t('season', { season: report.season.join('; ') }) }}</p>
      <section v-for="{ motion, sides } in report.motions" :key="motion.id" class="motion" :aria-label="motion.name">
        <div class="head">
          <div>
            <h3>{{ motion.name }}</h3>
            <p v-for="side in sides" :key="side.side">{{ side.words }}</p>
          </div>
          <span :data-figure="motion.id"
            ><PosedFigure
              :motion="motion"
              :values="Object.fromEntries(sides.map(({ side, latest }) => [side, latest]))"
              :size="96"
              decorative
          /></span>
        </div>
        <div class="charts">
          <div v-for="side in sides" :key="side.side" :data-chart="`${motion.id}/${side.side}`">
            <ReportChart
              :motion="motion"
              :series="side.series"
              :from="from"
              :to="to"
              :goal="side.goal"
              :label="`${motion.name}. ${side.words}`"
            />
            <SavePictures
              :what="`${motion.name}${side.side === 'midline' ? '' : ` ${side.side}`}`"
              :name="`${file.athlete.name} ${motion.name} ${side.side}`"
              :title="`${file.athlete.name}: ${motion.name}${side.side === 'midline' ? '' : `, ${side.side}`}`"
              :from="t('ringsBeforeWorkDiamonds')"
              :svg="() => chartOf(motion.id, side.side)"
            />
          </div>
        </div>
      </section>
      <p v-if="report.motions.length > 0" class="small soft">
        {{ t('ringsBeforeWorkDiamonds') }}
      </p>
    </article>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  margin-bottom: 12px;
}

.sheet {
  --paper: #fff;

  max-width: 860px;
  background: var(--paper);
  color: var(--ink);
}

.sheet p {
  margin: 0 0 4px;
}

.motion {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}

.head {
  display: flex;
  justify-content: space-between;
  gap: 14px;
}

h3 {
  margin: 0 0 4px;
}

.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(280px, 100%), 1fr));
  gap: 6px 18px;
}
</style>
