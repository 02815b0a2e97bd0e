<script setup lang="ts">
import { fromLargeUnit, inLargeUnit, largeUnit } from '../lengths';
import NumberField from './NumberField.vue';

/** A length of a room in centimetres, shown and typed in metres or feet. */
const { modelValue, label, accept, step } = defineProps<{
  modelValue: number;
  label: string;
  accept: (cm: number) => string | undefined;
  step: number;
}>();
</script>

<template>
  <NumberField
    :label="label"
    :step="step"
    :unit="largeUnit()"
    :model-value="inLargeUnit(modelValue)"
    :accept="(value) => accept(fromLargeUnit(value))"
  />
</template>
