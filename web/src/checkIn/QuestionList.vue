<script setup lang="ts">
import { computed } from 'vue';
import { readIntervals, rmssd, scaleOf, type ScaleId } from '@pace-bend/core/readiness';
import { LIMITS } from '@pace-bend/core/record';
import { ref } from 'vue';
import type { Answers } from './answers.ts';
import SoreMap from './SoreMap.vue';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/checkIn.ts';

/** The questions of a morning, on a phone, a squad's tablet, or at the table. Nothing is preset, nothing is coloured good or bad. */
const props = withDefaults(
  defineProps<{
    answers: Answers;
    scale: ScaleId;
    /** Whether a value of heart-rate variability may be given. */ heart?: boolean;
    disabled?: boolean;
  }>(),
  { heart: true, disabled: false },
);
const emit = defineEmits<{ change: [answers: Answers] }>();

const scale = computed(() => scaleOf(props.scale));
const steps = computed(() => Array.from({ length: scale.value.highest - scale.value.lowest + 1 }, (_, i) => scale.value.lowest + i));
const set = (fields: Partial<Answers>) => emit('change', { ...props.answers, ...fields });
function answer(id: string, value: number): void {
  const { [id]: before, ...rest } = props.answers.answers;
  set({ answers: before === value ? rest : { ...rest, [id]: value } });
}
/** A tread's height: what is more stands higher, whichever way is better. */
const height = (step: number) => `${14 + (44 * (step - scale.value.lowest)) / (scale.value.highest - scale.value.lowest)}%`;

const USUAL_HOURS = 8;
const { min, max } = LIMITS.hoursSlept;
const hours = (by: number) =>
  set({ hoursSlept: props.answers.hoursSlept === null ? USUAL_HOURS : Math.min(max, Math.max(min, props.answers.hoursSlept + by)) });
const hoursWords = computed(() => {
  const value = props.answers.hoursSlept;
  return value === null ? '–' : `${Math.floor(value) || (value ? '' : '0')}${value % 1 ? '½' : ''}`;
});

const isWell = computed(() => props.answers.ill === false && props.answers.injured === false);
const TRAINING = [
  { value: 'full', label: t('asPlanned') },
  { value: 'part', label: t('inPart') },
  { value: 'none', label: t('no') },
] as const;

/** Words about a file of intervals that was read, or could not be. */
const heartWords = ref('');
async function readHeart(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  const read = readIntervals(await file.text());
  input.value = '';
  if (read.kind === 'unreadable') {
    heartWords.value = t('lineNothingRead', { line: read.line, message: read.message });
    return;
  }
  const result = rmssd(read.ms);
  if (result.kind !== 'known') {
    heartWords.value =
      result.kind === 'too-noisy'
        ? t('tooNoisyBeatsWould', { droppedShare: Math.round(result.droppedShare * 100) })
        : t('tooShortSayAnything');
    return;
  }
  const value = Math.round(result.rmssdMs * 10) / 10;
  if (value < LIMITS.rmssdMs.min || value > LIMITS.rmssdMs.max) {
    heartWords.value = t('rmssdMsLiesOutside', { value });
    return;
  }
  heartWords.value = t('beatsDropped', { count: read.ms.length, dropped: result.dropped });
  set({ rmssdMs: value });
}
function typeHeart(text: string): void {
  const value = Number(text.replace(',', '.'));
  heartWords.value = '';
  if (text.trim() === '') set({ rmssdMs: null });
  else if (value >= LIMITS.rmssdMs.min && value <= LIMITS.rmssdMs.max) set({ rmssdMs: value });
  else heartWords.value = t('valueFromMs', { min: LIMITS.rmssdMs.min, max: LIMITS.rmssdMs.max });
}
</script>

<template>
  <div class="questions">
    <div v-for="item in scale.items" :key="item.id" class="item" role="group" :aria-label="item.name">
      <p class="ask">
        <b>{{ item.name }}</b>
        <span class="soft small">{{ scale.lowest }} {{ item.ends[0] }} · {{ scale.highest }} {{ item.ends[1] }}</span>
      </p>
      <div class="treads">
        <button
          v-for="step in steps"
          :key="step"
          type="button"
          class="tread num"
          :disabled="disabled"
          :aria-pressed="answers.answers[item.id] === step"
          :aria-label="`${item.name}: ${step}`"
          :style="{ '--height': height(step) }"
          @click="answer(item.id, step)"
        >
          {{ step }}
        </button>
      </div>
    </div>
    <div class="hours" role="group" :aria-label="t('hoursAsleep')">
      <b>{{ t('hoursAsleep') }}</b>
      <button type="button" class="step" :disabled="disabled" :aria-label="t('halfHourLessSleep')" @click="hours(-0.5)">−</button>
      <span class="num" aria-live="polite">{{ hoursWords }}</span>
      <button type="button" class="step" :disabled="disabled" :aria-label="t('halfHourMoreSleep')" @click="hours(0.5)">+</button>
    </div>
    <hr />
    <div role="group" :aria-label="t('soreAnywhere')">
      <p class="ask">
        <b>{{ t('soreAnywhere') }}</b>
      </p>
      <SoreMap :sore="answers.sore" :disabled="disabled" @change="(sore) => set({ sore })" />
    </div>
    <div class="row three" role="group" :aria-label="t('howYou')">
      <button
        type="button"
        :disabled="disabled"
        :aria-pressed="isWell"
        @click="set(isWell ? { ill: null, injured: null } : { ill: false, injured: false })"
      >
        {{ t('well') }}
      </button>
      <button
        type="button"
        :disabled="disabled"
        :aria-pressed="answers.ill === true"
        @click="set({ ill: answers.ill !== true, injured: answers.injured ?? false })"
      >
        {{ t('ill') }}
      </button>
      <button
        type="button"
        :disabled="disabled"
        :aria-pressed="answers.injured === true"
        @click="set({ injured: answers.injured !== true, ill: answers.ill ?? false })"
      >
        {{ t('injured') }}
      </button>
    </div>
    <div class="with-label" role="group" :aria-label="t('trainingToday')">
      <span class="soft">{{ t('trainingToday') }}</span>
      <div class="row three">
        <button
          v-for="each in TRAINING"
          :key="each.value"
          type="button"
          :disabled="disabled"
          :aria-pressed="answers.training === each.value"
          @click="set({ training: answers.training === each.value ? null : each.value })"
        >
          {{ each.label }}
        </button>
      </div>
    </div>
    <div class="with-label" role="group" :aria-label="t('travelledYesterdayToday')">
      <span class="soft">{{ t('travelledSinceYesterday') }}</span>
      <div class="row two">
        <button
          type="button"
          :disabled="disabled"
          :aria-pressed="answers.travelled === false"
          @click="set({ travelled: answers.travelled === false ? null : false })"
        >
          {{ t('no') }}
        </button>
        <button
          type="button"
          :disabled="disabled"
          :aria-pressed="answers.travelled === true"
          @click="set({ travelled: answers.travelled === true ? null : true })"
        >
          {{ t('yes') }}
        </button>
      </div>
    </div>
    <details v-if="heart" class="heart">
      <summary>{{ t('heartRateVariabilityIf') }}</summary>
      <div class="heart-fields">
        <label
          >{{ t('rmssdMs') }}
          <TextInput
            class="num"
            inputmode="decimal"
            maxlength="6"
            :disabled="disabled"
            :model-value="String(answers.rmssdMs ?? '')"
            @change="typeHeart(($event.target as HTMLInputElement).value)"
          />
        </label>
        <label
          >{{ t('fileIntervals') }}
          <input type="file" accept=".txt,.csv,text/plain,text/csv" :disabled="disabled" @change="readHeart" />
        </label>
      </div>
      <p v-if="heartWords" class="small" role="status">{{ heartWords }}</p>
    </details>
  </div>
</template>

<style scoped>
.questions {
  display: grid;
  gap: 12px;
  min-width: 0;
  container: check-in / inline-size;
}

.ask {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 8px;
  margin: 0 0 5px;
}

.treads {
  display: grid;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
  gap: 3px;
}

.tread {
  position: relative;
  min-height: 50px;
  padding: 0;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: linear-gradient(to top, var(--fan) var(--height), var(--paper) var(--height));
  color: var(--ink);
  font-weight: 700;
  font-size: 16px;
  cursor: pointer;
}

.tread[aria-pressed='true'] {
  border-color: var(--spruce-fill);
  background: var(--spruce-fill);
  color: var(--on-spruce);
}

.hours {
  display: grid;
  grid-template-columns: 1fr 48px 76px 48px;
  align-items: center;
  gap: 6px;
}

.hours .num {
  font-size: 24px;
  font-weight: 600;
  text-align: center;
}

.step,
.row button {
  min-height: 48px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

.step {
  font-size: 22px;
}

.row {
  display: grid;
  gap: 4px;
}

.three {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}

.two {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.row button[aria-pressed='true'] {
  border: 2.5px solid var(--spruce);
  font-weight: 700;
}

.with-label {
  display: grid;
  gap: 4px;
}

hr {
  width: 100%;
  margin: 0;
  border: 0;
  border-top: 1px solid var(--line);
}

summary {
  min-height: 36px;
  cursor: pointer;
}

.heart-fields {
  display: grid;
  gap: 10px;
}

.heart-fields label {
  display: grid;
  gap: 4px;
}

@container check-in (min-width: 560px) {
  .with-label {
    grid-template-columns: 200px 1fr;
    align-items: center;
  }
}
</style>
