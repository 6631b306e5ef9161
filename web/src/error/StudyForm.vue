<script setup lang="ts">
import { computed, onMounted, reactive, ref, watch } from 'vue';
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import InputNumber from 'ant-design-vue/es/input-number';
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
  if (subjects.value.length < STUDY_LIMITS.subjects.min)
    return `At least ${STUDY_LIMITS.subjects.min} sides are needed; twelve and more say something.`;
  if (subjects.value.length > STUDY_LIMITS.subjects.max) return `At most ${STUDY_LIMITS.subjects.max} sides: take fewer people.`;
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
  { value: 'one-day', label: 'all on one day' },
  { value: 'days-apart', label: 'each on a day of its own' },
] as const;
const begin = () => run(async () => emit('begun', await props.studies.begin(fields.value)));
</script>

<template>
  <section class="card form" :aria-label="kind === 'agreement' ? 'Compare two instruments' : 'Study how well you repeat'">
    <h2>{{ kind === 'agreement' ? 'Compare two instruments' : 'Study how well you repeat' }}</h2>
    <ProblemNote v-if="problem" :problem="problem" />
    <div class="grid">
      <div class="fields">
        <div class="field">
          <span>Motion</span
          ><PickMotion
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
          <span>{{ kind === 'agreement' ? 'Instruments' : 'Instrument' }}</span>
          <b v-if="kind === 'agreement' || motion.instruments.length === 1">{{
            instruments.map((each) => INSTRUMENT_WORDS[each].toLowerCase()).join(' against ')
          }}</b>
          <PickOne
            v-else
            label="Instrument"
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
          ><span>Trials of each side</span
          ><InputNumber
            v-model:value="form.trials"
            :min="STUDY_LIMITS.trials.min"
            :max="STUDY_LIMITS.trials.max"
            aria-label="Trials of each side"
        /></label>
        <div class="field">
          <span>Trials</span
          ><ChoiceRow
            :options="SPACING"
            :value="form.spacing"
            label="Spacing of the trials"
            @change="
              (value) => {
                if (value) form.spacing = value;
              }
            "
          />
        </div>
        <p class="soft small">
          {{
            form.spacing === 'one-day'
              ? 'Take the athlete out of the position and set it up anew for every trial. What is found is the error within a day of fresh set-ups.'
              : 'One trial of each side a day: the error between days, the one a change from visit to visit is held against.'
          }}
        </p>
        <fieldset>
          <legend>{{ kind === 'agreement' ? 'Read by' : 'Examiners' }}</legend>
          <label v-for="each in examiners" :key="each.id"
            ><input
              :type="kind === 'agreement' ? 'radio' : 'checkbox'"
              name="examiner"
              :checked="form.examinerIds.includes(each.id)"
              @change="toggleExaminer(each.id)"
            />
            {{ each.name }}</label
          >
        </fieldset>
      </div>
      <fieldset class="people">
        <legend>Who is read, both sides where there are two</legend>
        <PickOne
          v-if="squads.length > 0"
          label="Take a whole squad"
          :value="null"
          placeholder="Take a whole squad"
          :options="squads.map((squad) => ({ value: squad.id, label: squad.name }))"
          @change="takeSquad"
        />
        <div class="names">
          <Checkbox v-for="each in people" :key="each.id" :checked="chosen.includes(each.id)" @change="toggle(each.id)">{{
            each.name
          }}</Checkbox>
        </div>
        <label class="others">Somebody without a file, names with commas between<TextInput v-model="others" maxlength="400" /></label>
      </fieldset>
    </div>
    <p role="status">
      <b class="num">{{ subjects.length }}</b> sides, <b class="num">{{ readings }}</b> readings<span v-if="wrong" class="soft"
        >. {{ wrong }}</span
      >
    </p>
    <div class="choices">
      <Button type="primary" :disabled="wrong !== null || busy" @click="begin">Begin</Button
      ><Button @click="emit('leave')">Leave it</Button>
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

input[type='radio'] {
  accent-color: var(--spruce-fill);
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
