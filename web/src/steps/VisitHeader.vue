<script setup lang="ts">
import { computed } from 'vue';
import { ageInYears } from '@pace-bend/core/body';
import type { Step } from '@pace-bend/core/record';
import CautionChips from '../cautions/CautionChips.vue';
import RefusedChanges from '../unsent/RefusedChanges.vue';
import SavingState from '../unsent/SavingState.vue';
import ReadinessChip from './ReadinessChip.vue';
import StepsLine from '../parts/StepsLine.vue';
import { inDays } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import OpenQuestions from '../cautions/OpenQuestions.vue';
import { t } from '../words/steps.ts';

defineProps<{ step: Step }>();

const visit = useVisit();
const practice = usePractice();
const athlete = computed(() => visit.file!.athlete);
const age = computed(() => ageInYears(athlete.value.birthDate, practice.dayOf(visit.file!.visit.startsAt)));
const event = computed(() => visit.file!.nextEvent);
</script>

<template>
  <header class="top">
    <div class="who">
      <h1>
        <RouterLink :to="`/athlete/${athlete.id}`" :title="t('rangeOverVisits', { name: athlete.name })">{{ athlete.name }}</RouterLink>
      </h1>
      <p class="soft small">
        {{ t('visit', { sportLine: practice.sportLine(athlete.sports) || t('athlete'), age, visitNumber: visit.file!.visitNumber })
        }}<template v-if="visit.finished">{{ ' ' }}{{ t('finished') }}</template>
      </p>
    </div>
    <span v-if="event" class="chip" :title="`${event.name} ${inDays(practice.daysUntil(event.onDate))}`"
      ><span class="event">{{ event.name }}</span> {{ inDays(practice.daysUntil(event.onDate)) }}</span
    >
    <ReadinessChip />
    <SavingState class="end" :state="visit.saveState" />
    <StepsLine :visit-id="visit.id" :step="step" />
  </header>
  <div v-if="visit.cautionContext" class="cautions">
    <OpenQuestions />
    <CautionChips :context="visit.cautionContext" />
    <RouterLink v-if="!visit.finished" class="refer small" :to="`/visit/${visit.id}/letter`"
      >{{ t('refer') }} <span class="key" aria-hidden="true">{{ t('r') }}</span></RouterLink
    >
  </div>
  <RefusedChanges class="refused" :changes="visit.refused" @theirs="visit.takeTheirs()" @mine="visit.keepMine()" />
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  min-height: 68px;
  padding: 12px 26px 8px;
}

/* The name is whole, whatever stands beside it: who is on the table is never guessed. */
.who {
  flex: 1 0 auto;
  max-width: min(100%, 420px);
}

h1 {
  overflow-wrap: anywhere;
}

h1 a {
  text-decoration: none;
}

h1 a:hover {
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}

.chip {
  display: flex;
  gap: 4px;
  flex: 1 1 84px;
  max-width: max-content;
  min-width: 0;
  overflow: hidden;
  padding: 3px 10px;
  border-left: 3px solid var(--slate);
  border-radius: 3px;
  background: var(--slate-soft);
  color: var(--slate-text);
  font-size: 13px;
  white-space: nowrap;
}

/* The event yields first: it stands at Arrive and on the day as well. */
.event {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}

/* A line of its own: it may never push a step out of sight. */
.cautions {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 0 26px 10px;
}

.refer {
  gap: 6px;
  margin-left: auto;
}

.end {
  margin-left: auto;
}

.refused {
  margin: 0 26px 12px;
}

@container page (max-width: 640px) {
  .top {
    padding: 8px 12px 6px;
  }

  .cautions {
    padding: 0 12px 8px;
  }
}
</style>
