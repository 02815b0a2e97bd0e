<script setup lang="ts">
import TextField from '../../../ui/fields/TextField.vue';
import { useEntryField } from './use-entry';

/** What commonly goes wrong in an entry, and what is seen from outside. */
const { mistakes = '', watch = '' } = defineProps<{
  mistakes?: string | undefined;
  watch?: string | undefined;
}>();

const { set, problem } = useEntryField();
</script>

<template>
  <TextField
    label="Common mistakes, and what to say"
    :rows="2"
    :model-value="mistakes"
    :accept="set('mistakes')"
    :problem="problem('mistakes')"
  />
  <TextField
    label="What you see from outside"
    :rows="2"
    :model-value="watch"
    :accept="set('watch')"
    :problem="problem('watch')"
  />
</template>
