<script setup lang="ts">
import { computed } from 'vue';
import { stiffestFirst, type DayVisit } from '@pace-bend/core/record';
import BendPair, { type FanValues } from '../parts/BendPair.vue';
import { useDay } from '../stores/day.ts';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/day.ts';

/** What was stiffest at the last visit: the thing to look at first. */
const props = defineProps<{ visit: DayVisit }>();
const practice = usePractice();
const day = useDay();

const stiffest = computed(() => {
  const { lastReadings, startsAt } = props.visit;
  const first = stiffestFirst({
    person: practice.personOf(props.visit),
    onDay: practice.dayOf(startsAt),
    today: lastReadings,
    past: [],
    ...(day.page ? { errors: day.page.errors } : {}),
  })[0];
  return first && first.stiffness.score > 0 ? first : null;
});
/** Only the finding; what it means stands on the measuring screen. */
const reason = computed(() => stiffest.value?.stiffness.reasons.at(-1)?.split(':')[0]);
const fans = computed<FanValues[]>(() =>
  (stiffest.value?.comparison.sides ?? []).map((side) => ({
    side: side.side,
    now: side.now?.value ?? null,
    earlier: null,
    baseline: null,
    low: side.short,
  })),
);
const words = computed(() =>
  stiffest.value
    ? `${stiffest.value.comparison.motion.name}, ${stiffest.value.comparison.motion.testPosition}: ${reason.value}`
    : undefined,
);
</script>

<template>
  <span class="last" :title="words">
    <template v-if="stiffest">
      <BendPair :motion="stiffest.comparison.motion" :fans="fans" :bands="stiffest.comparison.bands" :width="76" />
      <span class="small words"
        ><b>{{ stiffest.comparison.motion.name }}</b
        ><span class="soft">{{ stiffest.comparison.motion.testPosition }}</span
        ><span>{{ reason }}</span></span
      >
    </template>
    <span v-else class="soft small">{{ visit.lastReadings.length > 0 ? t('nothingShortLastTime') : t('firstVisit') }}</span>
  </span>
</template>

<style scoped>
.last {
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
  min-width: 0;
  align-items: center;
  gap: 12px;
}

.words {
  line-height: 1.3;
}

.words b,
.words span {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

/* In a narrow row the words are enough: what it was, and by how much. */
@container page (max-width: 972px) {
  .last {
    grid-template-columns: minmax(0, 1fr);
  }

  .last > svg {
    display: none;
  }

  .words {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .words b,
  .words span {
    display: inline;
  }

  .words b::after {
    content: ': ';
  }

  .words .soft {
    display: none;
  }
}

@container page (max-width: 640px) {
  .words,
  .words b,
  .words span {
    white-space: normal;
  }
}
</style>
