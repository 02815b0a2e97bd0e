<script setup lang="ts">
import { computed } from 'vue';
import type { DeviationRow } from '#core/review';

/**
 * A length about the spine: to the left for the left side, to the right for the right; done as fill, planned as
 * outline.
 */
const { row, mostMs } = defineProps<{ row: DeviationRow; mostMs: number }>();

const HALF = 60;
const box = (ms: number) => {
  const width = (Math.min(ms, mostMs) / mostMs) * HALF;
  if (row.part === 'left') return { x: -width, width };
  if (row.part === 'right') return { x: 0, width };
  return { x: -width / 2, width };
};
const done = computed(() => box(row.doneMs));
const planned = computed(() => box(row.plannedMs));
</script>

<template>
  <svg width="124" height="20" viewBox="-62 -10 124 20" aria-hidden="true">
    <path class="r-axis" d="M0 -10V10" />
    <rect :class="row.part === 'none' ? 'r-rest' : `r-${row.part}`" v-bind="done" y="-6" height="12" />
    <rect class="r-planned" v-bind="planned" y="-8" height="16" />
  </svg>
</template>
