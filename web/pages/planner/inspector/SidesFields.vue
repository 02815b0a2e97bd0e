<script setup lang="ts">
import { computed } from 'vue';
import { setBreathSeconds, setHold, setOnlySide, setSidesKind, type HoldStep } from '#core/plan';
import CheckField from '../../../ui/fields/CheckField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useSettings } from '../../../state/settings';
import { useEdit } from '../use-edit';
import SelectField from '../../../ui/fields/SelectField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import { useLibrary } from '../../../state/library';

/** How a hold lies over the sides of the body, how strong it is, and whether it is measured in breaths. */
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
const usualMeaning = computed(() => library.all.position(step.position)?.leftMeans ?? '');
/** As the library says it again, where the same or nothing was typed. */
const setMeaning = (words: string) =>
  edit(setHold(step.id, { leftMeans: words.trim() === '' || words === usualMeaning.value ? null : words }));
const USUAL = -1;
const INTENSITIES = [
  { value: USUAL, label: 'as usual' },
  ...Array.from({ length: 11 }, (_, intensity) => ({ value: intensity, label: `${intensity} of 10` })),
];
const toggleBreaths = (): void =>
  void edit(setBreathSeconds(step.id, step.breathSeconds === null ? settings.current.school.breathSeconds : null));
const settings = useSettings();
const tooStrong = computed(() => (step.strength ?? 0) > settings.current.school.maxIntensity);
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
    <span v-if="tooStrong" class="caution" role="status"
      >above your highest, {{ settings.current.school.maxIntensity }}</span
    >
    <CheckField
      label="measured in breaths"
      :model-value="step.breathSeconds !== null"
      @update:model-value="toggleBreaths"
    />
    <TimeField
      v-if="step.breathSeconds !== null"
      label="of"
      :model-value="step.breathSeconds"
      :accept="(seconds) => edit(setBreathSeconds(step.id, seconds ?? settings.current.school.breathSeconds))"
    />
    <TextField
      v-if="step.sides.kind !== 'together'"
      class="meaning"
      label="“Left” is"
      placeholder="left knee in front"
      :model-value="step.leftMeans ?? usualMeaning"
      :accept="setMeaning"
    />
  </div>
</template>

<style scoped>
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  padding-bottom: 6px;
}
.sides :deep(input[type='text']) {
  width: 56px;
}
.sides .meaning :deep(input[type='text']) {
  width: 240px;
  max-width: 100%;
}
</style>
