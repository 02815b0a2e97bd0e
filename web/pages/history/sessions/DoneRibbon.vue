<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import type { Plan } from '#core/plan';
import type { RunRecord } from '#core/review';
import { ledPhases, type Run } from '#core/run';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { clockTime } from '../../../ui/dates';
import { ribbonBlocks, type HoldBlock } from '#core/timeline';
import { axisTicks, laneLabels } from '../../../widgets/ribbon/labels';
import { laneNames } from '../../../widgets/ribbon/layout';
import RibbonBody from '../../../widgets/ribbon/RibbonBody.vue';
import { holdEdges, holdOutline, xOf } from '../../../widgets/ribbon/shapes';
import { useLibrary } from '../../../state/library';

/** One run along the clock: done as fill, planned as an outline from the moment each hold really began. */
const { plan, timeline, run, record } = defineProps<{ plan: Plan; timeline: Timeline; run: Run; record: RunRecord }>();
const library = useLibrary();

const box = useTemplateRef('box');
const { width } = useElementSize(box, { width: 1216, height: 0 });
const LINE = 56;
const AXIS = 108;

const startMs = computed(() => run.startedAtMs ?? 0);
const phases = computed(() => (run.status === 'ended' ? ledPhases(run) : ledPhases({ ...run, status: 'ended' })));
const blocks = computed(() => ribbonBlocks(phases.value, (i) => plan.steps[i]));
const endMs = computed(() => Math.max(timeline.totals.targetMs, record.total.doneMs, 1) + 60_000);
const scale = computed(() => ({ x0: 0, pxPerMs: Math.max(1, width.value) / endMs.value, height: 36, thread: 3 }));
const x = (ms: number): number => xOf(scale.value, ms);
const holds = computed(() => blocks.value.filter((block): block is HoldBlock => block.kind === 'hold'));
const outlines = computed(() =>
  holds.value.flatMap((block) => {
    const side = record.steps[block.stepIndex]?.sides.find(({ turn }) => turn === block.turn);
    if (!side) return [];
    const by = side.plannedMs - (block.endMs - block.startMs);
    return [holdOutline({ ...block, endMs: block.endMs + by, leaveMs: block.leaveMs + by }, scale.value)];
  }),
);
const numbers = computed(() =>
  holds.value.flatMap((block) => {
    const [from, to] = [x(block.startMs), x(block.endMs)];
    const [top, bottom] = holdEdges(block, 36);
    return to - from < 30
      ? []
      : [{ x: (from + to) / 2, y: (top + bottom) / 2 + 4.2, text: clockOfMs(block.endMs - block.startMs) }];
  }),
);
const labels = computed(() => {
  const first = new Map<number, number>();
  for (const phase of phases.value) if (!first.has(phase.stepIndex)) first.set(phase.stepIndex, phase.startMs);
  const entries = [...first].map(([stepIndex, ms]) => ({
    x: x(ms),
    number: stepIndex + 1,
    names: laneNames(plan, stepIndex, library.all),
  }));
  return laneLabels(
    entries.sort((a, b) => a.x - b.x),
    width.value,
  );
});
const ticks = computed(() => {
  // "1:23 over" stands at the end of what was done: no mark under it.
  const doneX = x(record.total.doneMs);
  return axisTicks(scale.value.pxPerMs, endMs.value, startMs.value, 100).filter(
    (ms) => overMs.value < 1000 || doneX - x(ms) > 80 || x(ms) > doneX + 20,
  );
});
const targetX = computed(() => x(timeline.totals.targetMs));
const overMs = computed(() => record.total.doneMs - timeline.totals.targetMs);
</script>

<template>
  <div ref="box" class="box">
    <svg
      :width="width"
      height="134"
      role="img"
      aria-label="The session along the clock: done is filled, planned is outlined"
    >
      <template v-for="(label, i) in labels" :key="i">
        <path class="r-tick" :d="`M${label.x} 2V14`" />
        <text class="r-label" :x="label.x + 4" y="12">{{ label.text }}</text>
      </template>
      <g :transform="`translate(0 ${LINE})`">
        <path class="r-axis" :d="`M0 0H${x(record.total.doneMs)}`" />
        <RibbonBody :blocks="blocks" :scale="scale" />
        <path v-for="(d, i) in outlines" :key="i" class="r-planned" :d="d" />
        <text v-for="(number, i) in numbers" :key="`n${i}`" class="r-number" :x="number.x" :y="number.y">
          {{ number.text }}
        </text>
      </g>
      <path class="r-tick" :d="`M0 ${AXIS}H${width}`" />
      <g v-for="ms in ticks" :key="ms">
        <path class="r-tick" :d="`M${x(ms)} ${AXIS}v4`" />
        <text
          class="r-label"
          :x="x(ms)"
          :y="AXIS + 16"
          :text-anchor="x(ms) < 20 ? 'start' : x(ms) > width - 20 ? 'end' : 'middle'"
        >
          {{ clockTime(startMs + ms) }}
        </text>
      </g>
      <template v-if="overMs >= 1000">
        <rect class="over" :x="targetX" :y="AXIS - 2" :width="x(record.total.doneMs) - targetX" height="4" />
        <text class="over-text" :x="Math.min(width, x(record.total.doneMs))" :y="AXIS + 16" text-anchor="end">
          {{ clockOfMs(overMs) }} over
        </text>
      </template>
      <path class="r-target" :d="`M${targetX} 14V${AXIS}`" />
    </svg>
    <p class="small quiet legend">
      <svg width="24" height="12" aria-hidden="true"><rect class="r-both" x="1" y="2" width="20" height="8" /></svg>
      done
      <svg width="24" height="12" aria-hidden="true">
        <rect class="r-planned" x="1" y="1.5" width="20" height="9" />
      </svg>
      planned, from the moment the hold began
    </p>
  </div>
</template>

<style scoped>
.box {
  overflow: hidden;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--line-strong);
}
.over {
  fill: var(--caution);
}
.over-text {
  fill: var(--caution);
  font: 600 12.5px var(--text);
}
.legend {
  display: flex;
  gap: 8px;
  align-items: center;
}
.legend svg + svg {
  margin-left: 16px;
}
</style>
