<script setup lang="ts">
import { checkBirthDate, LIMITS, type Athlete, type AthleteFields } from '@pace-bend/core/record';
import DayField from '../../parts/DayField.vue';
import PickOne from '../../parts/PickOne.vue';
import SportsField from '../../parts/SportsField.vue';
import { AVAILABILITY_WORDS } from '../../parts/words.ts';
import { useAthlete } from '../../stores/athlete.ts';
import { usePractice } from '../../stores/practice.ts';
import FileField from './FileField.vue';
import { t } from '../../words/athlete.ts';

/** Who this is, in their sport and on the table. */
defineProps<{ athlete: Athlete; squads: readonly string[]; readOnly: boolean }>();
const store = useAthlete();
const practice = usePractice();

const SEX = [
  { value: 'female', label: t('women') },
  { value: 'male', label: t('men') },
  { value: 'none', label: t('womenMen') },
] as const;
const HANDED = [
  { value: 'unknown', label: t('notKnown') },
  { value: 'right', label: t('right') },
  { value: 'left', label: t('left') },
  { value: 'both', label: t('both') },
] as const;
const AVAILABILITY = (['full', 'limited', 'out'] as const).map((value) => ({ value, label: AVAILABILITY_WORDS[value] }));
const PICKS = [
  { id: 'referenceSex', label: t('referenceTable'), options: SEX },
  { id: 'hand', label: t('hand'), options: HANDED },
  { id: 'foot', label: t('foot'), options: HANDED },
] as const;
const nameWrong = (text: string) => (text.trim() === '' ? t('nameNeeded') : text !== text.trim() ? t('noSpaceBeforeAfter') : null);
const set = (fields: Partial<AthleteFields>) => store.set(fields);
</script>

<template>
  <section class="card fields" :aria-label="t('person')">
    <h2>
      {{ t('person') }} <span v-if="squads.length > 0" class="soft squads">{{ squads.join(', ') }}</span>
    </h2>
    <div class="pair">
      <FileField
        id="file-name"
        :label="t('name')"
        :value="athlete.name"
        :most="LIMITS.nameLength"
        :check="nameWrong"
        :read-only="readOnly"
        @change="(name) => set({ name })"
      />
      <DayField
        id="file-birth"
        :label="t('birthDate')"
        :value="athlete.birthDate"
        :check="(day) => checkBirthDate(day, practice.today)"
        :read-only="readOnly"
        @day="(birthDate) => set({ birthDate })"
      />
    </div>
    <div class="pair four">
      <div v-for="pick in PICKS" :key="pick.id" class="field">
        <label :for="`file-${pick.id}`">{{ pick.label }}</label>
        <PickOne
          :input-id="`file-${pick.id}`"
          :label="pick.label"
          :value="athlete[pick.id]"
          :options="pick.options as never"
          :disabled="readOnly"
          @change="(value) => set({ [pick.id]: value })"
        />
      </div>
    </div>
    <SportsField :sports="athlete.sports" :disabled="readOnly" @change="(sports) => set({ sports })" />
    <div class="pair">
      <FileField
        id="file-coach"
        :label="t('coach')"
        :value="athlete.coach"
        :most="LIMITS.lineLength"
        :read-only="readOnly"
        @change="(coach) => set({ coach })"
      />
    </div>
    <FileField
      id="file-about"
      :label="t('oneLine')"
      :value="athlete.about"
      :most="LIMITS.aboutLength"
      :read-only="readOnly"
      :placeholder="t('buildStoryStandsBeside')"
      @change="(about) => set({ about })"
    />
    <div class="pair">
      <div class="field">
        <span class="label" id="availability-label">{{ t('availabilityCoachSees') }}</span>
        <div class="choices" role="group" aria-labelledby="availability-label">
          <button
            v-for="each in AVAILABILITY"
            :key="each.value"
            type="button"
            class="choice"
            :aria-pressed="athlete.availability === each.value"
            :disabled="readOnly"
            @click="set({ availability: each.value, ...(each.value === 'full' ? { availableUntil: null } : {}) })"
          >
            {{ each.label }}
          </button>
        </div>
      </div>
      <DayField
        v-if="athlete.availability !== 'full'"
        id="file-until"
        :label="t('until')"
        :value="athlete.availableUntil ?? ''"
        optional
        :read-only="readOnly"
        :placeholder="t('open')"
        @day="(day) => set({ availableUntil: day === '' ? null : day })"
      />
    </div>
    <FileField
      id="file-preferences"
      :label="t('howTheyLikeWorked')"
      :value="athlete.preferences"
      :most="LIMITS.textLength"
      :rows="2"
      :read-only="readOnly"
      @change="(preferences) => set({ preferences })"
    />
  </section>
</template>

<style scoped>
.squads {
  margin-left: 8px;
  font: 400 13px var(--words);
}

.four {
  grid-template-columns: repeat(auto-fit, minmax(min(150px, 100%), 1fr));
}
</style>
