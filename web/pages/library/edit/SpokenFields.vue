<script setup lang="ts">
import { computed } from 'vue';
import { practiceMs } from '#core/breath';
import { MAX_SPOKEN, readSpoken, spokenAsTyped, type Technique } from '#core/catalogue';
import { readAloud } from '#core/script';
import { clockOfMs } from '#core/time';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TextField from '../../../ui/fields/TextField.vue';
import ScriptLines from '../../../widgets/script/ScriptLines.vue';
import { useEntryField } from './use-entry';

/** What is read aloud while a technique is practised, typed as one text, with the moments it comes to. */
const { entry } = defineProps<{ entry: Technique }>();

const { set, problem } = useEntryField();
const spoken = computed(() => entry.spoken ?? []);
const lengthMs = computed(() => practiceMs(entry.practice));
const lines = computed(() => readAloud(entry));
function accept(typed: string): string | undefined {
  const read = readSpoken(typed);
  if (read.length > MAX_SPOKEN) return `At most ${MAX_SPOKEN} lines; there are ${read.length}.`;
  set('spoken')(read);
  return undefined;
}
</script>

<template>
  <FieldGroup title="To read aloud">
    <TextField
      label="One line for each thing you say; an empty line makes the pause longer"
      :rows="6"
      :model-value="spokenAsTyped(spoken)"
      :accept="accept"
      :problem="problem('spoken', true)"
    />
    <details v-if="lines.length > 0">
      <summary class="small">
        {{ lines.length }} {{ lines.length === 1 ? 'line' : 'lines' }} in {{ clockOfMs(lengthMs) }}
      </summary>
      <ScriptLines :lines="lines" />
    </details>
  </FieldGroup>
</template>
