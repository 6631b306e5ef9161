<script setup lang="ts">
import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  Filler,
  CategoryScale,
  type ChartConfiguration,
} from 'chart.js';
import { DateTime } from 'luxon';
import { CHART_FONT, chartColour, useChart } from './useChart.ts';
import { t } from '../words/athlete.ts';

/** One answer over the weeks with the band of its owner's normal, as it was known day by day. */
interface Point {
  readonly on: string;
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
}
const props = defineProps<{ line: { readonly name: string; readonly worse: 'higher' | 'lower'; readonly points: readonly Point[] } }>();
Chart.register(LinearScale, CategoryScale, LineController, LineElement, PointElement, Tooltip, Filler);

function configuration(): ChartConfiguration {
  const { points, worse } = props.line;
  const isOff = (point: Point) =>
    point.value !== null &&
    point.high !== null &&
    point.low !== null &&
    (worse === 'higher' ? point.value > point.high : point.value < point.low);
  const band = { borderWidth: 0, pointRadius: 0, pointHitRadius: 0, spanGaps: false } as const;
  return {
    type: 'line',
    data: {
      labels: points.map((point) => DateTime.fromISO(point.on).toFormat('d LLL')),
      datasets: [
        {
          ...band,
          label: t('normalHigh'),
          order: 2,
          data: points.map((point) => point.high),
          backgroundColor: chartColour('--spruce-soft'),
          fill: '+1',
        },
        { ...band, label: t('normalLow'), order: 2, data: points.map((point) => point.low) },
        {
          label: props.line.name,
          order: 1,
          data: points.map((point) => point.value),
          borderColor: chartColour('--soft'),
          borderWidth: 1,
          pointRadius: points.map((point) => (isOff(point) ? 3.4 : 2.2)),
          pointBackgroundColor: points.map((point) => (isOff(point) ? chartColour('--clay') : chartColour('--spruce'))),
          pointBorderWidth: 0,
          spanGaps: false,
        },
      ],
    },
    options: {
      animation: false,
      maintainAspectRatio: false,
      // The worse way is down in every chart.
      scales: {
        x: { grid: { display: false }, ticks: { color: chartColour('--soft'), font: CHART_FONT, maxTicksLimit: 5, maxRotation: 0 } },
        y: {
          reverse: worse === 'higher',
          grid: { color: chartColour('--line-faint') },
          ticks: { color: chartColour('--soft'), font: CHART_FONT, maxTicksLimit: 5 },
        },
      },
      plugins: { tooltip: { filter: (item) => item.datasetIndex === 2 } },
    },
  };
}
useChart(configuration, () => props.line);
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ line.name }}</b> <span class="soft small">{{ t('worseDown') }}</span>
    </figcaption>
    <div class="canvas">
      <canvas ref="canvas" role="img" :aria-label="t('twelveWeeksNumbersStand', { name: line.name })" />
    </div>
  </figure>
</template>

<style scoped>
figure {
  min-width: 0;
  margin: 0;
}

.canvas {
  position: relative;
  height: 130px;
}
</style>
