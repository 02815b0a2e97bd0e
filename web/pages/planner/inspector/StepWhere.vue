<script setup lang="ts">
import { computed } from 'vue';
import type { Where } from '#core/catalogue';
import { setStepWhere, type Step } from '#core/plan';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { useEdit } from '../use-edit';
import { stepWhereChoices } from '../where-words';

/** Where a step takes place: as the class does, or somewhere of its own; a library set-up changes with it. */
const { step } = defineProps<{ step: Step }>();

const edit = useEdit();
const editor = useEditor();
const library = useLibrary();
const options = computed(() => stepWhereChoices(editor.plan?.where ?? null));
function choose(where: Where | ''): void {
  if (editor.plan) edit(setStepWhere(editor.plan, step, where === '' ? null : where, library.all));
}
</script>

<template>
  <SelectField
    class="small"
    label="Where"
    :options="options"
    :model-value="step.where ?? ''"
    @update:model-value="choose"
  />
</template>
