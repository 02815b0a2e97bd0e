<script setup lang="ts">
import { computed } from 'vue';
import type { BodyPlace } from '#core/body';
import { placeInWords, type PropKind } from '#core/props';

/** The places of the body a prop can be let go at, over its figure: the nearest one is named. */
const { kind, places, nearest, across } = defineProps<{
  /** What is carried over the figure. */
  kind: PropKind;
  places: readonly BodyPlace[];
  nearest: BodyPlace | undefined;
  /** Mirrors a place as the figure is mirrored. */
  across: (x: number) => number;
}>();

const words = computed(() => {
  if (!nearest) return '';
  return `${placeInWords({ kind, state: 'open' }, nearest.place)}${nearest.side === 'centre' ? '' : `, ${nearest.side}`}`;
});
</script>

<template>
  <g class="places" aria-hidden="true">
    <circle v-for="at in places" :key="`${at.place} ${at.side}`" :cx="across(at.x)" :cy="at.y" r="13" />
    <template v-if="nearest">
      <circle class="near" :cx="across(nearest.x)" :cy="nearest.y" r="34" />
      <text :x="across(nearest.x)" :y="nearest.y - 52" text-anchor="middle">{{ words }}</text>
    </template>
  </g>
</template>

<style scoped>
circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 4;
}
.near {
  fill: var(--main);
  stroke: var(--paper);
  stroke-width: 8;
}
text {
  fill: var(--ink);
  font: 600 84px var(--text);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 26px;
}
</style>
