<script setup lang="ts">
import { computed } from 'vue';
import type { Step } from '#core/plan';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';

/** A row's part of the upright ribbon: left lengths grow left, right lengths right, both-sides lie across. */
const { step, leftMs, rightMs, bothMs, totalMs, pxPerMs, tall } = defineProps<{
  step: Step;
  leftMs: Ms;
  rightMs: Ms;
  bothMs: Ms;
  totalMs: Ms;
  pxPerMs: number;
  tall: boolean;
}>();

const H = 12;
const left = computed(() => leftMs * pxPerMs);
const right = computed(() => rightMs * pxPerMs);
const both = computed(() => (bothMs * pxPerMs) / 2);
const breath = computed(() => (step.kind === 'breath' ? Math.max(8, (totalMs * pxPerMs) / 2) : 0));
const missing = computed(() => {
  if (step.kind === 'hold' && step.unevenIntended) return '';
  if (step.kind !== 'hold' || (step.sides.kind !== 'each' && step.sides.kind !== 'crossing')) return '';
  const [from, to, sign] = left.value < right.value ? [left.value, right.value, -1] : [right.value, left.value, 1];
  return to - from < 1 ? '' : `M${sign * from} -5H${sign * to}V5H${sign * from}`;
});
const waves = computed(() => {
  const count = Math.max(2, Math.round(breath.value / 4));
  const width = (2 * breath.value) / count;
  return `M${-breath.value} 5` + `l${width / 2} -10l${width / 2} 10`.repeat(count) + 'Z';
});
const wholeNumber = computed(() => both.value * 2 > 34);
</script>

<template>
  <svg
    width="212"
    :height="tall ? 33 : 23"
    :viewBox="`-106 ${tall ? -16.5 : -11.5} 212 ${tall ? 33 : 23}`"
    aria-hidden="true"
  >
    <template v-if="step.kind === 'hold'">
      <rect class="r-left" :x="-left" :y="-H / 2" :width="left" :height="H" rx="3" />
      <rect class="r-right" x="0" :y="-H / 2" :width="right" :height="H" rx="3" />
      <rect class="r-both" :x="-both" :y="-H / 2" :width="2 * both" :height="H" rx="3" />
      <path v-if="missing" class="r-missing" :d="missing" />
      <text v-if="both > 0" class="r-number" :class="{ outside: !wholeNumber }" :x="wholeNumber ? 0 : both + 6" y="4.2">
        {{ clockOfMs(bothMs) }}
      </text>
      <text v-if="left > 0" class="side" :x="-Math.max(left, missing ? right : 0) - 6" y="4.5" text-anchor="end">
        {{ clockOfMs(leftMs) }}
      </text>
      <text v-if="right > 0" class="side" :x="Math.max(right, missing ? left : 0) + 6" y="4.5">
        {{ clockOfMs(rightMs) }}
      </text>
    </template>
    <template v-else-if="step.kind === 'breath'">
      <rect class="r-breath-band" :x="-breath" y="-6" :width="2 * breath" height="12" />
      <path class="r-breath" :d="waves" />
    </template>
    <ellipse v-else-if="step.kind === 'rest'" class="r-rest" cx="0" cy="0" rx="6" ry="4" />
    <path v-else-if="step.kind === 'move'" class="r-loosen" d="M-9 0q2.25 -6 4.5 0t4.5 0t4.5 0t4.5 0" />
    <g v-else class="r-talk">
      <circle cx="-6" r="1.6" />
      <circle r="1.6" />
      <circle cx="6" r="1.6" />
    </g>
  </svg>
</template>

<style scoped>
.side {
  fill: var(--ink);
  font: 600 14px var(--text);
}
.outside {
  fill: var(--ink);
  text-anchor: start;
}
</style>
