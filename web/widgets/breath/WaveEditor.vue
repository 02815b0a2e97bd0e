<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { BREATH_LIMITS, QUARTERS, QUARTER_NAMES, type Quarter, type Ratio } from '#core/breath';

/** A breath as a wave whose corners are pulled in whole counts, or moved with the arrow keys. */
const { counts, accept } = defineProps<{
  counts: Ratio;
  /** Takes other counts; returns the reason where they are refused. */
  accept: (counts: Ratio) => string | undefined;
}>();

const HEIGHT = 64;
const TOP = 12;
const EDGE = 12;
/** Room behind the wave, in counts, for it to be pulled longer. */
const SPARE = 3;
/** A corner of no counts stands this far beside the one before it, so that it can be taken hold of. */
const APART = 15;

const box = useTemplateRef('box');
const { width } = useElementSize(box, { width: 488, height: 0 });
const reason = ref('');
/** Pixels a count, kept while a corner is pulled so that the wave does not run away under the hand. */
const pulling = ref<{ quarter: Quarter; fromX: number; fromCounts: number; pxPerCount: number }>();

const total = computed(() => QUARTERS.reduce((sum, quarter) => sum + counts[quarter], 0));
const pxPerCount = computed(
  () => pulling.value?.pxPerCount ?? Math.min(48, (width.value - 2 * EDGE) / (total.value + SPARE)),
);
const corners = computed(() => {
  let at = 0;
  return QUARTERS.map((quarter) => {
    at += counts[quarter];
    const high = quarter === 'in' || quarter === 'holdFull';
    const none = counts[quarter] === 0;
    const x = EDGE + at * pxPerCount.value + (none ? APART : 0);
    return { quarter, x, y: high ? TOP : TOP + HEIGHT, none };
  });
});
const path = computed(() => {
  const [, full, out, empty] = corners.value;
  const x = (n: number): number => EDGE + n * pxPerCount.value;
  const [a, b] = [x(counts.in), x(counts.in + counts.holdFull)];
  const [c, d] = [x(counts.in + counts.holdFull + counts.out), x(total.value)];
  const slope = (from: number, to: number, y0: number, y1: number): string =>
    `C${(from + to) / 2} ${y0} ${(from + to) / 2} ${y1} ${to} ${y1}`;
  const [top, low] = [full?.y ?? TOP, (out ?? empty)?.y ?? TOP + HEIGHT];
  return `M${EDGE} ${low}${slope(EDGE, a, low, top)}H${b}${slope(b, c, top, low)}H${d}`;
});
const ticks = computed(() => Array.from({ length: total.value + SPARE + 1 }, (_, i) => EDGE + i * pxPerCount.value));

const least = (quarter: Quarter): number => (quarter === 'in' || quarter === 'out' ? 1 : 0);
function set(quarter: Quarter, value: number): void {
  const bounded = Math.max(least(quarter), value);
  if (bounded !== counts[quarter]) reason.value = accept({ ...counts, [quarter]: bounded }) ?? '';
}
function take(event: PointerEvent, quarter: Quarter): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  pulling.value = { quarter, fromX: event.clientX, fromCounts: counts[quarter], pxPerCount: pxPerCount.value };
}
function pull(event: PointerEvent): void {
  const held = pulling.value;
  if (held) set(held.quarter, held.fromCounts + Math.round((event.clientX - held.fromX) / held.pxPerCount));
}
const letGo = (): void => {
  pulling.value = undefined;
};
const KEYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 4,
  PageDown: -4,
};
function key(event: KeyboardEvent, quarter: Quarter): void {
  const by = KEYS[event.key];
  if (by === undefined) return;
  event.preventDefault();
  set(quarter, counts[quarter] + by);
}
</script>

<template>
  <div ref="box" class="wave">
    <svg :width="width" :height="HEIGHT + TOP + 16" role="group" aria-label="The breath as a wave; pull its corners">
      <path v-for="x in ticks" :key="x" class="tick" :d="`M${x} ${TOP + HEIGHT}v5`" />
      <path class="ground" :d="`M0 ${TOP + HEIGHT}H${width}`" />
      <path class="fill" :d="`${path}`" />
      <path class="line" :d="path" />
      <g
        v-for="{ quarter, x, y, none } in corners"
        :key="quarter"
        role="slider"
        tabindex="0"
        class="corner"
        :class="{ none, held: pulling?.quarter === quarter }"
        :aria-label="`End of ${QUARTER_NAMES[quarter]}`"
        :aria-valuenow="counts[quarter]"
        :aria-valuemin="least(quarter)"
        :aria-valuemax="BREATH_LIMITS.maxCounts"
        :aria-valuetext="`${counts[quarter]} counts`"
        @pointerdown="take($event, quarter)"
        @pointermove="pull"
        @pointerup="letGo"
        @pointercancel="letGo"
        @keydown="key($event, quarter)"
      >
        <circle class="reach" :cx="x" :cy="y" r="14" />
        <circle class="knob" :cx="x" :cy="y" r="6" />
        <path v-if="none" class="plus" :d="`M${x - 3} ${y}h6M${x} ${y - 3}v6`" />
      </g>
    </svg>
    <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
  </div>
</template>

<style scoped>
.wave {
  width: 100%;
  touch-action: none;
}
svg {
  overflow: visible;
}
.tick,
.ground {
  stroke: var(--line-strong);
}
.fill {
  fill: var(--breath-soft);
}
.line {
  fill: none;
  stroke: var(--breath);
  stroke-width: 3;
}
.corner {
  cursor: ew-resize;
}
.reach {
  fill: transparent;
}
.knob {
  fill: var(--sheet);
  stroke: var(--breath);
  stroke-width: 2.5;
}
.none .knob {
  stroke: var(--ink-3);
  stroke-width: 1.5;
}
.held .knob,
.corner:hover .knob {
  fill: var(--breath);
}
.corner.none:hover .plus {
  stroke: var(--paper);
}
.plus {
  stroke: var(--ink-2);
  stroke-width: 1.3;
}
.corner:focus-visible {
  outline: none;
}
.corner:focus-visible .reach {
  stroke: var(--focus);
  stroke-width: 2;
}
</style>
