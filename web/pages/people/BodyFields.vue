<script setup lang="ts">
import { computed } from 'vue';
import { Flexibility, MAX_HEIGHT_CM, MIN_HEIGHT_CM, ORDINARY } from '#core/body';
import type { Person } from '#core/people';
import TextField from '../../ui/fields/TextField.vue';
import { fromUnit, inUnit, lengthInWords, lengthUnit } from '../../ui/lengths';

/** The measures of somebody's body that the figure is drawn with. None of them is needed. */
const { person } = defineProps<{ person: Person }>();
const emit = defineEmits<{ change: [patch: Partial<Person>] }>();

function put(patch: Partial<Person>): undefined {
  emit('change', patch);
}
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
  <section aria-label="Body">
    <h2>Body</h2>
    <div class="fields">
      <TextField :label="`Height, ${lengthUnit()}`" :model-value="stature" :accept="setStature" />
      <TextField
        v-for="{ key, label, hint } in ANGLES"
        :key="key"
        :label="label"
        :placeholder="hint"
        :model-value="person.flexibility ? String(person.flexibility[key]) : ''"
        :accept="setAngle(key)"
      />
    </div>
    <p class="small quiet">Figures and suggested heights of props are drawn for these measures.</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 8px 16px;
  padding: 4px 0;
}
</style>
