<script setup lang="ts">
import { computed } from 'vue';
import type { UnknownName } from '#core/exchange';
import CheckField from '../../../ui/fields/CheckField.vue';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';

/** How a class becomes a plan: its lengths, its sides, and the positions that your library does not have. */
const { newNames } = defineProps<{ newNames: readonly UnknownName[] }>();
const lengths = defineModel<'led' | 'announced'>('lengths', { required: true });
const even = defineModel<boolean>('even', { required: true });
const withNew = defineModel<boolean>('withNew', { required: true });

const LENGTHS = [
  { value: 'led', label: 'as led' },
  { value: 'announced', label: 'as announced' },
] as const;
const newLabel = computed(() => {
  const names = newNames.map(({ name }) => name).join(', ');
  return `with ${names} as ${newNames.length === 1 ? 'a custom position' : 'custom positions'}`;
});
</script>

<template>
  <div>
    <span class="quiet">Lengths in the plan</span>
    <ChoiceField v-model="lengths" label="Lengths in the plan" :options="LENGTHS" />
    <CheckField v-model="even" label="both sides as long as the longer one" />
    <CheckField v-if="newNames.length > 0" v-model="withNew" :label="newLabel" />
  </div>
</template>

<style scoped>
div {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  padding: 14px 0;
}
</style>
