<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';

/** One of a few, with its label beside it. */
const {
  label,
  options,
  hideLabel = false,
} = defineProps<{ label: string; options: readonly { value: T; label: string }[]; hideLabel?: boolean }>();
const chosen = defineModel<T>({ required: true });
const id = useId();
</script>

<template>
  <span class="pick">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <select :id="id" v-model="chosen">
      <option v-for="{ value, label: text } in options" :key="value" :value="value">{{ text }}</option>
    </select>
  </span>
</template>

<style scoped>
.pick {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
label {
  color: var(--ink-2);
  font-size: 13.5px;
}
</style>
