<script setup lang="ts">
import { computed } from 'vue';
import { wordsOnSide } from '#core/catalogue';
import { setFirstSide, setHold, setOnlySide, setSidesKind, type HoldStep } from '#core/plan';
import { DEFAULT_RULES } from '#core/timeline';
import { useEdit } from '../use-edit';
import { useLibrary } from '../../../state/library';
import SelectField from '../../../ui/fields/SelectField.vue';

/** How a hold lies over the sides of the body, which goes first, and what "left" means for it. */
const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const library = useLibrary();
const SIDES = [
  { value: 'together', label: 'both together' },
  { value: 'each', label: 'each in turn' },
  { value: 'crossing', label: 'crossed limbs, then swapped' },
  { value: 'one', label: 'one only' },
] as const;
const ONE_SIDE = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;
const FIRST_SIDE = [{ value: 'house', label: `${DEFAULT_RULES.firstSide}, as usual` }, ...ONE_SIDE] as const;
const USUAL = -1;
const INTENSITIES = [
  { value: USUAL, label: 'as usual' },
  ...Array.from({ length: 11 }, (_, intensity) => ({ value: intensity, label: `${intensity} of 10` })),
];
const two = computed(() => (step.sides.kind === 'each' || step.sides.kind === 'crossing' ? step.sides : undefined));
/** What the side, or the first side, means for this position. */
const meaning = computed(() => {
  const leftMeans = library.all.position(step.position)?.leftMeans ?? '';
  if (leftMeans === '' || step.sides.kind === 'together') return '';
  const side = step.sides.kind === 'one' ? step.sides.side : 'left';
  return `“${side === 'left' ? 'Left' : 'Right'}”: ${wordsOnSide(leftMeans, side)}`;
});
const setStrength = (chosen: number) => edit(setHold(step.id, { strength: chosen === USUAL ? null : chosen }));
</script>

<template>
  <div class="sides small">
    <SelectField
      label="Sides"
      :options="SIDES"
      :model-value="step.sides.kind"
      @update:model-value="(sides) => edit(setSidesKind(step.id, sides))"
    />
    <SelectField
      v-if="two"
      label="first"
      :options="FIRST_SIDE"
      :model-value="two.first"
      @update:model-value="(side) => edit(setFirstSide(step.id, side))"
    />
    <SelectField
      v-if="step.sides.kind === 'one'"
      label="side"
      :options="ONE_SIDE"
      :model-value="step.sides.side"
      @update:model-value="(side) => edit(setOnlySide(step.id, side))"
    />
    <SelectField
      label="intensity"
      :options="INTENSITIES"
      :model-value="step.strength ?? USUAL"
      @update:model-value="setStrength"
    />
    <span v-if="meaning" class="quiet">{{ meaning }}.</span>
  </div>
</template>

<style scoped>
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
  padding-bottom: 6px;
}
</style>
