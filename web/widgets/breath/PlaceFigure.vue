<script setup lang="ts">
import { computed } from 'vue';
import { PLACE_WORDS, type BreathPlace } from '#core/breath';
import FigureView from '../figures/FigureView.vue';
import { usePositionFigure } from '../figures/use-figure';
import { useLibrary } from '../../state/library';

/** Where a breath is felt, on a small seated figure: a soft field over that part of the trunk. */
const { place, least = 900 } = defineProps<{
  /** A place, or several of them one after the other. */
  place: BreathPlace | readonly BreathPlace[];
  /** The figure is never shown larger than so many millimetres across. */
  least?: number;
}>();
const places = computed(() => (typeof place === 'string' ? [place] : place));

const library = useLibrary();
const seat = computed(() => library.all.position('easy-seat'));
const figure = usePositionFigure(() => ({ position: seat.value, setUp: [] }));

interface Field {
  x: number;
  y: number;
  rx: number;
  ry: number;
}
/** Fields over the seated figure: middle and half axes as shares of its box, from its upper left. */
const FIELDS: Record<BreathPlace, readonly Field[]> = {
  belly: [{ x: 0.39, y: 0.61, rx: 0.12, ry: 0.07 }],
  sideRibs: [
    { x: 0.22, y: 0.49, rx: 0.05, ry: 0.09 },
    { x: 0.52, y: 0.48, rx: 0.05, ry: 0.09 },
  ],
  backRibs: [{ x: 0.15, y: 0.45, rx: 0.06, ry: 0.12 }],
  upperChest: [{ x: 0.36, y: 0.35, rx: 0.13, ry: 0.05 }],
};
const says = computed(() =>
  places.value.length === 0
    ? 'Seated'
    : `Felt in the ${places.value.map((one) => PLACE_WORDS[one]).join(', then the ')}`,
);
const fields = computed(() => {
  const [left, top, width, height] = figure.value?.box ?? [0, 0, 1, 1];
  return places.value
    .flatMap((one) => FIELDS[one])
    .map(({ x, y, rx, ry }) => ({
      cx: left + x * width,
      cy: top + y * height,
      rx: rx * width,
      ry: ry * height,
    }));
});
</script>

<template>
  <FigureView :figure="figure" :label="says" :least="least">
    <ellipse v-for="(field, i) in fields" :key="i" v-bind="field" class="felt" />
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
