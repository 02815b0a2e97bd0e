<script setup lang="ts">
import { setStepCommon, type Step } from '#core/plan';
import TextField from '../../../ui/fields/TextField.vue';
import { useEdit } from '../use-edit';

/** The teacher's own words about a step, of whatever kind: shown while it is led, and printed. */
const { step, rows = 2 } = defineProps<{ step: Step; rows?: number }>();

const edit = useEdit();
</script>

<template>
  <TextField
    label="Note"
    :rows="rows"
    placeholder="What to say or to remember; shown while teaching, and printed"
    :model-value="step.note"
    :accept="(note) => edit(setStepCommon(step.id, { note }))"
  />
</template>
