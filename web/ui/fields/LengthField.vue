<script setup lang="ts">
import { fromUnit, inUnit, lengthUnit, withLengths } from '../lengths';
import NumberField from './NumberField.vue';

/** A length in centimetres, shown and typed in the unit people chose. Its reasons stand in that unit too. */
const {
  modelValue,
  label,
  accept,
  hideLabel = false,
  after = '',
  step = 1,
  problem = '',
} = defineProps<{
  modelValue: number;
  label: string;
  accept: (cm: number) => string | undefined;
  hideLabel?: boolean;
  /** What stands after the unit: `cm round`. */
  after?: string;
  step?: number;
  problem?: string;
}>();

function take(value: number): string | undefined {
  const refused = accept(fromUnit(value));
  return refused === undefined ? undefined : withLengths(refused);
}
</script>

<template>
  <NumberField
    :label="label"
    :hide-label="hideLabel"
    :step="step"
    :unit="after === '' ? lengthUnit() : `${lengthUnit()} ${after}`"
    :model-value="inUnit(modelValue)"
    :problem="withLengths(problem)"
    :accept="take"
  />
</template>
