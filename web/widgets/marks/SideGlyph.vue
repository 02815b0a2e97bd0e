<script setup lang="ts">
import type { Step } from '#core/plan';

/** A step's sides as a small piece of ribbon over the line. */
const { step } = defineProps<{ step: Step }>();

const LEFT = { look: 'r-left', d: 'M2 9C4.5 9 4.5 2 7 2H13C15.5 2 15.5 9 18 9Z' };
const RIGHT = { look: 'r-right', d: 'M2 9C4.5 9 4.5 16 7 16H13C15.5 16 15.5 9 18 9Z' };
const BOTH = {
  look: 'r-both',
  d: 'M2 9C4.5 9 4.5 5.5 7 5.5H13C15.5 5.5 15.5 9 18 9C15.5 9 15.5 12.5 13 12.5H7C4.5 12.5 4.5 9 2 9Z',
};
const EACH = [
  { look: 'r-left', d: 'M1 9C2.5 9 2.5 3 4 3H7.5C9 3 9 9 10 9Z' },
  { look: 'r-right', d: 'M10 9C11 9 11 15 12.5 15H16C17.5 15 17.5 9 19 9Z' },
];
const WAVE = { look: 'r-breath', d: 'M2 13L5.5 5L9 13L12.5 5L16 13Z' };

function shapes(): { look: string; d: string }[] {
  if (step.kind === 'breath') return [WAVE];
  if (step.kind !== 'hold') return [];
  if (step.sides.kind === 'together') return [BOTH];
  if (step.sides.kind === 'one') return [step.sides.side === 'left' ? LEFT : RIGHT];
  return EACH;
}
</script>

<template>
  <svg width="20" height="18" viewBox="0 0 20 18" aria-hidden="true">
    <path class="r-axis" d="M0 9H20" />
    <path v-for="{ look, d } in shapes()" :key="look" :class="look" :d="d" />
  </svg>
</template>
