<script setup lang="ts">
import { computed } from 'vue';
import { BEIGHTON_ITEMS, MEDICATIONS, type MedicationId } from '@pace-bend/core/caution';
import { LIMITS, type Athlete } from '@pace-bend/core/record';
import { useAthlete } from '../../stores/athlete.ts';
import FileField from './FileField.vue';

/** Breath, levers, build, medication and how lax the joints are. */
const props = defineProps<{ athlete: Athlete; readOnly: boolean }>();
const store = useAthlete();

const LEVERS = [
  { id: 'thighCm', label: 'Thigh' },
  { id: 'legCm', label: 'Leg' },
  { id: 'armCm', label: 'Upper arm' },
  { id: 'forearmCm', label: 'Forearm' },
] as const;
const { leverCm, breathPeriodMs } = LIMITS;
const number = (text: string) => Number(text.replace(',', '.'));
const leverWrong = (text: string) =>
  text === '' || (number(text) >= leverCm.min && number(text) <= leverCm.max) ? null : `${leverCm.min} to ${leverCm.max} cm.`;
const breathWrong = (text: string) =>
  number(text) * 1000 >= breathPeriodMs.min && number(text) * 1000 <= breathPeriodMs.max
    ? null
    : `${breathPeriodMs.min / 1000} to ${breathPeriodMs.max / 1000} seconds.`;
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
  <section class="card fields" aria-label="Body">
    <h2>Body</h2>
    <div class="pair levers">
      <FileField
        id="file-breath"
        label="Slow breath"
        :value="String(athlete.breathPeriodMs / 1000)"
        :most="5"
        :check="breathWrong"
        :read-only="readOnly"
        unit="s"
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
        unit="cm"
        @change="(text) => store.set({ [lever.id]: text === '' ? null : number(text) })"
      />
    </div>
    <p class="soft small">
      The leg’s length turns centimetres gained, knee to wall or heel to buttock, into degrees. The others are kept for distances to come.
    </p>
    <FileField
      id="file-build"
      label="Build"
      :value="athlete.build"
      :most="LIMITS.textLength"
      :rows="2"
      :read-only="readOnly"
      @change="(build) => store.set({ build })"
    />
    <div class="field">
      <span class="label" id="medication-label">Medication</span>
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
        >Beighton score <span class="num">{{ score === null ? 'not taken' : `${score} of 9` }}</span></span
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
        Taken, none of the nine
      </button>
      <button v-else-if="!readOnly" type="button" class="link small" @click="store.set({ beighton: null })">Not taken</button>
      <p class="soft small">Nine points after Beighton 1973. From 5 on, an adult’s lax joints are not lengthened at their end.</p>
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
