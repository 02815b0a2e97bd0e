<script setup lang="ts">
import { computed } from 'vue';
import { setHold, type HoldStep, type Rebound } from '#core/plan';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEdit } from '../use-edit';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import { useLibrary } from '../../../state/library';

/** What follows the hold: a still rest after each side or after both, and a release. */
const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const library = useLibrary();
const oneTurn = computed(() => step.sides.kind === 'together' || step.sides.kind === 'one');
const options = computed(() => [
  { value: 'none' as const, label: 'no rest' },
  ...(oneTurn.value ? [] : [{ value: 'afterEach' as const, label: 'each side' }]),
  { value: 'afterBoth' as const, label: oneTurn.value ? 'rest' : 'both' },
]);
const usual = computed(() => library.all.position(step.position)?.rebound.seconds || 30);
const chosen = computed(() => (oneTurn.value && step.rebound.kind === 'afterEach' ? 'afterBoth' : step.rebound.kind));
function setKind(kind: Rebound['kind']): void {
  const seconds = step.rebound.kind === 'none' ? usual.value : step.rebound.seconds;
  edit(setHold(step.id, { rebound: kind === 'none' ? { kind } : { kind, seconds } }));
}
const setSeconds = (seconds: number | null) =>
  step.rebound.kind === 'none'
    ? undefined
    : edit(setHold(step.id, { rebound: { kind: step.rebound.kind, seconds: seconds ?? 0 } }));
const setLoosen = (seconds: number | null) => {
  const text = step.loosen?.text ?? library.all.position(step.position)?.loosen ?? '';
  return edit(setHold(step.id, { loosen: seconds === null || seconds === 0 ? null : { seconds, text } }));
};
</script>

<template>
  <FieldGroup title="After">
    <template #head>
      <ChoiceField label="Rest after" :options="options" :model-value="chosen" @update:model-value="setKind" />
      <TimeField
        v-if="step.rebound.kind !== 'none'"
        hide-label
        label="Length of the rest"
        :model-value="step.rebound.seconds"
        :accept="setSeconds"
      />
    </template>
    <div class="loosen">
      <TimeField label="Release" :model-value="step.loosen?.seconds ?? null" usual="none" :accept="setLoosen" />
      <TextField
        v-if="step.loosen"
        hide-label
        label="How to release"
        placeholder="How"
        :model-value="step.loosen.text"
        :accept="(text) => edit(setHold(step.id, { loosen: { seconds: step.loosen?.seconds ?? 30, text } }))"
      />
    </div>
  </FieldGroup>
</template>

<style scoped>
.loosen {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
</style>
