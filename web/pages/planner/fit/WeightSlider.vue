<script setup lang="ts">
import Slider from 'primevue/slider';
import { FIT_WEIGHTS, type FitWeight } from '#core/plan';

/** The priority of a step's length: three stops, from "shorten first" to "keep". */
const { name, disabled = false } = defineProps<{ name: string; disabled?: boolean }>();
const weight = defineModel<FitWeight>({ required: true });

// The more to the right, the more it keeps.
const STOPS = [...FIT_WEIGHTS].reverse();
const WORDS: Record<FitWeight, string> = { givesWay: 'shorten first', normal: 'as usual', keep: 'keeps its length' };
function set(at: number | number[]): void {
  const stop = STOPS[Number(at)];
  if (stop) weight.value = stop;
}
</script>

<template>
  <span class="weight" :class="{ disabled }">
    <Slider
      :min="0"
      :max="2"
      :step="1"
      :model-value="STOPS.indexOf(weight)"
      :disabled="disabled"
      :aria-label="`Priority of ${name}`"
      :pt="{ handle: { 'aria-valuetext': WORDS[weight] } }"
      @update:model-value="set"
    />
    <span class="small quiet">{{ WORDS[weight] }}</span>
  </span>
</template>

<style scoped>
.weight {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.p-slider {
  width: 84px;
  margin: 10px;
}
.disabled {
  visibility: hidden;
}
</style>
