<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import type { ClassSegment } from '#core/exchange';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { KIND_WORDS } from './words';

/**
 * A class in time, as it was understood: what is doubtful is hatched. A segment is chosen by a click; the beginning and
 * the end of the one that is chosen are dragged, or moved with the arrow keys.
 */
const { segments, selected } = defineProps<{
  segments: readonly ClassSegment[];
  selected: ClassSegment | undefined;
}>();
const emit = defineEmits<{
  select: [segment: ClassSegment];
  move: [segment: ClassSegment, startMs: Ms, endMs: Ms];
}>();

const totalMs = computed(() => Math.max(1, segments.at(-1)?.endMs ?? 1));
const percent = (ms: Ms): string => `${(ms / totalMs.value) * 100}%`;
const toneOf = ({ kind, side }: ClassSegment): string => (kind === 'hold' ? side : kind);
const isHeld = ({ kind }: ClassSegment): boolean => kind === 'hold' || kind === 'breath';

const TICK_MS = 300_000;
/** The last one needs room for its words. */
const TICK_ROOM = 0.88;
const ticks = computed(() =>
  Array.from({ length: Math.floor((totalMs.value * TICK_ROOM) / TICK_MS) + 1 }, (_, i) => i * TICK_MS),
);

const track = useTemplateRef<HTMLElement>('track');
/** Where a boundary is while it is dragged; it is only taken when it is let go. */
const dragged = ref<{ edge: 'start' | 'end'; ms: Ms }>();
const SECOND = 1000;
const SHORTEST_MS = 5 * SECOND;
const EDGES = ['start', 'end'] as const;
const msOf = (segment: ClassSegment, edge: 'start' | 'end'): Ms => {
  if (dragged.value?.edge === edge) return dragged.value.ms;
  return edge === 'start' ? segment.startMs : segment.endMs;
};
/** A boundary stays within the class, and a hold some seconds long. */
function within(segment: ClassSegment, edge: 'start' | 'end', ms: Ms): Ms {
  const [least, most] =
    edge === 'start' ? [0, segment.endMs - SHORTEST_MS] : [segment.startMs + SHORTEST_MS, totalMs.value];
  return Math.round(Math.min(most, Math.max(least, ms)) / SECOND) * SECOND;
}
function drag(event: PointerEvent, edge: 'start' | 'end'): void {
  if (!selected || !track.value) return;
  if (event.type === 'pointerdown') (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  else if (!dragged.value) return;
  const { left, width } = track.value.getBoundingClientRect();
  dragged.value = { edge, ms: within(selected, edge, ((event.clientX - left) / width) * totalMs.value) };
}
function drop(): void {
  const at = dragged.value;
  dragged.value = undefined;
  if (at && selected) put(at.edge, at.ms);
}
function put(edge: 'start' | 'end', ms: Ms): void {
  if (!selected || ms === msOf(selected, edge)) return;
  const [startMs, endMs] = edge === 'start' ? [ms, selected.endMs] : [selected.startMs, ms];
  emit('move', selected, startMs, endMs);
}
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 };
function onKey(event: KeyboardEvent, edge: 'start' | 'end'): void {
  const step = STEPS[event.key];
  if (step === undefined || !selected) return;
  event.preventDefault();
  const seconds = event.shiftKey ? 10 : 1;
  put(edge, within(selected, edge, msOf(selected, edge) + step * seconds * SECOND));
}
</script>

<template>
  <div class="ribbon">
    <div ref="track" class="track">
      <span
        v-for="segment in segments"
        :key="segment.startMs"
        class="segment"
        :class="[
          toneOf(segment),
          { held: isHeld(segment), doubtful: segment.doubts.length > 0, chosen: segment === selected },
        ]"
        :style="{ left: percent(segment.startMs), width: percent(segment.endMs - segment.startMs) }"
        :title="`${KIND_WORDS[segment.kind]}, ${clockOfMs(segment.startMs)} to ${clockOfMs(segment.endMs)}`"
        @click="emit('select', segment)"
      />
      <template v-if="selected && isHeld(selected)">
        <span
          v-for="edge in EDGES"
          :key="edge"
          class="handle"
          role="slider"
          tabindex="0"
          :aria-label="edge === 'start' ? 'Start' : 'End'"
          :aria-valuemin="0"
          :aria-valuemax="totalMs / 1000"
          :aria-valuenow="msOf(selected, edge) / 1000"
          :aria-valuetext="clockOfMs(msOf(selected, edge))"
          :style="{ left: percent(msOf(selected, edge)) }"
          @pointerdown="drag($event, edge)"
          @pointermove="drag($event, edge)"
          @pointerup="drop"
          @pointercancel="dragged = undefined"
          @keydown="onKey($event, edge)"
        />
      </template>
    </div>
    <div class="ticks small quiet" aria-hidden="true">
      <span v-for="ms in ticks" :key="ms" :style="{ left: percent(ms) }">{{ clockOfMs(ms) }}</span>
    </div>
  </div>
</template>

<style scoped>
.ribbon {
  padding: 6px 6px 0;
}
.track {
  position: relative;
  height: 44px;
  border-bottom: 1px solid var(--line-strong);
}
.segment {
  position: absolute;
  bottom: 0;
  height: 10px;
  cursor: pointer;
  background: var(--thread);
  opacity: 0.55;
}
.segment.talk,
.segment.shown {
  height: 4px;
}
.segment.rest {
  height: 18px;
  background: var(--rest);
  opacity: 1;
}
.segment.held {
  height: 36px;
  border-radius: 2px 2px 0 0;
  opacity: 1;
}
.segment.left {
  background-color: var(--left);
}
.segment.right {
  background-color: var(--right);
}
.segment.both {
  background-color: var(--both);
}
.segment.breath {
  background-color: var(--breath);
}
.segment.doubtful {
  background-image: repeating-linear-gradient(-45deg, transparent 0 5px, var(--paper) 5px 7px);
}
.segment.chosen {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
.handle {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 24px;
  margin-left: -12px;
  cursor: ew-resize;
  touch-action: none;
}
.handle::before {
  position: absolute;
  top: 2px;
  bottom: 0;
  left: 10px;
  width: 4px;
  border-radius: 2px;
  background: var(--ink);
  content: '';
}
.ticks {
  position: relative;
  height: 20px;
  overflow: hidden;
}
.ticks span {
  position: absolute;
  padding-left: 2px;
  border-left: 1px solid var(--line-strong);
  white-space: nowrap;
}
@media (width < 700px) {
  .ticks span:nth-child(even) {
    display: none;
  }
}
</style>
