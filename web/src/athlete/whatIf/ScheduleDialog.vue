<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import InputNumber from 'ant-design-vue/es/input-number';
import { computed, ref, watch } from 'vue';
import { BUILT_IN } from '@pace-bend/core/method';
import type { Motion } from '@pace-bend/core/body';
import { usualGain } from '@pace-bend/core/session';
import { SCHEDULE_LIMITS, type Schedule } from '@pace-bend/core/cycle';
import PickOne from '../../parts/PickOne.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { useShelf } from '../../stores/shelf.ts';
import { amount } from './words.ts';
import { t } from '../../words/athlete.ts';

/** One schedule, changed field by field; kept as a whole or left as it was. */
const props = defineProps<{ letter: string; schedule: Schedule; motion: Motion; lately: number; like: string; weeks: number }>();
const emit = defineEmits<{ keep: [schedule: Schedule] }>();
const open = defineModel<boolean>('open', { required: true });
const shelf = useShelf();

const perWeek = ref(1);
const homeDays = ref(0);
const startsInWeeks = ref(0);
const awayFrom = ref(1);
const awayWeeks = ref(0);
const way = ref('lately');
const rounds = ref(3);
watch(
  open,
  (now) => {
    if (!now) return;
    const { schedule } = props;
    perWeek.value = schedule.perWeek;
    homeDays.value = schedule.homeDays;
    startsInWeeks.value = schedule.startsInWeeks;
    awayFrom.value = (schedule.away?.fromWeek ?? 2) + 1;
    awayWeeks.value = schedule.away?.weeks ?? 0;
    way.value = 'lately';
  },
  { immediate: true },
);
const ways = computed(() =>
  shelf.methods
    .filter((method) => method.axis === 'motion' && method.share > 0)
    .map((method) => ({ value: method.id, label: method.name })),
);
/** Of one visit: as lately, or so many rounds at what their way brings. */
const gain = computed(() => {
  if (way.value === 'lately') return props.lately;
  const share = (shelf.shelf ?? BUILT_IN).methods.get(way.value)?.share ?? 0;
  return usualGain(
    props.motion,
    Array.from({ length: given(rounds.value, 1) }, () => share),
  );
});
/** The kit empties a number that is deleted. */
const given = (value: number | null, otherwise: number) => value ?? otherwise;
function keep(): void {
  emit('keep', {
    perWeek: given(perWeek.value, 0),
    homeDays: given(homeDays.value, 0),
    startsInWeeks: given(startsInWeeks.value, 0),
    away: awayWeeks.value > 0 ? { fromWeek: given(awayFrom.value, 1) - 1, weeks: awayWeeks.value } : null,
    usualGain: gain.value,
  });
  open.value = false;
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('change3', { letter })" :width="460">
    <form class="fields" @submit.prevent="keep">
      <label for="what-if-visits">{{ t('visitsAWeek') }}</label>
      <InputNumber id="what-if-visits" v-model:value="perWeek" :min="0" :max="SCHEDULE_LIMITS.perWeek" :step="0.5" />
      <label for="what-if-way">{{ t('eachVisit2') }}</label>
      <PickOne
        input-id="what-if-way"
        :label="t('eachVisit2')"
        :value="way"
        :options="[{ value: 'lately', label: like }, ...ways]"
        @change="(value) => (way = value)"
      />
      <template v-if="way !== 'lately'">
        <label for="what-if-rounds">{{ t('roundsSide') }}</label>
        <InputNumber id="what-if-rounds" v-model:value="rounds" :min="1" :max="10" :precision="0" />
      </template>
      <p class="small soft wide">{{ t('bringsWhereSomebodyAnswers', { amount: amount(gain, motion.unit) }) }}</p>
      <label for="what-if-home">{{ t('homeWorkDaysWeek') }}</label>
      <InputNumber id="what-if-home" v-model:value="homeDays" :min="0" :max="SCHEDULE_LIMITS.homeDays" :precision="0" />
      <label for="what-if-start">{{ t('beginsWeeks') }}</label>
      <InputNumber
        id="what-if-start"
        v-model:value="startsInWeeks"
        :min="0"
        :max="Math.min(weeks, SCHEDULE_LIMITS.startsInWeeks)"
        :precision="0"
      />
      <label for="what-if-away">{{ t('awayWeeks') }}</label>
      <InputNumber id="what-if-away" v-model:value="awayWeeks" :min="0" :max="SCHEDULE_LIMITS.awayWeeks" :precision="0" />
      <template v-if="awayWeeks > 0">
        <label for="what-if-from">{{ t('fromWeek') }}</label>
        <InputNumber id="what-if-from" v-model:value="awayFrom" :min="1" :max="Math.max(1, weeks)" :precision="0" />
        <p class="small soft wide">{{ t('homeWorkGoesWhile') }}</p>
      </template>
      <span class="choices wide">
        <Button type="primary" html-type="submit">{{ t('keep2', { letter }) }}</Button>
        <Button @click="open = false">{{ t('leaveIt') }}</Button>
      </span>
    </form>
  </SheetDialog>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  align-items: center;
  gap: 8px 14px;
}

.wide {
  grid-column: 1 / -1;
}
</style>
