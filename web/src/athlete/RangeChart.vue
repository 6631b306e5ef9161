<script setup lang="ts">
import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartConfiguration,
  type Plugin,
} from 'chart.js';
import { DateTime } from 'luxon';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { formatValue } from '@pace-bend/core/measure';
import type { Motion } from '@pace-bend/core/body';
import type { CalendarEvent } from '@pace-bend/core/record';
import { SIDE_WORDS } from '../parts/words.ts';
import { useDark } from '../parts/useDark.ts';
import type { SideSeries } from '../parts/series.ts';
import { t } from '../words/athlete.ts';

/** One side of one motion over the visits: before and after, the reference, and the band in which a change is only error. */
const props = defineProps<{
  motion: Motion;
  series: SideSeries;
  range: { from: number; to: number; low: number; high: number };
  zone: string;
  events: readonly CalendarEvent[];
  goal: number | null;
}>();
const DAY_MS = 86_400_000;

Chart.register(LinearScale, LineController, LineElement, PointElement, ScatterController, Tooltip);
const canvas = ref<HTMLCanvasElement | null>(null);
const dark = useDark();
let chart: Chart | null = null;

const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Bands and the baseline lie under the points. */
const ground: Plugin = {
  id: 'ground',
  beforeDatasetsDraw({ ctx, chartArea, scales }) {
    const y = (value: number) => scales.y!.getPixelForValue(value);
    const { left, right } = chartArea;
    ctx.save();
    ctx.beginPath();
    ctx.rect(left, chartArea.top, right - left, chartArea.bottom - chartArea.top);
    ctx.clip();
    const { baseline, mdc, bands, level } = props.series;
    ctx.fillStyle = colour('--line-faint');
    ctx.fillRect(left, y(baseline + mdc), right - left, y(baseline - mdc) - y(baseline + mdc));
    ctx.globalAlpha = 0.6;
    ctx.fillStyle = colour('--band');
    for (const band of bands) ctx.fillRect(left, y(band.high) - 1, right - left, Math.max(3, y(band.low) - y(band.high) + 2));
    ctx.globalAlpha = 1;
    ctx.fillStyle = colour('--paper');
    for (const band of bands) ctx.fillRect(left, y(band.middle) - 1, right - left, 2);
    ctx.strokeStyle = colour('--tick');
    ctx.setLineDash([5, 4]);
    ctx.lineWidth = 1.4;
    ctx.beginPath();
    ctx.moveTo(left, y(baseline));
    ctx.lineTo(right, y(baseline));
    ctx.stroke();
    const x = (day: number) => scales.x!.getPixelForValue(day * DAY_MS);
    if (level.points.length > 1) {
      ctx.setLineDash([]);
      ctx.beginPath();
      for (const [i, point] of level.points.entries()) ctx[i === 0 ? 'moveTo' : 'lineTo'](x(point.day), y(point.high));
      for (const point of [...level.points].reverse()) ctx.lineTo(x(point.day), y(point.low));
      ctx.closePath();
      ctx.globalAlpha = 0.5;
      ctx.fillStyle = colour('--plum-soft');
      ctx.fill();
      ctx.globalAlpha = 1;
      ctx.strokeStyle = colour('--plum');
      ctx.lineWidth = 2;
      ctx.beginPath();
      for (const [i, point] of level.points.entries()) ctx[i === 0 ? 'moveTo' : 'lineTo'](x(point.day), y(point.level));
      ctx.stroke();
    }
    if (props.goal !== null) {
      ctx.setLineDash([8, 4]);
      ctx.lineWidth = 1.4;
      ctx.strokeStyle = colour('--spruce');
      ctx.beginPath();
      ctx.moveTo(left, y(props.goal));
      ctx.lineTo(right, y(props.goal));
      ctx.stroke();
    }
    // What was gained falls back until the next visit: from each value after work to the next one before it.
    ctx.setLineDash([1, 4]);
    ctx.lineWidth = 1.4;
    ctx.strokeStyle = colour('--spruce');
    for (const [i, point] of props.series.points.entries()) {
      const next = props.series.points.slice(i + 1).find((each) => each.before !== null);
      if (point.after === null || !next) continue;
      ctx.beginPath();
      ctx.moveTo(scales.x!.getPixelForValue(point.at), y(point.after));
      ctx.lineTo(scales.x!.getPixelForValue(next.at), y(next.before!));
      ctx.stroke();
    }
    ctx.setLineDash([2, 3]);
    ctx.strokeStyle = colour('--slate');
    for (const event of props.events) {
      const at = scales.x!.getPixelForValue(Date.parse(event.onDate));
      ctx.beginPath();
      ctx.moveTo(at, chartArea.top);
      ctx.lineTo(at, chartArea.bottom);
      ctx.stroke();
      ctx.fillStyle = colour('--slate-text');
      ctx.font = '12px "Atkinson Hyperlegible Next Variable"';
      ctx.textAlign = 'right';
      ctx.fillText(event.name, at - 5, chartArea.top + 12);
    }
    ctx.restore();
  },
};

function config(): ChartConfiguration {
  const { points } = props.series;
  const date = (at: number) => DateTime.fromMillis(at, { zone: props.zone }).toFormat('d LLL');
  const text = { color: colour('--soft'), font: { family: 'Atkinson Hyperlegible Next Variable', size: 12 } };
  const series = (moment: 'before' | 'after') =>
    points.flatMap((point) => (point[moment] === null ? [] : [{ x: point.at, y: point[moment]! }]));
  return {
    type: 'line',
    plugins: [ground],
    data: {
      datasets: [
        // A thin stem joins before and after of one visit.
        ...points.flatMap((point) =>
          point.before === null || point.after === null
            ? []
            : [
                {
                  data: [
                    { x: point.at, y: point.before },
                    { x: point.at, y: point.after },
                  ],
                  borderColor: colour('--spruce'),
                  borderWidth: 1.4,
                  pointRadius: 0,
                  pointHitRadius: 0,
                },
              ],
        ),
        {
          label: t('before'),
          data: series('before'),
          showLine: false,
          borderColor: colour('--ink'),
          pointRadius: 5,
          pointBorderWidth: 2,
          pointBackgroundColor: colour('--paper'),
          pointBorderColor: colour('--ink'),
        },
        {
          label: t('after'),
          data: series('after'),
          showLine: false,
          borderColor: colour('--spruce'),
          pointRadius: 5,
          pointStyle: 'rectRot',
          pointBackgroundColor: colour('--spruce'),
          pointBorderColor: colour('--spruce'),
        },
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      interaction: { mode: 'nearest', intersect: true },
      scales: {
        x: {
          type: 'linear',
          min: props.range.from,
          max: props.range.to,
          grid: { display: false },
          border: { color: colour('--line') },
          ticks: { ...text, maxTicksLimit: 7, maxRotation: 0, callback: (value) => date(Number(value)) },
        },
        y: {
          min: props.range.low,
          max: props.range.high,
          reverse: props.motion.better === 'lower',
          grid: { color: colour('--line-faint') },
          border: { display: false },
          ticks: { ...text, maxTicksLimit: 7, callback: (value) => formatValue(Number(value), props.motion.unit, 0) },
        },
      },
      plugins: {
        tooltip: {
          displayColors: false,
          filter: (item) => item.dataset.label !== undefined,
          callbacks: {
            title: (items) => (items[0] ? date(Number(items[0].parsed.x)) : ''),
            label: (item) => `${item.dataset.label}: ${formatValue(Number(item.parsed.y), props.motion.unit)}`,
          },
        },
      },
    },
  };
}

/** Losing more than was gained is nothing kept; more than all of it is all. */
const keptWords = computed(() => {
  const share = props.series.kept.share ?? 0;
  return share <= 0.02 ? t('noneOfIt') : share >= 1 ? t('allOfIt') : t('ofIt', { share: Math.round(share * 100) });
});

function draw(): void {
  chart?.destroy();
  chart = new Chart(canvas.value!, config());
}
onMounted(draw);
watch(() => [props.motion, props.series, props.range, props.goal, dark.value], draw);
onBeforeUnmount(() => chart?.destroy());
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ SIDE_WORDS[series.side] }}</b>
      <span>{{ series.verdict }}</span>
      <span v-if="series.kept.meanGain !== null" class="soft"
        >{{ t('straightAfterWorkMore', { value: formatValue(series.kept.meanGain, motion.unit) })
        }}<template v-if="series.kept.share !== null">{{ t('keptUntilNextVisit', { keptWords }) }}</template></span
      >
    </figcaption>
    <div class="canvas">
      <canvas
        ref="canvas"
        role="img"
        :aria-label="t('overVisits', { name: motion.name, side: series.side, count: series.points.length, verdict: series.verdict })"
      />
    </div>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  min-width: 0;
  margin: 0;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}

.canvas {
  position: relative;
  height: 310px;
}
</style>
