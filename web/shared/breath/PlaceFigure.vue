<script setup lang="ts">
import { computed } from 'vue';
import { PLACE_WORDS, type BreathPlace } from '#core/breath';
import FigureView from '../../figures/FigureView.vue';
import { usePositionFigure } from '../../figures/use-figure';
import { useLibrary } from '../../stores/library';

/** Where a breath is felt, on a small seated figure: a soft field over that part of the trunk. */
const { place } = defineProps<{ place: BreathPlace }>();

const library = useLibrary();
const seat = computed(() => library.all.position('easy-seat'));
const figure = usePositionFigure(() => ({ position: seat.value, setUp: [] }));

/** Fields over the seated figure from its side: middle and half axes as shares of its box, from its upper left. */
const FIELDS: Record<BreathPlace, { x: number; y: number; rx: number; ry: number }> = {
  belly: { x: 0.5, y: 0.68, rx: 0.1, ry: 0.09 },
  sideRibs: { x: 0.44, y: 0.52, rx: 0.1, ry: 0.08 },
  backRibs: { x: 0.36, y: 0.5, rx: 0.07, ry: 0.1 },
  upperChest: { x: 0.5, y: 0.38, rx: 0.09, ry: 0.06 },
};
const LEAST = 900;
const field = computed(() => {
  const { x, y, rx, ry } = FIELDS[place];
  const [left, top, width, height] = figure.value?.box ?? [0, 0, 1, 1];
  return { cx: left + x * width, cy: top + y * height, rx: rx * width, ry: ry * height };
});
</script>

<template>
  <FigureView :figure="figure" :label="`Felt in the ${PLACE_WORDS[place]}`" :least="LEAST">
    <ellipse v-bind="field" class="felt" />
  </FigureView>
</template>

<style scoped>
.felt {
  fill: var(--now);
  fill-opacity: 0.45;
  stroke: var(--now);
  stroke-width: 12;
}
</style>
