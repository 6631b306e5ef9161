<script setup lang="ts">
import { computed } from 'vue';
import { BEIGHTON_ITEMS, MEDICATIONS, type MedicationId } from '@pace-bend/core/caution';
import { LIMITS, type Athlete } from '@pace-bend/core/record';
import { useAthlete } from '../../stores/athlete.ts';
import FileField from './FileField.vue';
import { t } from '../../words/athlete.ts';

/** Breath, levers, build, medication and how lax the joints are. */
const props = defineProps<{ athlete: Athlete; readOnly: boolean }>();
const store = useAthlete();

const LEVERS = [
  { id: 'thighCm', label: t('thigh') },
  { id: 'legCm', label: t('leg') },
  { id: 'armCm', label: t('upperArm') },
  { id: 'forearmCm', label: t('forearm') },
] as const;
const { leverCm, breathPeriodMs } = LIMITS;
const number = (text: string) => Number(text.replace(',', '.'));
const leverWrong = (text: string) =>
  text === '' || (number(text) >= leverCm.min && number(text) <= leverCm.max) ? null : t('toCm', { min: leverCm.min, max: leverCm.max });
const breathWrong = (text: string) =>
  number(text) * 1000 >= breathPeriodMs.min && number(text) * 1000 <= breathPeriodMs.max
    ? null
    : t('toSeconds', { what: breathPeriodMs.min / 1000, what2: breathPeriodMs.max / 1000 });
const score = computed(() => props.athlete.beighton?.filter(Boolean).length ?? null);

function toggleMedication(id: MedicationId): void {
  const taken = props.athlete.medications;
  store.set({ medications: taken.includes(id) ? taken.filter((each) => each !== id) : [...taken, id] });
}

function toggleItem(index: number): void {
  const items = props.athlete.beighton ?? BEIGHTON_ITEMS.map(() => false);
  store.set({ beighton: items.map((item, i) => (i === index ? !item : item)) });
}
</script>

<template>
  <section class="card fields" :aria-label="t('body')">
    <h2>{{ t('body') }}</h2>
    <div class="pair levers">
      <FileField
        id="file-breath"
        :label="t('slowBreath')"
        :value="String(athlete.breathPeriodMs / 1000)"
        :most="5"
        :check="breathWrong"
        :read-only="readOnly"
        :unit="t('s')"
        @change="(text) => store.set({ breathPeriodMs: Math.round(number(text) * 1000) })"
      />
      <FileField
        v-for="lever in LEVERS"
        :key="lever.id"
        :id="`file-${lever.id}`"
        :label="lever.label"
        :value="athlete[lever.id] === null ? '' : String(athlete[lever.id])"
        :most="6"
        :check="leverWrong"
        :read-only="readOnly"
        :unit="t('cm')"
        @change="(text) => store.set({ [lever.id]: text === '' ? null : number(text) })"
      />
    </div>
    <p class="soft small">
      {{ t('legsLengthTurnsCentimetres') }}
    </p>
    <FileField
      id="file-build"
      :label="t('build')"
      :value="athlete.build"
      :most="LIMITS.textLength"
      :rows="2"
      :read-only="readOnly"
      @change="(build) => store.set({ build })"
    />
    <div class="field">
      <span class="label" id="medication-label">{{ t('medication') }}</span>
      <div class="choices" role="group" aria-labelledby="medication-label">
        <button
          v-for="each in MEDICATIONS"
          :key="each.id"
          type="button"
          class="choice care"
          :aria-pressed="athlete.medications.includes(each.id)"
          :disabled="readOnly"
          @click="toggleMedication(each.id)"
        >
          {{ each.name }}
        </button>
      </div>
    </div>
    <div class="field">
      <span class="label" id="beighton-label"
        >{{ t('beightonScore') }} <span class="num">{{ score === null ? t('notTaken2') : t('of9', { score }) }}</span></span
      >
      <div class="beighton" role="group" aria-labelledby="beighton-label">
        <button
          v-for="(item, i) in BEIGHTON_ITEMS"
          :key="item"
          type="button"
          class="choice"
          :aria-pressed="athlete.beighton?.[i] ?? false"
          :disabled="readOnly"
          @click="toggleItem(i)"
        >
          {{ item }}
        </button>
      </div>
      <button
        v-if="athlete.beighton === null && !readOnly"
        type="button"
        class="link small"
        @click="store.set({ beighton: BEIGHTON_ITEMS.map(() => false) })"
      >
        {{ t('takenNoneNine') }}
      </button>
      <button v-else-if="!readOnly" type="button" class="link small" @click="store.set({ beighton: null })">{{ t('notTaken') }}</button>
      <p class="soft small">{{ t('ninePointsAfterBeighton') }}</p>
    </div>
  </section>
</template>

<style scoped>
.levers {
  grid-template-columns: repeat(auto-fit, minmax(min(112px, 100%), 1fr));
}

.beighton {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px;
}

.beighton .choice {
  min-height: 34px;
  padding: 4px 9px;
  font-size: 13px;
  line-height: 1.25;
  text-align: left;
}

.beighton .choice:last-child {
  grid-column: 1 / -1;
}

.link {
  justify-self: start;
}
</style>
