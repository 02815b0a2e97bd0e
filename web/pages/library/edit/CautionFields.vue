<script setup lang="ts" generic="T extends string">
import TextField from '../../../ui/fields/TextField.vue';
import ChipChoice from '../../../ui/fields/ChipChoice.vue';
import { useEntryField } from './use-entry';

/** Whom an entry does not suit, and what in it asks for care. */
const { label, caution, traits, words } = defineProps<{
  label: string;
  caution: string;
  traits: readonly T[];
  /** All traits there are, in words. */
  words: Readonly<Record<T, string>>;
}>();

const { set, problem } = useEntryField();
const options = (Object.keys(words) as T[]).map((value) => ({ value, label: words[value] }));
</script>

<template>
  <TextField :label="label" :rows="2" :model-value="caution" :accept="set('caution')" :problem="problem('caution')" />
  <ChipChoice
    class="traits"
    label="Look out for"
    :options="options"
    :chosen="traits"
    :problem="problem('traits')"
    @choose="set('traits')($event)"
  />
  <p class="small quiet">
    Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner.
  </p>
</template>

<style scoped>
.traits {
  margin: 8px 0;
}
</style>
