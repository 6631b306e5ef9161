<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import Button from 'ant-design-vue/es/button';
import { motionOf } from '@pace-bend/core/body';
import { parseTrial } from '@pace-bend/core/measure';
import { nextStep, studyOrder, unfinishedBecause, type Study } from '@pace-bend/core/record';
import PosedFigure from '../parts/PosedFigure.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import TextInput from '../parts/TextInput.vue';
import { ApiProblem } from '../api/api.ts';
import { problemOf } from '../outbox/change.ts';
import { useAction } from '../parts/useAction.ts';
import { INSTRUMENT_WORDS, SIDE_WORDS } from '../parts/words.ts';
import type { Studies } from './useStudies.ts';
import { t as phrase } from '../words/error.ts';

/** Reads a study: one side at a time in an order of its own, earlier values hidden until all is done. */
const props = defineProps<{ study: Study; studies: Studies }>();
const emit = defineEmits<{ gone: [] }>();
const { problem, busy, run } = useAction();

const motion = computed(() => motionOf(props.study.motionId));
const order = computed(() => studyOrder(props.study));
/** What was read, ahead of the server: a fast hand types the next value while the last one is on its way. */
const values = shallowRef(props.study.values);
const step = computed(() => nextStep({ ...props.study, values: values.value }));
const done = computed(() => order.value.filter(({ subject, part, trial }) => values.value[subject]![part]![trial] !== null).length);
const last = computed(
  () =>
    (step.value
      ? order.value[
          order.value.findIndex(
            (each) => each.subject === step.value!.subject && each.part === step.value!.part && each.trial === step.value!.trial,
          ) - 1
        ]
      : order.value.at(-1)) ?? null,
);
const who = computed(() => (step.value ? props.study.subjects[step.value.subject]! : null));
const part = computed(() => {
  if (!step.value) return '';
  if (props.study.kind === 'agreement')
    return phrase('withThe', { what: INSTRUMENT_WORDS[props.study.instruments[step.value.part]!].toLowerCase() });
  return phrase('by', {
    value:
      props.studies.examiners.value.find((each) => each.id === props.study.examinerIds[step.value!.part])?.name ?? phrase('anExaminer'),
  });
});

const typed = ref('');
const wrong = ref<string | null>(null);
const input = ref<InstanceType<typeof TextInput> | null>(null);
onMounted(() => input.value?.focus());

const withValue = (at: { subject: number; part: number; trial: number }, value: number | null) =>
  values.value.map((row, s) =>
    s !== at.subject ? row : row.map((trials, p) => (p !== at.part ? trials : trials.map((each, t) => (t === at.trial ? value : each)))),
  );

const waiting = computed(() => props.studies.waiting(props.study));
const refused = computed(() => waiting.value.find((change) => change.refusal !== null) ?? null);
const save = () => props.studies.write(props.study, values.value);

function keep(): void {
  if (!step.value) return;
  const trial = parseTrial(typed.value, motion.value);
  if (!trial.ok) {
    wrong.value = trial.message;
    // What is typed next takes its place.
    input.value?.select();
    return;
  }
  wrong.value = null;
  values.value = withValue(step.value, trial.value);
  typed.value = '';
  save();
}

function takeBack(): void {
  if (!last.value) return;
  values.value = withValue(last.value, null);
  save();
  input.value?.focus();
}
const blocked = computed(() => unfinishedBecause({ ...props.study, values: values.value }));
/** Finishes it once every value is on the server. */
const finish = () =>
  run(async () => {
    await props.studies.flush(props.study);
    if (refused.value) return;
    if (waiting.value.length > 0) throw new ApiProblem('not-sent-yet', phrase('lastValuesNotServer'));
    await props.studies.finish(props.study);
  });
const drop = () =>
  run(async () => {
    await props.studies.drop(props.study);
    emit('gone');
  });
</script>

<template>
  <section class="card reading" :aria-label="phrase('readingStudy')">
    <header>
      <div>
        <h2>{{ motion.name }}</h2>
        <p class="soft">{{ motion.testPosition }} · {{ motion.landmarks }}</p>
      </div>
      <p class="progress" role="status">
        <b class="num">{{ done }}</b> {{ phrase('of') }} <span class="num">{{ order.length }}</span> {{ phrase('read') }}
      </p>
    </header>
    <progress :value="done" :max="order.length" :aria-label="phrase('readingsDone')" />
    <ProblemNote v-if="problem" :problem="problem" />
    <ProblemNote v-if="refused" :problem="problemOf(refused.refusal!)" :retry="save" />
    <div v-if="step && who" class="now">
      <PosedFigure :motion="motion" :to-read="who.side" :size="220" :shape="1.6" />
      <div>
        <p class="who">
          {{ who.label }}<span v-if="who.side !== 'midline'">, {{ SIDE_WORDS[who.side].toLowerCase() }}</span>
        </p>
        <p class="soft">{{ phrase('trialSetPositionUp', { what: step.trial + 1, trials: study.trials, part }) }}</p>
        <label
          ><span class="sr-only">{{ phrase('value') }}</span
          ><TextInput
            ref="input"
            v-model="typed"
            class="num value"
            inputmode="decimal"
            autocomplete="off"
            :maxlength="8"
            :aria-invalid="wrong !== null"
            aria-describedby="study-wrong"
            @keydown.enter.prevent="keep"
          /><span class="unit">{{ motion.unit === 'deg' ? '°' : phrase('cm') }}</span></label
        >
        <p id="study-wrong" class="wrong" role="alert">{{ wrong ?? '' }}</p>
        <p class="soft small">{{ phrase('earlierValuesStayHidden') }}</p>
      </div>
    </div>
    <p v-else>{{ phrase('allRead') }}</p>
    <div class="choices">
      <Button type="primary" :disabled="blocked !== null || busy" @click="finish">{{
        step ? phrase('finishEarly') : phrase('showWhatCameOut')
      }}</Button>
      <Button :disabled="last === null" @click="takeBack">{{ phrase('takeLastOneBack') }}</Button>
      <Button :disabled="busy" @click="drop">{{ phrase('dropStudy') }}</Button>
      <span v-if="blocked" class="soft small">{{ blocked }}</span>
    </div>
  </section>
</template>

<style scoped>
.reading {
  display: grid;
  gap: 12px;
}

header {
  display: flex;
  justify-content: space-between;
  gap: 20px;
}

progress {
  width: 100%;
  height: 8px;
  accent-color: var(--spruce);
}

.now {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 28px;
}

.who {
  font-family: var(--figures);
  font-size: 27px;
  font-weight: 650;
}

.value {
  width: 150px;
  height: 72px;
  border: 2px solid var(--spruce);
  font-size: 38px;
  text-align: center;
}

.unit {
  margin-left: 8px;
  font-size: 26px;
}

.wrong {
  min-height: 20px;
  color: var(--clay-text);
}

p {
  margin: 0;
}
</style>
