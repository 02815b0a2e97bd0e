<script setup lang="ts">
import { setStepCommon, several, type Step } from '#core/plan';
import CheckField from '../../../ui/fields/CheckField.vue';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';

/** Whether a step takes what the others leave of the class; whichever did before does no longer. */
const { step } = defineProps<{ step: Step }>();

const editor = useEditor();
const edit = useEdit();
function set(takesRemaining: boolean): void {
  const others = (editor.plan?.steps ?? []).filter((one) => one.takesRemaining && one.id !== step.id);
  edit(
    several([
      ...others.map(({ id }) => setStepCommon(id, { takesRemaining: false })),
      setStepCommon(step.id, { takesRemaining }),
    ]),
  );
}
</script>

<template>
  <CheckField
    class="small"
    label="takes what is left of the class"
    :model-value="step.takesRemaining"
    @update:model-value="set"
  />
</template>
