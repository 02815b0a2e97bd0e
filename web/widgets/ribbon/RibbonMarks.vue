<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { PromptCue, Timeline } from '#core/timeline';
import type { Block, HoldBlock } from '#core/timeline';
import { shorterSides } from './labels';
import { dot, holdEdges, missingEnd, xOf, type RibbonScale } from './shapes';

/** What stands on a ribbon: numbers, prompts, bells, locks, and what a shorter side misses. About y = 0. */
const { plan, timeline, blocks, scale, bellsY } = defineProps<{
  plan: Plan;
  timeline: Timeline;
  blocks: readonly Block[];
  scale: RibbonScale;
  bellsY: number;
}>();

const NARROWEST_NUMBER = 30;
const [PROMPT_RADIUS, BELL_RADIUS] = [1.7, 1.8];
const x = (ms: number): number => xOf(scale, ms);
const holds = computed(() => blocks.filter((block): block is HoldBlock => block.kind === 'hold'));

const numbers = computed(() => [
  ...holds.value.flatMap((block) => {
    const [from, to] = block.longest.map(x) as [number, number];
    if (to - from < NARROWEST_NUMBER) return [];
    const [top, bottom] = holdEdges(block, scale.height);
    return [
      { x: (from + to) / 2, y: (top + bottom) / 2 + 4.2, text: clockOfMs(block.endMs - block.startMs), ink: false },
    ];
  }),
  ...blocks.flatMap((block) => {
    if (block.kind !== 'rest' || x(block.endMs) - x(block.startMs) < 34) return [];
    return [
      { x: (x(block.startMs) + x(block.endMs)) / 2, y: 4, text: clockOfMs(block.endMs - block.startMs), ink: true },
    ];
  }),
]);

function promptY({ stepIndex, turn }: PromptCue): number {
  const block = holds.value.find((hold) => hold.stepIndex === stepIndex && hold.turn === turn);
  if (!block) return 0;
  const [top, bottom] = holdEdges(block, scale.height);
  return block.side === 'right' ? bottom - 5 : top + 5;
}
/** Whether the two sides of a step differ on purpose. */
const isIntended = ({ stepIndex }: HoldBlock): boolean => {
  const step = plan.steps[stepIndex];
  return step?.kind === 'hold' && step.unevenIntended;
};
const missing = computed(() =>
  shorterSides(holds.value.filter((block) => !isIntended(block))).map(({ block, missingMs }) => ({
    d: missingEnd(block, missingMs, scale),
    x: Math.max(x(block.endMs + missingMs), x(block.leaveMs)) + 4,
    y: block.side === 'left' ? -scale.height + 10 : scale.height - 4,
    text: `${clockOfMs(missingMs)} shorter`,
  })),
);
const locks = computed(() =>
  timeline.steps
    .filter(({ stepIndex }) => plan.steps[stepIndex]?.locked)
    .map(({ startMs, endMs }) => `M${x(startMs)} ${-scale.height}H${x(endMs)}m0 -3v6`)
    .join(''),
);
const prompts = computed(() =>
  timeline.prompts.map((prompt) => dot(x(prompt.atMs), promptY(prompt), PROMPT_RADIUS)).join(''),
);
const bells = computed(() =>
  timeline.bells
    .filter(({ kind }) => kind !== 'half')
    .map(({ atMs }) => dot(x(atMs), bellsY, BELL_RADIUS))
    .join(''),
);
</script>

<template>
  <text
    v-for="(number, i) in numbers"
    :key="`n${i}`"
    class="r-number"
    :class="{ ink: number.ink }"
    :x="number.x"
    :y="number.y"
    >{{ number.text }}</text
  >
  <path v-if="prompts !== ''" class="r-dot" :d="prompts" />
  <path v-if="bells !== ''" class="r-bell" :d="bells" />
  <path v-if="locks !== ''" class="r-planned" :d="locks" />
  <template v-for="(gap, i) in missing" :key="`m${i}`">
    <path class="r-missing" :d="gap.d" />
    <text class="short" :x="gap.x" :y="gap.y">{{ gap.text }}</text>
  </template>
</template>

<style scoped>
.short {
  fill: var(--caution);
  font: 600 12.5px var(--text);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
</style>
