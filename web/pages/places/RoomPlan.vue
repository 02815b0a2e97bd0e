<script setup lang="ts">
import { computed } from 'vue';
import { matsOnFloor, peopleAtWall, type Place } from '#core/cupboard';

/** A floor from above, with the mats that lie on it, the room for more, and the free wall at its edge. */
const { place } = defineProps<{ place: Place }>();

const EDGE = 22;
const floor = computed(() => place.floor ?? { widthCm: 0, lengthCm: 0 });
const laid = computed(() => matsOnFloor(place));
const here = computed(() => Math.min(laid.value.length, place.mats.count));
/** The wall along the top, as far as it is free. */
const wall = computed(() => Math.min(place.wallCm, floor.value.widthCm));
const summary = computed(() => {
  const { widthCm, lengthCm } = floor.value;
  return `A floor of ${widthCm / 100} by ${lengthCm / 100} metres with ${here.value} mats; there is room for ${laid.value.length}.`;
});
const spots = computed(() => {
  const atOnce = peopleAtWall(place);
  const { widthCm, gapCm } = place.mats;
  const used = atOnce * widthCm + (atOnce - 1) * gapCm;
  const from = (floor.value.widthCm - used) / 2;
  return Array.from({ length: atOnce }, (_, i) => from + i * (widthCm + gapCm) + widthCm / 2).filter(
    (x) => x > 0 && x < floor.value.widthCm,
  );
});
</script>

<template>
  <svg
    :viewBox="`${-EDGE} ${-EDGE} ${floor.widthCm + 2 * EDGE} ${floor.lengthCm + 2 * EDGE}`"
    role="img"
    :aria-label="summary"
  >
    <rect class="floor" :width="floor.widthCm" :height="floor.lengthCm" />
    <rect
      v-for="(mat, i) in laid"
      :key="i"
      :class="i < here ? 'mat' : 'more'"
      :x="mat.x"
      :y="mat.y"
      :width="mat.width"
      :height="mat.length"
      rx="5"
    />
    <path v-if="wall > 0" class="wall" :d="`M${(floor.widthCm - wall) / 2} -8h${wall}`" />
    <circle v-for="x in spots" :key="x" class="spot" :cx="x" cy="-8" r="7" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 300px;
}
.floor {
  fill: var(--sheet);
  stroke: var(--line-strong);
  stroke-width: 3;
}
.mat {
  fill: var(--f-mat);
  stroke: var(--ink-2);
  stroke-width: 2;
}
.more {
  fill: none;
  stroke: var(--line-strong);
  stroke-dasharray: 6 8;
  stroke-width: 2;
}
.wall {
  stroke: var(--ink);
  stroke-width: 14;
}
.spot {
  fill: var(--paper);
}
</style>
