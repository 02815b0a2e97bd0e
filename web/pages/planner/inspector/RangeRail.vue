<script setup lang="ts">
import { computed } from 'vue';
import { clockOfSeconds } from '#core/time';

/** Where the lengths of a hold lie in its range: a rail with the range as a band, left marked above, right below. */
const { marks, range } = defineProps<{
  marks: readonly { side: 'left' | 'right' | 'both'; seconds: number }[];
  range: { min: number; max: number } | null;
}>();

const W = 200;
const most = computed(() => Math.max(range?.max ?? 0, ...marks.map(({ seconds }) => seconds)) * 1.25 || 60);
const x = (seconds: number): number => 6 + ((W - 12) * seconds) / most.value;
const summary = computed(() =>
  [
    range ? `Range ${clockOfSeconds(range.min)} to ${clockOfSeconds(range.max)}` : 'No range',
    ...marks.map(({ side, seconds }) => `${side} ${clockOfSeconds(seconds)}`),
  ].join(', '),
);
const SHAPES = { left: 'M-6 -12H6V-5L0 0L-6 -5Z', right: 'M-6 12H6V5L0 0L-6 5Z', both: 'M-6 -12H6V-5L0 0L-6 -5Z' };
</script>

<template>
  <svg :width="W" height="30" :viewBox="`0 -15 ${W} 30`" role="img" :aria-label="summary">
    <path class="r-axis" :d="`M6 0H${W - 6}`" />
    <rect v-if="range" class="band" :x="x(range.min)" y="-3" :width="x(range.max) - x(range.min)" height="6" />
    <path
      v-for="{ side, seconds } in marks"
      :key="side"
      :class="`r-${side}`"
      :d="SHAPES[side]"
      :transform="`translate(${x(seconds)} ${side === 'right' ? 3 : -3})`"
    />
  </svg>
</template>

<style scoped>
.band {
  fill: var(--rest);
  stroke: var(--rest-edge);
}
</style>
