<script setup lang="ts">
import { computed, useId } from 'vue';
import { ID_MARK } from '#core/body';
import type { DrawnFigure } from '../../workers/drawing-request';

/**
 * A drawn figure. It fills the width or height it is given, but is never shown larger than `least` millimetres across,
 * so that a curled-up body does not look like a giant.
 */
const {
  figure,
  label,
  mirrored = false,
  least = 1300,
} = defineProps<{
  figure: DrawnFigure | undefined;
  /** What is read out; empty if the name stands beside it. */
  label: string;
  /** For the second side. */
  mirrored?: boolean;
  least?: number | undefined;
}>();

const id = useId();
const inside = computed(() => figure?.svg.replaceAll(ID_MARK, id) ?? '');
const box = computed(() => {
  const [x, y, width, height] = figure?.box ?? [0, 0, least, least * 0.6];
  const wide = Math.max(width, least);
  const high = Math.max(height, least * 0.45);
  return { x: x + width / 2 - wide / 2, y: y + height - high, wide, high, floor: [x, width] as const };
});
const across = (x: number): number => (mirrored ? 2 * box.value.x + box.value.wide - x : x);
const flip = computed(() => (mirrored ? `matrix(-1 0 0 1 ${2 * box.value.x + box.value.wide} 0)` : undefined));
</script>

<template>
  <svg
    class="figure-view"
    :viewBox="`${box.x} ${box.y} ${box.wide} ${box.high}`"
    preserveAspectRatio="xMidYMax meet"
    :role="label ? 'img' : 'presentation'"
    :aria-label="label || undefined"
    :aria-hidden="label ? undefined : true"
  >
    <path v-if="figure?.level" :d="`M${box.floor[0]} 0h${box.floor[1]}v7h${-box.floor[1]}z`" fill="var(--f-mat)" />
    <!-- Only what this program itself has drawn. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <g :transform="flip" v-html="inside" />
    <!-- What is laid over the figure, in its millimetres; `across` mirrors a place as the figure is mirrored. -->
    <slot :across="across" />
  </svg>
</template>

<style scoped>
.figure-view {
  width: 100%;
  height: 100%;
  overflow: hidden;
}
</style>
