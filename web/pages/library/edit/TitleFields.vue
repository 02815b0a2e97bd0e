<script setup lang="ts">
import type { Position, Technique } from '#core/catalogue';
import TextField from '../../../ui/fields/TextField.vue';
import { useEntryField } from './use-entry';

/** What an entry is called: its name, the short one for the ribbon, the Sanskrit one. */
const { entry } = defineProps<{ entry: Position | Technique }>();

const { set, problem } = useEntryField();
const SHORT = 24;

/** The short name follows the name until it is written by itself. */
function setName(name: string): undefined {
  const follows = entry.short === '' || entry.short === entry.names.english.slice(0, SHORT).trim();
  set('names.english')(name);
  if (follows) set('short')(name.slice(0, SHORT).trim());
}
</script>

<template>
  <TextField label="Name" :model-value="entry.names.english" :accept="setName" :problem="problem('names.english')" />
  <TextField
    label="Short name, for the ribbon"
    :model-value="entry.short"
    :accept="set('short')"
    :problem="problem('short')"
  />
  <TextField
    label="Sanskrit"
    :model-value="entry.names.sanskrit"
    :accept="set('names.sanskrit')"
    :problem="problem('names.sanskrit')"
  />
</template>
