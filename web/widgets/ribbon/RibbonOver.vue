<script setup lang="ts">
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';

/** What is over the hour: a field behind the ribbon (`back`), and a bar on the axis with how much it is. */
const {
  from,
  to,
  axisY,
  overMs,
  right,
  back = false,
} = defineProps<{
  from: number;
  to: number;
  axisY: number;
  overMs: Ms;
  /** Where the ribbon's room ends; the words stay within it. */
  right: number;
  back?: boolean;
}>();
</script>

<template>
  <rect v-if="back" class="field" :x="from" y="0" :width="to - from" :height="axisY + 8" />
  <g v-else>
    <rect class="bar" :x="from" :y="axisY - 2" :width="to - from" height="4" />
    <text :x="Math.min(right, to)" :y="axisY - 4" text-anchor="end">{{ clockOfMs(overMs) }} over</text>
  </g>
</template>

<style scoped>
.field {
  fill: var(--caution-soft);
}
.bar {
  fill: var(--caution);
}
text {
  fill: var(--caution);
  font: 600 12.5px var(--text);
  paint-order: stroke;
  stroke: var(--caution-soft);
  stroke-width: 3px;
}
</style>
