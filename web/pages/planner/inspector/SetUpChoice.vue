<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import { setHold, type HoldStep } from '#core/plan';
import { haveSameRows, setUpInWords } from '#core/props';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';

/** Which set-up of the library a hold has, or its own; choosing another puts its rows in. */
const { step, position, changes } = defineProps<{
  step: HoldStep;
  position: Position | undefined;
  /** How many prop changes come before the step. */
  changes: number;
}>();

const edit = useEdit();
const editor = useEditor();
/** Choices beside the set-ups of the library, whose ids are words. */
const [CUSTOM, NONE, BEFORE] = ['', '.none', '.before'];
const current = computed(() => {
  const named = position?.setUps.find(({ items }) => haveSameRows(items, step.setUp));
  return named?.id ?? (step.setUp.length === 0 ? NONE : CUSTOM);
});
/** What lies in the nearest step before this one that has props, or says it has none. */
const before = computed(() => {
  const steps = editor.plan?.steps ?? [];
  const earlier = steps.slice(
    0,
    steps.findIndex(({ id }) => id === step.id),
  );
  const nearest = earlier.findLast((one) => 'setUp' in one && one.setUp !== null);
  return nearest && 'setUp' in nearest ? nearest.setUp : null;
});
const options = computed(() => [
  ...(position?.setUps ?? []).map(({ id, name }) => ({ value: id, label: name })),
  { value: NONE, label: 'No props' },
  ...(before.value ? [{ value: BEFORE, label: 'Same as the step before' }] : []),
  ...(current.value === CUSTOM ? [{ value: CUSTOM, label: 'Custom' }] : []),
]);
const says = computed(() => setUpInWords(step.setUp) || 'no props');
function choose(id: string): void {
  const chosen = position?.setUps.find((one) => one.id === id)?.items;
  const setUp = id === NONE ? [] : id === BEFORE ? before.value : chosen;
  if (setUp) edit(setHold(step.id, { setUp: setUp.map((row) => ({ ...row })) }));
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
