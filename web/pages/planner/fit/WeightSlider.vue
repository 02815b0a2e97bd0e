<script setup lang="ts">
import { FIT_WEIGHTS, type FitWeight } from '#core/plan';

/** The priority of a step's length: three stops, from "shorten first" to "keep". */
const { name, disabled = false } = defineProps<{ name: string; disabled?: boolean }>();
const weight = defineModel<FitWeight>({ required: true });

// The more to the right, the more it keeps.
const STOPS = [...FIT_WEIGHTS].reverse();
const WORDS: Record<FitWeight, string> = { givesWay: 'gives way first', normal: 'as usual', keep: 'keeps its length' };
function set(event: Event): void {
  const stop = STOPS[Number((event.target as HTMLInputElement).value)];
  if (stop) weight.value = stop;
}
</script>

<template>
  <span class="weight" :class="{ disabled }">
    <input
      type="range"
      min="0"
      max="2"
      step="1"
      :value="STOPS.indexOf(weight)"
      :disabled="disabled"
      :aria-label="`Weight of ${name}`"
      :aria-valuetext="WORDS[weight]"
      @input="set"
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
input {
  width: 84px;
  height: 24px;
  margin: 0;
  accent-color: var(--ink-2);
}
.disabled {
  visibility: hidden;
}
@media (pointer: coarse) {
  input {
    height: 44px;
  }
}
</style>
