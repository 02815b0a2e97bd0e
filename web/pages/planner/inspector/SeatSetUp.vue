<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import { setBreath, type BreathStep } from '#core/plan';
import { haveSameRows } from '#core/props';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEdit } from '../use-edit';

/** Which set-up of its seat a breath has, or its own; choosing another puts its rows in. */
const { step, seat } = defineProps<{ step: BreathStep; seat: Position }>();

const edit = useEdit();
/** Choices beside the set-ups of the seat, whose ids are words. */
const [NO_PROPS, CUSTOM] = ['.none', '.custom'];
const current = computed(() => {
  const named = seat.setUps.find(({ items }) => haveSameRows(items, step.setUp));
  return named?.id ?? (step.setUp.length === 0 ? NO_PROPS : CUSTOM);
});
const options = computed(() => [
  ...seat.setUps.map(({ id, name }) => ({ value: id, label: name })),
  { value: NO_PROPS, label: 'No props' },
  ...(current.value === CUSTOM ? [{ value: CUSTOM, label: 'Custom' }] : []),
]);
function choose(id: string): void {
  const items = id === NO_PROPS ? [] : seat.setUps.find((one) => one.id === id)?.items;
  if (items) edit(setBreath(step.id, { setUp: items.map((row) => ({ ...row })) }));
}
</script>

<template>
  <SelectField
    class="small"
    hide-label
    label="Set-up"
    :options="options"
    :model-value="current"
    @update:model-value="choose"
  />
</template>
