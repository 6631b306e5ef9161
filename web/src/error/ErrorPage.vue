<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import Button from 'ant-design-vue/es/button';
import { motionOf, type Instrument } from '@pace-bend/core/body';
import { errorOf, formatValue, mdc95 } from '@pace-bend/core/measure';
import { knowledgeOf, nextStep, type Study } from '@pace-bend/core/record';
import PosedFigure from '../parts/PosedFigure.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { INSTRUMENT_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import StudyForm from './StudyForm.vue';
import StudyRead from './StudyRead.vue';
import { useStudies } from './useStudies.ts';
import { t } from '../words/error.ts';

/** How exactly this practice measures: each examiner's own error where it was studied, the defaults elsewhere. */
const StudyResult = defineAsyncComponent(() => import('./StudyResult.vue'));
const studies = useStudies();
const session = useSession();
const practice = usePractice();
const route = useRoute();
const router = useRouter();
const { problem, run } = useAction();
const load = () => run(studies.load);
onMounted(load);

const beginning = ref<'repeatability' | 'agreement' | null>(null);
const open = computed<Study | null>(() => studies.studies.value.find((study) => study.id === route.query.study) ?? null);
const show = (study: Study | null) => router.replace({ query: study ? { study: study.id } : {} });

const known = computed(() => knowledgeOf(studies.studies.value));
/** Own studies and what repeats within visits say, one row for each motion and instrument that either knows. */
const mine = computed(() => {
  const me = session.me!.id;
  const keys = new Set(
    [...known.value.own.filter((own) => own.examinerId === me), ...studies.within.value].map(
      (each) => `${each.motionId}/${each.instrument}`,
    ),
  );
  return [...keys].sort().map((key) => {
    const [motionId, instrument] = key.split('/') as [string, Instrument];
    const motion = motionOf(motionId);
    const used = errorOf(motion, { instrument, examinerId: me }, known.value, 'within');
    const own = known.value.own.some((each) => each.examinerId === me && each.motionId === motionId && each.instrument === instrument);
    return {
      key,
      motion,
      instrument,
      used,
      own,
      within: studies.within.value.find((row) => row.motionId === motionId && row.instrument === instrument) ?? null,
    };
  });
});
const state = (study: Study) =>
  study.finishedAt
    ? t('finished', { shortDate: practice.shortDate(study.finishedAt), what: study.used ? t('inUse') : t('notUse') })
    : nextStep(study)
      ? t('beingRead')
      : t('readNotFinished');
const title = (study: Study) =>
  `${motionOf(study.motionId).name}, ${study.instruments.map((each) => INSTRUMENT_WORDS[each].toLowerCase()).join(' against ')}`;
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" :retry="load" />
  <p v-else-if="!studies.loaded.value" class="soft">{{ t('openingStudies') }}</p>
  <template v-else-if="open">
    <p>
      <button type="button" class="link" @click="show(null)">{{ t('allStudies') }}</button>
    </p>
    <StudyResult v-if="open.finishedAt" :key="open.id" :study="open" :studies="studies" />
    <StudyRead v-else :key="open.id" :study="open" :studies="studies" @gone="show(null)" />
  </template>
  <StudyForm
    v-else-if="beginning"
    :kind="beginning"
    :studies="studies"
    @begun="
      (study) => {
        beginning = null;
        show(study);
      }
    "
    @leave="beginning = null"
  />
  <div v-else class="columns">
    <section class="card" :aria-label="t('yourError')">
      <h2>{{ t('yourError') }}</h2>
      <p class="soft small">
        {{ t('oneReadingYoursLies') }}
      </p>
      <table v-if="mine.length > 0">
        <thead>
          <tr>
            <td />
            <th scope="col">{{ t('useSem') }}</th>
            <th scope="col">{{ t('changeCountsFrom') }}</th>
            <th scope="col">{{ t('withinDayLastYear') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in mine" :key="row.key">
            <th scope="row">
              <b>{{ row.motion.name }}</b><span class="soft small"
                >{{ row.motion.testPosition }} · {{ INSTRUMENT_WORDS[row.instrument].toLowerCase() }}</span
              >
            </th>
            <td>
              <b class="num">±{{ formatValue(row.used.sem, row.motion.unit) }}</b
              ><span class="soft small">{{ row.own ? row.used.source : t('default') }}</span>
            </td>
            <td class="num">{{ formatValue(mdc95(row.used.sem), row.motion.unit) }}</td>
            <td>
              <template v-if="row.within"
                ><span class="num">±{{ formatValue(row.within.sd, row.motion.unit) }}</span
                ><span class="soft small">{{ row.within.sets }} {{ row.within.sets === 1 ? t('reading') : t('readings') }}</span></template
              ><span v-else class="soft">–</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else>{{ t('nothingReadYouYet') }}</p>
    </section>
    <section class="card" :aria-label="t('studies')">
      <h2>{{ t('studies') }}</h2>
      <div class="choices">
        <Button type="primary" @click="beginning = 'repeatability'">{{ t('studyHowWellYou') }}</Button><Button
          @click="beginning = 'agreement'"
          >{{ t('compareTwoInstruments') }}</Button
        >
      </div>
      <p v-if="studies.studies.value.length === 0" class="soft">
        {{ t('noneYetTwelveSides') }}
      </p>
      <ul v-else class="plain">
        <li v-for="study in studies.studies.value" :key="study.id">
          <button type="button" class="study" @click="show(study)">
            <PosedFigure :motion="motionOf(study.motionId)" :size="48" decorative />
            <span
              ><b>{{ title(study) }}</b
              ><span class="soft small">{{
                t('sides2', {
                  what:
                    study.kind === 'agreement'
                      ? t('twoInstruments')
                      : study.examinerIds.length === 1
                        ? t('oneExaminer')
                        : t('examiners', { count: study.examinerIds.length }),
                  count: study.subjects.length,
                  trials: study.trials,
                  state: state(study),
                })
              }}</span></span
            >
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}

section {
  display: grid;
  gap: 10px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 7px 10px 7px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  font-weight: 400;
  vertical-align: top;
}

th span,
td span.small {
  display: block;
}

thead th {
  color: var(--soft);
  font-size: 13px;
}

.study {
  display: flex;
  align-items: center;
  gap: 12px;
  width: 100%;
  min-height: 62px;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--line-faint);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.study span span {
  display: block;
}

.study:hover {
  background: var(--raised);
}

@container page (max-width: 812px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
