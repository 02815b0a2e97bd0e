<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import { setHold, type HoldStep } from '#core/plan';
import { setUpInWords } from '#core/props';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEdit } from '../use-edit';

/** Which set-up of the library a hold has, or its own; choosing another puts its rows in. */
const { step, position, changes } = defineProps<{
  step: HoldStep;
  position: Position | undefined;
  /** How many prop changes come before the step. */
  changes: number;
}>();

const edit = useEdit();
const CUSTOM = '';
/** What makes two set-ups the same, whatever their rows are called and why they are there. */
const rowsOf = (setUp: HoldStep['setUp']): string =>
  JSON.stringify(
    setUp.map(({ kind, state, lie, place, side, count, mirror, loopCm }) => [
      kind,
      state,
      lie,
      place,
      side,
      count,
      mirror,
      loopCm ?? null,
    ]),
  );
const current = computed(
  () => position?.setUps.find(({ items }) => rowsOf(items) === rowsOf(step.setUp))?.id ?? CUSTOM,
);
const options = computed(() => [
  ...(position?.setUps ?? []).map(({ id, name }) => ({ value: id, label: name })),
  ...(current.value === CUSTOM ? [{ value: CUSTOM, label: step.setUp.length === 0 ? 'No props' : 'Custom' }] : []),
]);
const says = computed(() => setUpInWords(step.setUp) || 'no props');
function choose(id: string): void {
  const chosen = position?.setUps.find((one) => one.id === id);
  if (chosen) edit(setHold(step.id, { setUp: chosen.items.map((row) => ({ ...row })) }));
}
</script>

<template>
  <div class="set-up small">
    <SelectField
      v-if="options.length > 0"
      class="choice"
      label="Set-up"
      :options="options"
      :model-value="current"
      @update:model-value="choose"
    />
    <span class="quiet says" :title="says">{{ says }}</span>
    <span class="quiet changes">{{ changes }} prop {{ changes === 1 ? 'change' : 'changes' }} before this</span>
  </div>
</template>

<style scoped>
.set-up {
  display: flex;
  gap: 4px 12px;
  align-items: center;
  padding-top: 6px;
}
.choice {
  flex: none;
  max-width: 52%;
}
.choice :deep(label),
.changes {
  flex: none;
  white-space: nowrap;
}
.says {
  overflow: hidden;
  flex: 1;
  min-width: 0;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
