<script setup lang="ts">
import { Chart, LinearScale, PointElement, ScatterController, Tooltip, type ChartConfiguration, type Plugin } from 'chart.js';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { formatSigned, formatValue } from '@pace-bend/core/measure';
import type { Unit } from '@pace-bend/core/body';
import type { Agreement } from '@pace-bend/core/reliability';
import { useDark } from '../parts/useDark.ts';
import { t } from '../words/error.ts';

/** Difference against mean, one point a side; the mean difference and the limits as lines, their confidence as bands. */
const props = defineProps<{ result: Agreement; unit: Unit; names: readonly [string, string] }>();

Chart.register(LinearScale, PointElement, ScatterController, Tooltip);
const canvas = ref<HTMLCanvasElement | null>(null);
const dark = useDark();
let chart: Chart | null = null;
const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

const lines: Plugin = {
  id: 'limits',
  beforeDatasetsDraw({ ctx, chartArea: { left, right }, scales }) {
    const y = (value: number) => scales.y!.getPixelForValue(value);
    ctx.save();
    for (const [estimate, fill, dash, words] of [
      [props.result.bias, '--band', [], 'mean'],
      [props.result.upper, '--sun-soft', [6, 4], t('upperLimit')],
      [props.result.lower, '--sun-soft', [6, 4], t('lowerLimit')],
    ] as const) {
      ctx.fillStyle = colour(fill);
      ctx.globalAlpha = 0.7;
      ctx.fillRect(left, y(estimate.high), right - left, y(estimate.low) - y(estimate.high));
      ctx.globalAlpha = 1;
      ctx.strokeStyle = colour('--ink');
      ctx.lineWidth = 1.4;
      ctx.setLineDash([...dash]);
      ctx.beginPath();
      ctx.moveTo(left, y(estimate.value));
      ctx.lineTo(right, y(estimate.value));
      ctx.stroke();
      ctx.fillStyle = colour('--ink');
      ctx.font = '12px "Atkinson Hyperlegible Next Variable"';
      ctx.textAlign = 'right';
      ctx.fillText(`${words} ${formatSigned(estimate.value, props.unit)}`, right - 4, y(estimate.value) - 5);
    }
    ctx.setLineDash([]);
    ctx.strokeStyle = colour('--line');
    ctx.beginPath();
    ctx.moveTo(left, y(0));
    ctx.lineTo(right, y(0));
    ctx.stroke();
    ctx.restore();
  },
};

function config(): ChartConfiguration {
  const { points, upper, lower } = props.result;
  const text = { color: colour('--soft'), font: { family: 'Atkinson Hyperlegible Next Variable', size: 12 } };
  const all = [upper.high, lower.low, 0, ...points.map((point) => point.difference)];
  const margin = (Math.max(...all) - Math.min(...all)) * 0.08 || 1;
  return {
    type: 'scatter',
    plugins: [lines],
    data: {
      datasets: [
        {
          label: t('sides'),
          data: points.map((point) => ({ x: point.mean, y: point.difference })),
          pointRadius: 5,
          pointBorderWidth: 2,
          pointBackgroundColor: colour('--paper'),
          pointBorderColor: colour('--spruce'),
        },
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      scales: {
        x: {
          grace: '6%',
          title: { display: true, text: t('meanBoth'), ...text },
          grid: { display: false },
          border: { color: colour('--line') },
          ticks: { ...text, maxTicksLimit: 8, callback: (value) => formatValue(Number(value), props.unit, 0) },
        },
        y: {
          title: { display: true, text: `${props.names[0].replace('the ', '')} − ${props.names[1].replace('the ', '')}`, ...text },
          min: Math.min(...all) - margin,
          max: Math.max(...all) + margin,
          grid: { color: colour('--line-faint') },
          border: { display: false },
          ticks: { ...text, maxTicksLimit: 8, callback: (value) => formatSigned(Number(value), props.unit, 0) },
        },
      },
      plugins: {
        tooltip: {
          displayColors: false,
          callbacks: {
            label: (item) =>
              t('at', { signed: formatSigned(Number(item.parsed.y), props.unit), value: formatValue(Number(item.parsed.x), props.unit) }),
          },
        },
      },
    },
  };
}

function draw(): void {
  chart?.destroy();
  chart = new Chart(canvas.value!, config());
}
onMounted(draw);
watch(() => [props.result, dark.value], draw);
onBeforeUnmount(() => chart?.destroy());
</script>

<template>
  <div class="plot">
    <canvas ref="canvas" role="img" :aria-label="t('differencesSidesAgainstTheir', { n: result.n, words: result.words })" />
  </div>
</template>

<style scoped>
.plot {
  position: relative;
  height: 340px;
}
</style>
