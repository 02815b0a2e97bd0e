<script setup lang="ts">
import { computed } from 'vue';
import { Flexibility, MAX_HEIGHT_CM, MIN_HEIGHT_CM, ORDINARY } from '#core/body';
import { pastDayRefusal, type Person } from '#core/people';
import TextField from '../../ui/fields/TextField.vue';
import { today } from '../../state/days';
import DayField from '../../ui/fields/DayField.vue';
import { fromUnit, inUnit, lengthInWords, lengthUnit } from '../../ui/lengths';

/** How to reach somebody, and the measures of the body the figure is drawn with. Nothing of it is needed. */
const { person } = defineProps<{ person: Person }>();
const emit = defineEmits<{ change: [patch: Partial<Person>] }>();

function put(patch: Partial<Person>): undefined {
  emit('change', patch);
}
function setBirth(day: string): string | undefined {
  return pastDayRefusal(day, 'A birth date', today()) ?? put({ birthDate: day === '' ? null : day });
}
const words = (what: string, key: 'contact' | 'emergency') => (typed: string) =>
  typed.length > 300 ? `${what} has at most 300 letters.` : put({ [key]: typed });

/** A number that may be left empty, as it is typed. */
const numberOf = (typed: string): number | null | undefined => {
  const text = typed.trim().replace(',', '.');
  if (text === '') return null;
  const value = Number(text);
  return Number.isNaN(value) ? undefined : value;
};
function setStature(typed: string): string | undefined {
  const value = numberOf(typed);
  if (value === undefined) return `Type a number of ${lengthUnit() === 'cm' ? 'centimetres' : 'inches'}.`;
  const cm = value === null ? null : fromUnit(value);
  if (cm !== null && (cm < MIN_HEIGHT_CM || cm > MAX_HEIGHT_CM)) {
    return `From ${lengthInWords(MIN_HEIGHT_CM)} to ${lengthInWords(MAX_HEIGHT_CM)}.`;
  }
  return put({ statureCm: cm });
}
const ANGLES = [
  { key: 'hipFold', label: 'Hip fold, °', hint: 'straight leg, lying' },
  { key: 'kneeOpening', label: 'Knee opening, °', hint: 'knee to the side' },
  { key: 'shoulder', label: 'Shoulder, °', hint: 'arm overhead' },
] as const;
const setAngle = (key: keyof Flexibility) => (typed: string) => {
  const value = numberOf(typed);
  if (value === undefined) return 'Type a number of degrees.';
  if (value === null) return put({ flexibility: null });
  const wanted = Flexibility.safeParse({ ...(person.flexibility ?? ORDINARY), [key]: value });
  if (!wanted.success) {
    const { minValue, maxValue } = Flexibility.shape[key];
    return `From ${minValue} to ${maxValue}°.`;
  }
  return put({ flexibility: wanted.data });
};
const stature = computed(() => (person.statureCm === null ? '' : String(inUnit(person.statureCm))));
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
    <TextField :label="`Height, ${lengthUnit()}`" :model-value="stature" :accept="setStature" />
    <TextField
      v-for="{ key, label, hint } in ANGLES"
      :key="key"
      :label="label"
      :placeholder="hint"
      :model-value="person.flexibility ? String(person.flexibility[key]) : ''"
      :accept="setAngle(key)"
    />
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 16px;
}
</style>
