<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart as ChartJs,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartData,
  type ChartOptions,
  type ChartType,
} from 'chart.js';
import { computed } from 'vue';
import { Chart } from 'vue-chartjs';
import { useDeviceSettings } from '../../state/device-settings';
import type { Tone } from './chart-data';

ChartJs.register(
  BarController,
  BarElement,
  CategoryScale,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
);

ChartJs.defaults.font.family = "'Source Sans 3', sans-serif";

/** A chart in the colours of the theme. `says` is the sentence it illustrates, read to those who cannot see it. */
const { type, data, options, says } = defineProps<{
  type: ChartType;
  data: (tone: Tone) => ChartData;
  options?: ChartOptions;
  says: string;
}>();

const settings = useDeviceSettings();
const tones = computed(() => {
  // Read again whenever the theme changes; the class that carries it is on the page by then, or is given here.
  document.documentElement.classList.toggle('night', settings.night);
  const style = getComputedStyle(document.documentElement);
  return (name: string): string => style.getPropertyValue(`--${name}`).trim();
});
const drawn = computed(() => data(tones.value));
const all = computed<ChartOptions>(() => {
  const [ink, line] = [tones.value('ink-2'), tones.value('line')];
  const axis = { grid: { color: line }, border: { color: line }, ticks: { color: ink, font: { size: 12 } } };
  const titled = (name: 'x' | 'y') => {
    const own = options?.scales?.[name] ?? {};
    const title = 'title' in own ? { title: { ...own.title, display: true, color: ink } } : {};
    return { ...axis, ...own, ...title, ticks: { ...axis.ticks, ...own.ticks } };
  };
  return {
    ...options,
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    plugins: {
      legend: {
        align: 'start',
        labels: { color: ink, boxWidth: 14, boxHeight: 10, ...options?.plugins?.legend?.labels },
      },
    },
    scales: { x: titled('x'), y: titled('y') },
  } as ChartOptions;
});
</script>

<template>
  <div class="chart"><Chart :type="type" :data="drawn" :options="all" role="img" :aria-label="says" /></div>
</template>

<style scoped>
.chart {
  position: relative;
  height: 220px;
}
</style>
