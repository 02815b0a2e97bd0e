<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import type { Plan } from '#core/plan';
import type { Available } from '#core/props';
import { clockOfMs, spokenMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { clockTime } from '../../ui/dates';
import { ribbonBlocks } from '#core/timeline';
import { axisTicks, laneLabels } from './labels';
import { laneNames, ribbonDomainMs, stepAt } from './layout';
import PropShelf from './PropShelf.vue';
import RibbonBody from './RibbonBody.vue';
import RibbonLocks from './RibbonLocks.vue';
import RibbonMarks from './RibbonMarks.vue';
import RibbonOver from './RibbonOver.vue';
import { softEnd, xOf, type SoftEnd } from './shapes';
import { useLibrary } from '../../state/library';

/** A planned session along time: names, ribbon, bells, axis and, where wanted, the prop shelf. */
const {
  plan,
  timeline,
  selected = -1,
  chosen = [],
  shelf = false,
  stock,
  startMs,
  untilMs,
  soft,
  locks = false,
} = defineProps<{
  plan: Plan;
  timeline: Timeline;
  /** Index of the chosen step; -1 for none. */
  selected?: number;
  /** Indexes of the steps that are chosen with it. */
  chosen?: readonly number[];
  shelf?: boolean;
  /** What the place of the plan has; the shelf shows what is short of it. */
  stock?: Available | undefined;
  /** When it begins by the clock; then the axis shows the time of day. */
  startMs?: number;
  /** Up to when it is drawn at least, so that two ribbons share one scale. */
  untilMs?: number;
  /** When it would really end: drawn as an end that thins out. */
  soft?: SoftEnd | undefined;
  /** With a lock below each step that can be fitted, to be pressed. */
  locks?: boolean;
}>();
const library = useLibrary();
const emit = defineEmits<{ select: [index: number]; lock: [index: number] }>();

const LINE_Y = 61;
const AXIS_Y = 111;
const SHELF_Y = 137;

const box = useTemplateRef('box');
const { width } = useElementSize(box, { width: 1216, height: 0 });
const pointed = ref(-1);

const gutter = computed(() => (shelf ? 148 : 0));
const domainMs = computed(() => Math.max(ribbonDomainMs(timeline), untilMs ?? 0, (soft?.lateMs ?? 0) + 20_000));
const scale = computed(() => ({
  x0: gutter.value,
  pxPerMs: Math.max(1, width.value - gutter.value) / domainMs.value,
  height: shelf ? 36 : 38,
  thread: 3,
}));
const blocks = computed(() => ribbonBlocks(timeline.phases, (i) => plan.steps[i]));
const x = (ms: number): number => xOf(scale.value, ms);
const labels = computed(() =>
  laneLabels(
    timeline.steps.map(({ startMs: at, stepIndex }) => ({
      x: x(at),
      number: stepIndex + 1,
      names: laneNames(plan, stepIndex, library.all),
    })),
    width.value,
  ),
);
const ticks = computed(() =>
  axisTicks(scale.value.pxPerMs, domainMs.value, startMs).map((ms) => ({
    x: x(ms),
    text: startMs === undefined ? (ms === 0 ? '0 min' : String(ms / 60_000)) : clockTime(startMs + ms),
  })),
);
const spare = computed(() => timeline.totals.spareMs);
const over = computed(() => {
  const { targetMs, totalMs, spareMs } = timeline.totals;
  return spareMs < 0
    ? { from: x(targetMs), to: x(totalMs), axisY: AXIS_Y, overMs: -spareMs, right: width.value }
    : undefined;
});
const columns = computed(() =>
  [
    { index: pointed.value, look: 'pointed' },
    ...[...new Set([selected, ...chosen])].map((index) => ({ index, look: 'selected' })),
  ].flatMap(({ index, look }) => {
    const step = timeline.steps[index];
    return step ? [{ index, look, x: x(step.startMs), width: Math.max(2, x(step.endMs) - x(step.startMs)) }] : [];
  }),
);
const measure = computed(() => {
  const step = timeline.steps[pointed.value];
  if (!step || pointed.value === selected) return undefined;
  const text = `${clockOfMs(step.endMs - step.startMs)} total, ${clockOfMs(step.startMs)} to ${clockOfMs(step.endMs)}`;
  const [from, to] = [x(step.startMs), x(step.endMs)];
  return { text, from, to, middle: Math.min(width.value - 90, Math.max(gutter.value + 90, (from + to) / 2)) };
});
const height = computed(() => (shelf ? 205 : locks ? 161 : 128));
const LOCKS_Y = 139;
const summary = computed(() => {
  const { totalMs, targetMs, spareMs } = timeline.totals;
  return `Ribbon of ${timeline.steps.length} steps, ${clockOfMs(totalMs)} of ${clockOfMs(targetMs)}, ${clockOfMs(Math.abs(spareMs))} ${spareMs < 0 ? 'over' : 'to spare'}`;
});

function under(event: PointerEvent | MouseEvent): number {
  const left = (event.currentTarget as Element).getBoundingClientRect().left;
  return stepAt(timeline, scale.value, event.clientX - left) ?? -1;
}
function choose(index: number): void {
  if (timeline.steps[index]) emit('select', index);
}
function onKey(event: KeyboardEvent): void {
  const to = { ArrowLeft: selected - 1, ArrowRight: selected + 1, Home: 0, End: timeline.steps.length - 1 }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  const at = Math.max(0, Math.min(timeline.steps.length - 1, to));
  choose(at);
  message.value = inWords(at);
}
/** What is read out after a key: which step that is, and when it is. */
const message = ref('');
function inWords(index: number): string {
  const [step, span] = [plan.steps[index], timeline.steps[index]];
  if (!step || !span) return '';
  const when = `${spokenMs(span.endMs - span.startMs)}, from ${clockOfMs(span.startMs)} to ${clockOfMs(span.endMs)}`;
  return `Step ${index + 1} of ${timeline.steps.length}, ${step.name}: ${when}`;
}
</script>

<template>
  <div ref="box" class="ribbon">
    <p v-if="shelf" class="sr-only" role="status">{{ message }}</p>
    <svg
      :width="width"
      :height="height"
      role="group"
      :tabindex="shelf ? 0 : undefined"
      :aria-label="summary"
      @pointermove="pointed = under($event)"
      @pointerleave="pointed = -1"
      @click="choose(under($event))"
      @keydown="onKey"
    >
      <rect
        v-for="column in columns"
        :key="`${column.look} ${column.index}`"
        :class="column.look"
        :x="column.x"
        y="0"
        :width="column.width"
        :height="height - 3"
      />
      <RibbonOver v-if="over" back v-bind="over" />
      <path class="r-tick" :d="labels.map((label) => `M${label.x} 9V21`).join('')" />
      <path v-if="labels[selected]" class="r-tick on-tick" :d="`M${labels[selected].x} 9V21`" />
      <template v-for="(label, i) in labels" :key="i">
        <text v-if="label.text" class="r-label" :class="{ on: i === selected }" :x="label.x + 4" y="19">
          {{ label.text }}
        </text>
      </template>
      <template v-if="shelf">
        <text class="r-label" :x="gutter - 12" y="46" text-anchor="end">left</text>
        <text class="r-label" :x="gutter - 12" y="86" text-anchor="end">right</text>
      </template>
      <g :transform="`translate(0 ${LINE_Y})`">
        <path class="r-axis" :d="`M${scale.x0} 0H${x(timeline.totals.totalMs)}`" />
        <path v-if="soft" class="soft" :d="softEnd(soft, scale)" />
        <RibbonBody :blocks="blocks" :scale="scale" />
        <RibbonMarks :plan="plan" :timeline="timeline" :blocks="blocks" :scale="scale" :bells-y="AXIS_Y - LINE_Y" />
        <rect
          v-if="spare >= 1000"
          class="spare"
          :x="x(timeline.totals.totalMs)"
          :y="-scale.height / 2"
          :width="x(timeline.totals.targetMs) - x(timeline.totals.totalMs)"
          :height="scale.height"
        />
      </g>
      <path
        class="r-tick"
        :d="`M${scale.x0} ${AXIS_Y}H${width}${ticks.map((tick) => `M${tick.x} ${AXIS_Y}v4`).join('')}`"
      />
      <text
        v-for="tick in ticks"
        :key="tick.text"
        class="r-label"
        :x="tick.x"
        :y="AXIS_Y + 16"
        :text-anchor="tick.x > width - 20 ? 'end' : tick.x < gutter + 20 && !shelf ? 'start' : 'middle'"
      >
        {{ tick.text }}
      </text>
      <RibbonOver v-if="over" v-bind="over" />
      <path class="r-target" :d="`M${x(timeline.totals.targetMs)} 12V${height - 3}`" />
      <text class="r-label on" :x="x(timeline.totals.targetMs)" y="8" text-anchor="middle">
        {{ clockOfMs(timeline.totals.targetMs).replace(/:00$/, '') }}
      </text>
      <g v-if="locks" :transform="`translate(0 ${LOCKS_Y})`">
        <RibbonLocks :plan="plan" :timeline="timeline" :x-at="x" @lock="emit('lock', $event)" />
      </g>
      <PropShelf
        v-if="shelf"
        :timeline="timeline"
        :scale="scale"
        :group-size="plan.groupSize"
        :stock="stock"
        :y="SHELF_Y"
        :width="width"
        @select="choose"
      />
      <g v-if="measure" class="measure" :transform="`translate(0 ${AXIS_Y + 7})`">
        <rect :x="measure.middle - 88" y="2" width="176" height="18" />
        <path :d="`M${measure.from} 0H${measure.to}M${measure.from} -3v6M${measure.to} -3v6`" />
        <text :x="measure.middle" y="15" text-anchor="middle">{{ measure.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.ribbon {
  min-width: 0;
  overflow: hidden;
}
svg {
  overflow: visible;
}
.selected {
  fill: var(--lit);
}
.pointed {
  fill: var(--lit);
  opacity: 0.5;
}
.on-tick {
  stroke: var(--ink);
  stroke-width: 2;
}
.spare {
  fill: none;
  stroke: var(--line-strong);
  stroke-dasharray: 1.5 2.5;
}
.soft {
  fill: var(--ink-3);
  opacity: 0.45;
}
.measure path {
  stroke: var(--ink);
  fill: none;
}
.measure rect {
  fill: var(--paper);
}
.measure text {
  fill: var(--ink);
  font: 600 12.5px var(--text);
}
</style>
