import { Chart, type ChartConfiguration } from 'chart.js';
import { onBeforeUnmount, onMounted, useTemplateRef, watch, type WatchSource } from 'vue';
import { useDark } from '../parts/useDark.ts';

/** Text on a chart as everywhere else. */
export const CHART_FONT = { family: '"Atkinson Hyperlegible Next Variable"', size: 12 } as const;

/** A tone of the theme as it is now. */
export const chartColour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Draws a chart on the component's canvas (`ref="canvas"`), anew whenever what it shows or the theme changes. */
export function useChart(configuration: () => ChartConfiguration, shown: WatchSource): void {
  const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
  const dark = useDark();
  let chart: Chart | null = null;
  function draw(): void {
    chart?.destroy();
    if (canvas.value) chart = new Chart(canvas.value, configuration());
  }
  onMounted(draw);
  watch([shown, dark], draw);
  onBeforeUnmount(() => chart?.destroy());
}
