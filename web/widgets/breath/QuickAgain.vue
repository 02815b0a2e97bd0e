<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { sameAgain, type BreathPractice, type BreathSet } from '#core/breath';
import { newId } from '../../client/new-id';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import { EYES_OPTIONS } from './options';
import { wholeBreaths } from './quick';

/** The last sets once more, with other eyes and so many breaths each. */
const { practice, last, accept } = defineProps<{
  practice: BreathPractice;
  /** So many sets were added together last. */
  last: number;
  /** Takes new sets after the others; returns the reason if they are refused. */
  accept: (sets: BreathSet[]) => string | undefined;
}>();

const EYES = [{ value: 'as before' as const, label: 'eyes as before' }, ...EYES_OPTIONS];
const chosen = ref<number>();
/** How many of the last sets come again. */
const many = computed(() => Math.min(chosen.value ?? last, practice.sets.length));
const breaths = ref(5);
const eyes = ref<BreathSet['eyes'] | 'as before'>('closed');
const reason = ref('');
function setMany(count: number): string | undefined {
  const most = practice.sets.length;
  if (!Number.isInteger(count) || count < 1 || count > most)
    return most === 1 ? 'There is one set.' : `A whole number from 1 to ${most}.`;
  chosen.value = count;
  return undefined;
}
function make(): void {
  const rule = { eyes: eyes.value === 'as before' ? null : eyes.value, breaths: breaths.value };
  reason.value = accept(sameAgain(practice.sets.slice(-many.value), rule, newId)) ?? '';
  if (reason.value === '') chosen.value = undefined;
}
</script>

<template>
  <div class="quick" role="group" aria-label="The same again">
    <span class="strong">The same again</span>
    <NumberField label="the last sets" :model-value="many" :accept="setMany" />
    <SelectField v-model="eyes" hide-label label="Eyes in the same again" :options="EYES" />
    <NumberField label="breaths each" :model-value="breaths" :accept="wholeBreaths((count) => (breaths = count))" />
    <span class="buttons"><Button size="small" outlined label="Add them again" @click="make" /></span>
    <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
  </div>
</template>
