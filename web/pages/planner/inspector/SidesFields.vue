<script setup lang="ts">
import { computed, useId } from 'vue';
import { wordsOnSide, type SidesKind } from '#core/catalogue';
import { setFirstSide, setHold, setOnlySide, setSidesKind, type FirstSide, type HoldStep } from '#core/plan';
import { DEFAULT_RULES } from '#core/timeline';
import { useEdit } from '../use-edit';
import { useLibrary } from '../../../state/library';

/** How a hold lies over the sides of the body, which goes first, and what "left" means for it. */
const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const library = useLibrary();
const sidesId = useId();
const firstId = useId();
const strengthId = useId();
const STRENGTHS = Array.from({ length: 11 }, (_, strength) => strength);
const two = computed(() => (step.sides.kind === 'each' || step.sides.kind === 'crossing' ? step.sides : undefined));
/** What the side, or the first side, means for this position. */
const meaning = computed(() => {
  const leftMeans = library.all.position(step.position)?.leftMeans ?? '';
  if (leftMeans === '' || step.sides.kind === 'together') return '';
  const side = step.sides.kind === 'one' ? step.sides.side : 'left';
  return `“${side === 'left' ? 'Left' : 'Right'}”: ${wordsOnSide(leftMeans, side)}`;
});
function setStrength(event: Event): void {
  const chosen = value(event);
  edit(setHold(step.id, { strength: chosen === '' ? null : Number(chosen) }));
}
const value = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <div class="sides small">
    <label :for="sidesId">Sides</label>
    <select :id="sidesId" :value="step.sides.kind" @change="edit(setSidesKind(step.id, value($event) as SidesKind))">
      <option value="together">both together</option>
      <option value="each">each in turn</option>
      <option value="crossing">crossing</option>
      <option value="one">one only</option>
    </select>
    <template v-if="two">
      <label :for="firstId">first</label>
      <select :id="firstId" :value="two.first" @change="edit(setFirstSide(step.id, value($event) as FirstSide))">
        <option value="house">{{ DEFAULT_RULES.firstSide }}, as usual</option>
        <option value="left">left</option>
        <option value="right">right</option>
      </select>
    </template>
    <template v-if="step.sides.kind === 'one'">
      <label :for="firstId">side</label>
      <select
        :id="firstId"
        :value="step.sides.side"
        @change="edit(setOnlySide(step.id, value($event) as 'left' | 'right'))"
      >
        <option value="left">left</option>
        <option value="right">right</option>
      </select>
    </template>
    <label :for="strengthId">strength</label>
    <select :id="strengthId" :value="step.strength ?? ''" @change="setStrength">
      <option value="">as usual</option>
      <option v-for="strength in STRENGTHS" :key="strength" :value="strength">{{ strength }} of 10</option>
    </select>
    <span v-if="meaning" class="quiet">{{ meaning }}.</span>
  </div>
</template>

<style scoped>
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
  padding-bottom: 6px;
}
label {
  color: var(--ink-2);
  font-size: 13.5px;
}
</style>
