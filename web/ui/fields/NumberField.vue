<script setup lang="ts">
import InputText from 'primevue/inputtext';
import FieldReason from './FieldReason.vue';
import { useTyped } from './use-typed';

/**
 * A number. Shows the reason under the field if it is refused, and keeps what was typed. A plain text field below, and
 * not the library’s own for numbers: that one drops a comma without a word and makes 45 of “4,5”, and puts a number
 * that is too large back to the largest instead of saying so.
 */
const {
  modelValue,
  label,
  accept,
  hideLabel = false,
  step = 1,
  unit = '',
  problem = '',
} = defineProps<{
  modelValue: number;
  label: string;
  accept: (value: number) => string | undefined;
  hideLabel?: boolean;
  step?: number;
  unit?: string;
  /** What is wrong with the value that stands here, where it was taken all the same. */
  problem?: string;
}>();

const {
  id,
  typed,
  reason,
  problem: shown,
  aria,
  reasonId,
} = useTyped(
  () => String(modelValue),
  () => problem,
);
const numberIn = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.')));
function commit(): void {
  const value = numberIn(typed.value);
  if (Number.isNaN(value)) reason.value = 'Type a number.';
  else reason.value = (value === modelValue ? undefined : accept(value)) ?? '';
}
function nudge(by: number): void {
  const value = numberIn(typed.value);
  if (Number.isNaN(value)) return;
  typed.value = String(Math.round((value + by) * 1000) / 1000);
  commit();
}
</script>

<template>
  <span class="field labelled">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <span class="line">
      <InputText
        :id="id"
        v-model="typed"
        size="small"
        inputmode="decimal"
        autocomplete="off"
        :invalid="shown !== ''"
        v-bind="aria"
        @change="commit"
        @keydown.enter="commit"
        @keydown.up.prevent="nudge(step)"
        @keydown.down.prevent="nudge(-step)"
      />
      <span v-if="unit" class="quiet">{{ unit }}</span>
    </span>
    <FieldReason v-if="shown !== ''" :id="reasonId" floating>{{ shown }}</FieldReason>
  </span>
</template>

<style scoped>
.field {
  position: relative;
}
.line {
  display: flex;
  gap: 5px;
  align-items: center;
}
input {
  width: 56px;
  font-variant-numeric: tabular-nums;
}
.field-reason {
  left: 0;
}
</style>
