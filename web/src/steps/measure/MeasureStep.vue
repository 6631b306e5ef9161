<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { useRouter } from 'vue-router';
import FindingsCard from '../../findings/FindingsCard.vue';
import MeasureBoard from '../../measuring/MeasureBoard.vue';
import { useVisit } from '../../stores/visit.ts';

const visit = useVisit();
const router = useRouter();
const NUMBERS = [
  'none',
  'this one',
  'these two',
  'these three',
  'these four',
  'these five',
  'these six',
  'these seven',
  'these eight',
  'these nine',
];
const label = (measured: number) => (measured === 0 ? 'Plan' : `Plan from ${NUMBERS[measured] ?? `these ${measured}`}`);
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
