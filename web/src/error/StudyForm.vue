<script setup lang="ts">
import { computed, onMounted, reactive, ref, watch } from 'vue';
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import InputNumber from 'ant-design-vue/es/input-number';
import Radio from 'ant-design-vue/es/radio';
import { MOTIONS, motionOf, type Instrument, type Side } from '@pace-bend/core/body';
import {
  emptyValues,
  STUDY_LIMITS,
  studyProblem,
  type AthleteList,
  type Squad,
  type Study,
  type StudyFields,
  type StudyKind,
} from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import PickMotion from '../measuring/PickMotion.vue';
import PickOne from '../parts/PickOne.vue';
import PosedFigure from '../parts/PosedFigure.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { INSTRUMENT_WORDS } from '../parts/words.ts';
import { useSession } from '../stores/session.ts';
import type { Studies } from './useStudies.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/error.ts';

/** What a study is of: the motion, with what, by whom, how often, and on whom. */
const props = defineProps<{ kind: StudyKind; studies: Studies }>();
const emit = defineEmits<{ begun: [study: Study]; leave: [] }>();
const session = useSession();
const { problem, busy, run } = useAction();

const form = reactive({
  motionId: props.kind === 'agreement' ? 'hip-flexion' : 'hip-extension-knee-bent',
  instrument: 'inclinometer' as Instrument,
  trials: 3,
  spacing: 'one-day' as StudyFields['spacing'],
  examinerIds: [session.me!.id] as string[],
});
const motion = computed(() => motionOf(form.motionId));
const candidates = computed(() => MOTIONS.filter((each) => props.kind === 'repeatability' || each.instruments.length > 1));
watch(
  motion,
  (now) => {
    if (!now.instruments.includes(form.instrument)) form.instrument = now.instruments[0];
  },
  { immediate: true },
);
const instruments = computed<Instrument[]>(() =>
  props.kind === 'agreement' ? [...motion.value.instruments].slice(0, 2) : [form.instrument],
);

const people = ref<AthleteList['athletes']>([]);
const squads = ref<readonly Squad[]>([]);
const chosen = ref<readonly string[]>([]);
const others = ref('');
onMounted(() =>
  run(async () => {
    const [list, found] = await Promise.all([api<AthleteList>('GET', '/athletes?limit=100'), api<{ squads: Squad[] }>('GET', '/squads')]);
    people.value = list.athletes;
    squads.value = found.squads;
  }),
);
const toggle = (id: string) => {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id];
};
function takeSquad(id: string): void {
  const squad = squads.value.find((each) => each.id === id);
  if (squad)
    chosen.value = [
      ...new Set([...chosen.value, ...squad.athleteIds.filter((athleteId) => people.value.some((each) => each.id === athleteId))]),
    ];
}

const subjects = computed(() => {
  const named = people.value
    .filter((each) => chosen.value.includes(each.id))
    .map(({ id, name }) => ({ label: name.slice(0, STUDY_LIMITS.label), athleteId: id as string | null }));
  const free = others.value
    .split(/[,;\n]/)
    .map((label) => label.trim().slice(0, STUDY_LIMITS.label))
    .filter(Boolean)
    .map((label) => ({ label, athleteId: null }));
  return [...named, ...free].flatMap((person) => motion.value.sides.map((side: Side) => ({ ...person, side })));
});
const fields = computed<StudyFields>(() => {
  const base = {
    kind: props.kind,
    motionId: form.motionId,
    instruments: instruments.value,
    examinerIds: props.kind === 'agreement' ? form.examinerIds.slice(0, 1) : form.examinerIds,
    spacing: form.spacing,
    trials: form.trials,
    subjects: subjects.value,
  };
  return { ...base, values: emptyValues(base) };
});
const readings = computed(() => fields.value.values.flat(2).length);
const wrong = computed(() => {
  if (subjects.value.length < STUDY_LIMITS.subjects.min) return t('leastSidesNeededTwelve', { min: STUDY_LIMITS.subjects.min });
  if (subjects.value.length > STUDY_LIMITS.subjects.max) return t('mostSidesTakeFewer', { max: STUDY_LIMITS.subjects.max });
  return studyProblem(fields.value);
});
const examiners = computed(() => props.studies.examiners.value.filter((each) => each.active));
function toggleExaminer(id: string): void {
  form.examinerIds =
    props.kind === 'agreement'
      ? [id]
      : form.examinerIds.includes(id)
        ? form.examinerIds.filter((each) => each !== id)
        : [...form.examinerIds, id];
}

const SPACING = [
  { value: 'one-day', label: t('allOneDay') },
  { value: 'days-apart', label: t('eachDayOwn') },
] as const;
const begin = () => run(async () => emit('begun', await props.studies.begin(fields.value)));
</script>

<template>
  <section class="card form" :aria-label="kind === 'agreement' ? t('compareTwoInstruments') : t('studyHowWellYou')">
    <h2>{{ kind === 'agreement' ? t('compareTwoInstruments') : t('studyHowWellYou') }}</h2>
    <ProblemNote v-if="problem" :problem="problem" />
    <div class="grid">
      <div class="fields">
        <div class="field">
          <span>{{ t('motion') }}</span><PickMotion
            :motions="candidates"
            :taken="[motion]"
            @change="
              (id) => {
                form.motionId = id;
              }
            "
          />
        </div>
        <div class="chosen">
          <PosedFigure :motion="motion" :size="96" decorative />
          <p>
            <b>{{ motion.name }}</b><span class="soft small">{{ motion.testPosition }}</span>
          </p>
        </div>
        <div class="field">
          <span>{{ kind === 'agreement' ? t('instruments') : t('instrument') }}</span>
          <b v-if="kind === 'agreement' || motion.instruments.length === 1">{{
            instruments.map((each) => INSTRUMENT_WORDS[each].toLowerCase()).join(' against ')
          }}</b>
          <PickOne
            v-else
            :label="t('instrument')"
            :value="form.instrument"
            :options="motion.instruments.map((value) => ({ value, label: INSTRUMENT_WORDS[value] }))"
            @change="
              (value) => {
                form.instrument = value;
              }
            "
          />
        </div>
        <label class="field"
          ><span>{{ t('trialsEachSide') }}</span
          ><InputNumber
            v-model:value="form.trials"
            :min="STUDY_LIMITS.trials.min"
            :max="STUDY_LIMITS.trials.max"
            :aria-label="t('trialsEachSide')"
        /></label>
        <div class="field">
          <span>{{ t('trials') }}</span><ChoiceRow
            :options="SPACING"
            :value="form.spacing"
            :label="t('spacingTrials')"
            @change="
              (value) => {
                if (value) form.spacing = value;
              }
            "
          />
        </div>
        <p class="soft small">
          {{ form.spacing === 'one-day' ? t('takeAthleteOutPosition') : t('oneTrialEachSide') }}
        </p>
        <fieldset>
          <legend>{{ kind === 'agreement' ? t('readBy') : t('examiners2') }}</legend>
          <component
            :is="kind === 'agreement' ? Radio : Checkbox"
            v-for="each in examiners"
            :key="each.id"
            name="examiner"
            :checked="form.examinerIds.includes(each.id)"
            @change="toggleExaminer(each.id)"
            >{{ each.name }}</component
          >
        </fieldset>
      </div>
      <fieldset class="people">
        <legend>{{ t('whoReadBothSides') }}</legend>
        <PickOne
          v-if="squads.length > 0"
          :label="t('takeWholeSquad')"
          :value="null"
          :placeholder="t('takeWholeSquad')"
          :options="squads.map((squad) => ({ value: squad.id, label: squad.name }))"
          @change="takeSquad"
        />
        <div class="names">
          <Checkbox v-for="each in people" :key="each.id" :checked="chosen.includes(each.id)" @change="toggle(each.id)">{{
            each.name
          }}</Checkbox>
        </div>
        <label class="others">{{ t('somebodyWithoutFileNames') }}<TextInput v-model="others" maxlength="400" /></label>
      </fieldset>
    </div>
    <p role="status">
      <b class="num">{{ subjects.length }}</b> {{ t('sides3') }} <b class="num">{{ readings }}</b> {{ t('readings')
      }}<span v-if="wrong" class="soft">. {{ wrong }}</span>
    </p>
    <div class="choices">
      <Button type="primary" :disabled="wrong !== null || busy" @click="begin">{{ t('begin') }}</Button><Button @click="emit('leave')">{{
        t('leaveIt')
      }}</Button>
    </div>
  </section>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}

.grid {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
}

.fields {
  display: grid;
  gap: 10px;
  align-content: start;
}

.field {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}

.field > span {
  width: 130px;
  color: var(--soft);
}

.chosen {
  display: flex;
  align-items: center;
  gap: 14px;
}

.chosen span {
  display: block;
}

fieldset {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  font-size: 14px;
  color: var(--soft);
}

.names {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 14px;
  max-height: 260px;
  overflow-y: auto;
}

.names :deep(.ant-checkbox-wrapper) {
  min-height: 30px;
}

.others {
  display: grid;
  gap: 3px;
}

p {
  margin: 0;
}

@container page (max-width: 900px) {
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
