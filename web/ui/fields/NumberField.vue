<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';

/** A number. Shows the reason under the field if it is refused, and keeps what was typed. */
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

const id = useId();
const typed = ref('');
const reason = ref('');
const shownProblem = computed(() => reason.value || problem);
watch(
  () => modelValue,
  (value) => {
    typed.value = String(value);
    reason.value = '';
  },
  { immediate: true },
);
function commit(): void {
  const text = typed.value.trim().replace(',', '.');
  const value = text === '' ? Number.NaN : Number(text);
  if (Number.isNaN(value)) reason.value = 'Type a number.';
  else reason.value = (value === modelValue ? undefined : accept(value)) ?? '';
}
function nudge(by: number): void {
  const value = Number(typed.value.replace(',', '.'));
  if (Number.isNaN(value)) return;
  typed.value = String(Math.round((value + by) * 1000) / 1000);
  commit();
}
</script>

<template>
  <span class="field" :class="{ bad: shownProblem !== '' }">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <span class="line">
      <input
        :id="id"
        v-model="typed"
        inputmode="decimal"
        autocomplete="off"
        :aria-invalid="shownProblem !== ''"
        @change="commit"
        @keydown.enter="commit"
        @keydown.up.prevent="nudge(step)"
        @keydown.down.prevent="nudge(-step)"
      />
      <span v-if="unit" class="quiet">{{ unit }}</span>
    </span>
    <span v-if="shownProblem !== ''" class="field-reason" role="alert">{{ shownProblem }}</span>
  </span>
</template>

<style scoped>
.field {
  display: inline-flex;
  position: relative;
  flex-direction: column;
  gap: 2px;
}
label {
  color: var(--ink-2);
  font-size: 12.5px;
  line-height: 16px;
}
.line {
  display: flex;
  gap: 5px;
  align-items: center;
}
input {
  width: 56px;
  height: 30px;
  padding: 4px 8px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  font-variant-numeric: tabular-nums;
}
.bad input {
  border-color: var(--caution);
}
.field-reason {
  left: 0;
}
@media (pointer: coarse) {
  input {
    height: 44px;
  }
}
</style>
