<script setup lang="ts">
import { computed } from 'vue';
import { placeWords, type BodySide, type Region } from '@pace-bend/core/body';
import { LIMITS } from '@pace-bend/core/record';
import PickOne from '../../parts/PickOne.vue';
import { BODY_SIDES, REGION_CHOICES } from '../../parts/words.ts';
import { useVisit } from '../../stores/visit.ts';
import TextInput from '../../parts/TextInput.vue';
import LongText from '../../parts/LongText.vue';
import { t } from '../../words/arrive.ts';

/** What hurts, where, how much; what changed; training behind and ahead. Last time's answers stand beside. */
const visit = useVisit();
const now = computed(() => visit.file!.visit);
const last = computed(() => visit.file!.lastArrival);
const lastPlace = computed(() => (last.value?.complaintRegion ? placeWords(last.value.complaintRegion, last.value.complaintSide) : ''));
const REGIONS = [{ value: 'none', label: t('noPlace') } as const, ...REGION_CHOICES];
const LINES = [
  { id: 'changed', label: t('whatChanged'), placeholder: t('sinceLastTimeInjury'), most: LIMITS.textLength },
  { id: 'trainingSince', label: t('trainingSince'), placeholder: t('whatDoneHowHard'), most: LIMITS.aboutLength },
  { id: 'trainingNext', label: t('trainingNext'), placeholder: t('whenWhat'), most: LIMITS.aboutLength },
] as const;
</script>

<template>
  <section class="card complaint fields" :aria-label="t('whatBringsThem')">
    <div class="field">
      <label for="complaint">{{ t('whatBringsThemToday') }}</label>
      <LongText
        id="complaint"
        :model-value="now.complaint"
        :maxlength="LIMITS.complaintLength"
        :readonly="visit.finished"
        rows="2"
        :placeholder="t('theirWordsWhereWhen')"
        @input="visit.setArrive({ complaint: ($event.target as HTMLTextAreaElement).value })"
      />
      <p v-if="last?.complaint" class="soft small">{{ t('lastTime', { complaint: last.complaint }) }}</p>
    </div>
    <div class="place">
      <div class="field">
        <span class="label">{{ t('place') }}</span>
        <span class="pickers">
          <PickOne
            :value="now.complaintRegion ?? 'none'"
            :options="REGIONS"
            :label="t('placeComplaint')"
            search
            :disabled="visit.finished"
            @change="(value) => visit.setArrive({ complaintRegion: value === 'none' ? null : (value as Region) })"
          />
          <PickOne
            :value="now.complaintSide ?? 'none'"
            :options="BODY_SIDES"
            :label="t('sideComplaint')"
            :disabled="visit.finished"
            @change="(value) => visit.setArrive({ complaintSide: value === 'none' ? null : (value as BodySide) })"
          />
        </span>
        <p class="soft small">{{ lastPlace ? t('lastTime2', { lastPlace }) : '' }}</p>
      </div>
      <div class="field">
        <span id="score-label" class="label">{{ t('howMuch010') }}</span>
        <span class="scores" role="group" aria-labelledby="score-label">
          <button
            v-for="score in 11"
            :key="score"
            type="button"
            class="choice num"
            :aria-pressed="now.complaintScore === score - 1"
            :disabled="visit.finished"
            @click="visit.setArrive({ complaintScore: now.complaintScore === score - 1 ? null : score - 1 })"
          >
            {{ score - 1 }}
          </button>
        </span>
        <p class="soft small">{{ last?.complaintScore != null ? t('lastTime3', { complaintScore: last.complaintScore }) : '' }}</p>
      </div>
    </div>
    <div class="lines">
      <div v-for="line in LINES" :key="line.id" class="field">
        <label :for="line.id">{{ line.label }}</label>
        <TextInput
          :id="line.id"
          :model-value="now[line.id]"
          :maxlength="line.most"
          :readonly="visit.finished"
          :placeholder="line.placeholder"
          @input="visit.setArrive({ [line.id]: ($event.target as HTMLInputElement).value })"
        />
        <p class="soft small">{{ last?.[line.id] ? t('lastTime4', { what: last[line.id] }) : '' }}</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.complaint {
  gap: 10px;
}

.textbox {
  padding: 9px 12px;
  font-size: 15px;
}

.place {
  display: grid;
  grid-template-columns: minmax(0, 300px) minmax(0, 1fr);
  gap: 14px;
}

.pickers {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 104px;
  gap: 8px;
}

.scores {
  display: grid;
  grid-template-columns: repeat(11, minmax(0, 1fr));
  gap: 3px;
}

.scores .choice {
  padding: 0;
}

.lines {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 14px;
}

.soft.small {
  min-height: 17px;
  line-height: 1.35;
}

/* Eleven of a finger's width take two rows where one has no room. */
@media (pointer: coarse) {
  .place {
    grid-template-columns: minmax(0, 1fr);
  }

  .scores {
    grid-template-columns: repeat(auto-fit, minmax(44px, 1fr));
  }
}

@container page (max-width: 972px) {
  .place,
  .lines {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
