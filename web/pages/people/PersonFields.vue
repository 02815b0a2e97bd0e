<script setup lang="ts">
import { pastDayRefusal, type Person } from '#core/people';
import DayField from '../../ui/fields/DayField.vue';
import TextField from '../../ui/fields/TextField.vue';
import { today } from '../../state/days';

/** How to reach somebody. Nothing of it is needed. */
const { person } = defineProps<{ person: Person }>();
const emit = defineEmits<{ change: [patch: Partial<Person>] }>();

function put(patch: Partial<Person>): undefined {
  emit('change', patch);
}
function setBirth(day: string): string | undefined {
  return pastDayRefusal(day, 'A birth date', today()) ?? put({ birthDate: day === '' ? null : day });
}
const words = (what: string, key: 'contact' | 'emergency') => (typed: string) =>
  typed.length > 300 ? `${what} has at most 300 characters.` : put({ [key]: typed });
</script>

<template>
  <section class="fields" aria-label="Details">
    <TextField
      label="Contact details"
      placeholder="optional"
      :model-value="person.contact"
      :accept="words('Contact details', 'contact')"
    />
    <TextField
      label="Emergency contact"
      placeholder="optional"
      :model-value="person.emergency"
      :accept="words('The emergency contact', 'emergency')"
    />
    <DayField label="Date of birth" :model-value="person.birthDate ?? ''" :accept="setBirth" />
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 8px;
}
</style>
