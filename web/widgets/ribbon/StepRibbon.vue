<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import type { Step } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { ribbonBlocks, type HoldBlock } from '#core/timeline';
import RibbonBody from './RibbonBody.vue';
import { shorterSides } from './labels';
import { holdEdges, missingEnd, xOf } from './shapes';

/** A step's own part of the ribbon, as wide as the place it stands in. */
const {
  timeline,
  step,
  index,
  height = 26,
} = defineProps<{
  timeline: Timeline;
  step: Step;
  index: number;
  /** How wide the ribbon is drawn, in pixels; the box is as high as two sides and a little more. */
  height?: number;
}>();

const box = useTemplateRef('box');
const { width } = useElementSize(box, { width: 488, height: 0 });
/** Two sides, and the dots of prompts beyond them. */
const boxHeight = computed(() => 2 * height + 10);
const span = computed(() => timeline.steps[index]);
const startMs = computed(() => span.value?.startMs ?? 0);
const scale = computed(() => ({
  x0: 0,
  pxPerMs: Math.max(1, width.value) / Math.max(1, (span.value?.endMs ?? 0) - startMs.value),
  height,
  thread: 3,
}));
const phases = computed(() =>
  timeline.phases
    .slice(span.value?.firstPhase, span.value?.endPhase)
    .map((phase) => ({ ...phase, startMs: phase.startMs - startMs.value, endMs: phase.endMs - startMs.value })),
);
const blocks = computed(() => ribbonBlocks(phases.value, () => step));
const holds = computed(() => blocks.value.filter((block): block is HoldBlock => block.kind === 'hold'));
const x = (ms: number): number => xOf(scale.value, ms);
const numbers = computed(() =>
  holds.value.flatMap((block) => {
    const [from, to] = block.longest.map(x) as [number, number];
    const [top, bottom] = holdEdges(block, height);
    return to - from < 30
      ? []
      : [{ x: (from + to) / 2, y: (top + bottom) / 2 + 4.2, text: clockOfMs(block.endMs - block.startMs) }];
  }),
);
const dots = computed(() => {
  const of = (atMs: number) => x(atMs - startMs.value);
  return timeline.prompts
    .filter(({ stepIndex }) => stepIndex === index)
    .map(({ atMs, side }) => ({ x: of(atMs), y: side === 'left' ? -21 : side === 'right' ? 21 : -8 }));
});
const missing = computed(() =>
  shorterSides(step.kind === 'hold' && step.unevenIntended ? [] : holds.value).map(({ block, missingMs }) =>
    missingEnd(block, missingMs, scale.value),
  ),
);
</script>

<template>
  <div ref="box" class="box">
    <svg :width="width" :height="boxHeight" :viewBox="`0 ${-boxHeight / 2} ${width} ${boxHeight}`" aria-hidden="true">
      <path class="r-axis" :d="`M0 0H${width}`" />
      <RibbonBody :blocks="blocks" :scale="scale" />
      <text v-for="(number, i) in numbers" :key="i" class="r-number" :x="number.x" :y="number.y">
        {{ number.text }}
      </text>
      <circle v-for="(dot, i) in dots" :key="`d${i}`" class="r-dot" :cx="dot.x" :cy="dot.y" r="1.7" />
      <path v-for="(d, i) in missing" :key="`m${i}`" class="r-missing" :d="d" />
    </svg>
  </div>
</template>

<style scoped>
.box {
  overflow: hidden;
}
</style>
