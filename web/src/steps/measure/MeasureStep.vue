<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { useRouter } from 'vue-router';
import FindingsCard from '../../findings/FindingsCard.vue';
import MeasureBoard from '../../measuring/MeasureBoard.vue';
import { useVisit } from '../../stores/visit.ts';
import { t } from '../../words/measure.ts';

const visit = useVisit();
const router = useRouter();
const NUMBERS = [
  'none',
  t('thisOne'),
  t('theseTwo'),
  t('theseThree'),
  t('theseFour'),
  t('theseFive'),
  t('theseSix'),
  t('theseSeven'),
  t('theseEight'),
  t('theseNine'),
];
const label = (measured: number) => (measured === 0 ? t('plan') : t('planFrom', { what: NUMBERS[measured] ?? t('these', { measured }) }));
</script>

<template>
  <MeasureBoard moment="before">
    <template #below="{ findings }"><FindingsCard :findings="findings" /></template>
    <template #beside="{ comparisons }"
      ><Button type="primary" size="large" block @click="router.push(`/visit/${visit.id}/plan`)">{{
        label(comparisons.filter((row) => row.sides.some((side) => side.now)).length)
      }}</Button></template
    >
  </MeasureBoard>
</template>
