<script setup lang="ts">
import { computed } from 'vue';
import { usePeople } from '../../../state/people';
import { useScreening } from '../../../state/screening';
import CheckField from '../../../ui/fields/CheckField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import TextField from '../../../ui/fields/TextField.vue';

/** For whom a page for a student is, and what goes into it. */
const words = defineModel<string>('words', { required: true });
const household = defineModel<boolean>('household', { required: true });
const person = defineModel<string>('person', { required: true });
const alternatives = defineModel<boolean>('alternatives', { required: true });

const people = usePeople();
const screening = useScreening();
const choices = computed(() => [
  { value: '', label: 'everyone' },
  ...screening.members.map(({ id }) => ({ value: id, label: people.shown(id) })),
]);
const accept = (typed: string): undefined => {
  words.value = typed.slice(0, 600);
  return undefined;
};
</script>

<template>
  <div class="options">
    <TextField
      label="Your words above it"
      :rows="2"
      :model-value="words"
      :accept="accept"
      placeholder="For Tuesday to Thursday"
    />
    <CheckField v-model="household" label="With things found at home" />
    <SelectField v-if="choices.length > 1" v-model="person" above label="For" :options="choices" />
    <CheckField v-if="person !== ''" v-model="alternatives" label="With what was chosen for them instead, never why" />
  </div>
</template>

<style scoped>
.options {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
</style>
