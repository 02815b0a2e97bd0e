<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { clockTime } from '../../../ui/dates';
import { ribbonBlocks } from '#core/timeline';
import { axisTicks } from '../../../widgets/ribbon/labels';
import RibbonBody from '../../../widgets/ribbon/RibbonBody.vue';
import { xOf } from '../../../widgets/ribbon/shapes';
import type { Session } from '../use-session';

/**
 * The whole session along the clock, as it really lies in time: what was led is pale, and now is a line with a flag.
 */
const { session } = defineProps<{ session: Session }>();

const box = useTemplateRef('box');
const { width } = useElementSize(box, { width: 1216, height: 0 });
const LINE = 48;

const blocks = computed(() => ribbonBlocks(session.phases.value, (i) => session.plan.steps[i]));
const startMs = computed(() => session.run.value.startedAtMs ?? session.now.value);
const nowMs = computed(() =>
  session.run.value.startedAtMs === null ? 0 : (session.run.value.endedAtMs ?? session.now.value) - startMs.value,
);
const endMs = computed(() =>
  Math.max(session.phases.value.at(-1)?.endMs ?? 0, session.timeline.totals.totalMs, nowMs.value),
);
const scale = computed(() => ({
  x0: 0,
  pxPerMs: Math.max(1, width.value - 8) / (endMs.value + 20_000),
  height: 30,
  thread: 3,
}));
const x = (ms: number): number => xOf(scale.value, ms);
const ticks = computed(() =>
  axisTicks(scale.value.pxPerMs, endMs.value, startMs.value, 120).filter((ms) => Math.abs(x(ms) - plannedX.value) > 60),
);
const lateX = computed(() => x(endMs.value));
const plannedX = computed(() => x(session.timeline.totals.totalMs));
</script>

<template>
  <div ref="box" class="box">
    <svg :width="width" height="110" role="img" aria-label="The session along the clock">
      <g :transform="`translate(0 ${LINE})`">
        <path class="r-axis" :d="`M0 0H${x(endMs)}`" />
        <RibbonBody :blocks="blocks" :scale="scale" />
        <rect v-if="nowMs > 0" class="past" x="0" y="-32" :width="Math.min(width, x(nowMs))" height="64" />
        <path class="r-tick" :d="`M0 42H${width}`" />
        <g v-for="ms in ticks" :key="ms" :transform="`translate(${x(ms)} 42)`">
          <path class="r-tick" d="M0 0v4" />
          <text class="r-label" y="18" :text-anchor="x(ms) < 20 ? 'start' : 'middle'">
            {{ clockTime(startMs + ms) }}
          </text>
        </g>
        <rect v-if="lateX - plannedX > 4" class="over" :x="plannedX" y="40" :width="lateX - plannedX" height="4" />
        <path class="r-target" :d="`M${plannedX} -34V44`" />
        <text class="r-label on" :x="Math.min(width, plannedX + 16)" y="60" text-anchor="end">
          {{ clockTime(startMs + session.timeline.totals.totalMs) }}
        </text>
        <template v-if="session.run.value.startedAtMs !== null">
          <path class="r-now" :d="`M${Math.min(width - 1, x(nowMs))} -38V44`" />
          <path class="r-now-flag" :d="`M${Math.min(width - 1, x(nowMs)) - 6} -40h12l-6 8Z`" />
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.box {
  overflow: hidden;
  margin: 4px 32px 0;
}
.past {
  fill: var(--paper);
  opacity: 0.66;
}
.over {
  fill: var(--caution);
}
@media (width < 640px) {
  .box {
    margin: 4px 12px 0;
  }
}
</style>
