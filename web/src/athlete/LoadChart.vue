<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { DateTime } from 'luxon';
import type { LoadHistory } from '@pace-bend/core/load';
import { CHART_FONT, chartColour, useChart } from './useChart.ts';
import { t } from '../words/athlete.ts';

/** Load day by day as bars, its short and long weighted means as lines. */
const props = defineProps<{ history: LoadHistory; from: string }>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale, LineController, LineElement, PointElement, Tooltip);

function configuration(): ChartConfiguration {
  const shown = props.history.days.flatMap((day, i) =>
    day.on >= props.from ? [{ ...day, short: props.history.shortMeans[i] ?? null, long: props.history.longMeans[i] ?? null }] : [],
  );
  const line = { type: 'line', pointRadius: 0, borderWidth: 2.4, spanGaps: false } as const;
  return {
    type: 'bar',
    data: {
      labels: shown.map((day) => DateTime.fromISO(day.on).toFormat('ccc d LLL')),
      datasets: [
        { ...line, label: t('mean7DaysWeighted'), data: shown.map((day) => day.short), borderColor: chartColour('--clay') },
        {
          ...line,
          label: t('mean28DaysWeighted'),
          data: shown.map((day) => day.long),
          borderColor: chartColour('--slate'),
          borderDash: [6, 4],
        },
        { label: t('loadDay'), data: shown.map((day) => day.load), backgroundColor: chartColour('--band'), borderWidth: 0 },
      ],
    },
    options: {
      animation: false,
      maintainAspectRatio: false,
      scales: {
        x: { grid: { display: false }, ticks: { color: chartColour('--soft'), font: CHART_FONT, maxTicksLimit: 9, maxRotation: 0 } },
        y: {
          beginAtZero: true,
          grid: { color: chartColour('--line-faint') },
          ticks: { color: chartColour('--soft'), font: CHART_FONT, maxTicksLimit: 6 },
        },
      },
    },
  };
}
useChart(configuration, () => props.history);
</script>

<template>
  <figure>
    <div class="canvas">
      <canvas ref="canvas" role="img" :aria-label="t('loadDayDayShort')" />
    </div>
    <figcaption class="soft small">
      <span><i class="bar" /> {{ t('loadDayExertionMinutes') }}</span> <span><i class="short" /> {{ t('mean7DaysWeighted') }}</span>
      <span><i class="long" /> {{ t('mean28DaysWeighted') }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  min-width: 0;
  margin: 0;
}

.canvas {
  position: relative;
  height: 220px;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

i {
  display: inline-block;
  width: 22px;
  height: 0;
  vertical-align: 4px;
  border-top: 3px solid var(--clay);
}

.long {
  border-top: 3px dashed var(--slate);
}

.bar {
  height: 10px;
  vertical-align: -1px;
  border: 0;
  background: var(--band);
}
</style>
