<script setup lang="ts">
import RadioField from '../../../ui/fields/RadioField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';

/** Which of a film and the class in it begins first, and by how much. */
const first = defineModel<'film' | 'class'>('first', { required: true });
const seconds = defineModel<number>('seconds', { required: true });
const FIRST = [
  { value: 'film', label: 'The film begins first' },
  { value: 'class', label: 'The class begins first' },
] as const;
const accept = (typed: number | null): undefined => {
  seconds.value = typed ?? 0;
  return undefined;
};
</script>

<template>
  <div class="options">
    <RadioField v-model="first" label="Which begins first" :options="FIRST" />
    <TimeField label="by" :model-value="seconds" :accept="accept" />
  </div>
</template>

<style scoped>
.options {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
</style>
