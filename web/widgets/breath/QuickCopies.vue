<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import {
  changedCopies,
  QUARTER_NAMES,
  QUARTERS,
  type BreathPractice,
  type BreathSet,
  type CopyRule,
} from '#core/breath';
import { newId } from '../../client/new-id';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import { wholeBreaths } from './quick';

/** Copies of the last set, each a little more or less than the one before. */
const { practice, accept } = defineProps<{
  practice: BreathPractice;
  /** Takes new sets after the others; returns the reason if they are refused. */
  accept: (sets: BreathSet[]) => string | undefined;
}>();

const set = computed(() => practice.sets.at(-1));
const isCounted = computed(() => set.value?.parts.some(({ kind }) => kind === 'cycle') ?? false);
const options = computed((): { value: CopyRule['of']; label: string }[] => [
  ...(isCounted.value ? QUARTERS.map((value) => ({ value, label: QUARTER_NAMES[value] })) : []),
  { value: 'breaths', label: isCounted.value ? 'the rounds' : 'the breaths' },
]);
const chosen = ref<CopyRule['of']>('out');
const of = computed({
  get: () => (options.value.some(({ value }) => value === chosen.value) ? chosen.value : 'breaths'),
  set: (value) => (chosen.value = value),
});
const by = ref(1);
const times = ref(3);
const reason = ref('');
function setBy(change: number): string | undefined {
  if (!Number.isInteger(change) || change === 0) return 'A whole number; below zero it gets less.';
  by.value = change;
  return undefined;
}
function make(): void {
  if (!set.value) return;
  reason.value = accept(changedCopies(set.value, { of: of.value, by: by.value }, times.value, newId)) ?? '';
}
</script>

<template>
  <div class="quick" role="group" aria-label="Copies that change">
    <span class="strong">Copies that change</span>
    <NumberField
      label="copies of the last set"
      :model-value="times"
      :accept="wholeBreaths((count) => (times = count))"
    />
    <SelectField v-model="of" label="each with" :options="options" />
    <NumberField label="changed by" :model-value="by" :accept="setBy" />
    <span class="buttons"><Button size="small" outlined label="Add the copies" @click="make" /></span>
    <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
  </div>
</template>
