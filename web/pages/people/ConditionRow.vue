<script setup lang="ts">
import { computed } from 'vue';
import type { Condition } from '#core/caution';
import { countedFrom, MAX_WEEKS, pastDayRefusal, weeksBetween, weeksRefusal, type PersonCondition } from '#core/people';
import IconButton from '../../ui/IconButton.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TextField from '../../ui/fields/TextField.vue';
import { today } from '../../state/days';
import DayField from '../../ui/fields/DayField.vue';

/** One condition: its degree, since when, a note. An unknown one says that it is not screened. */
const {
  kept: stored,
  known,
  isTwice = false,
} = defineProps<{
  kept: PersonCondition;
  known: Condition | undefined;
  /** They have it twice, perhaps as two things that cannot both be. */
  isTwice?: boolean;
}>();
const emit = defineEmits<{ change: [patch: Partial<PersonCondition>]; remove: [] }>();

const name = computed(() => known?.name ?? (stored.words || stored.condition));
const degrees = computed(() => [
  { value: '', label: 'not known: treated as the most serious' },
  ...(known?.degrees ?? []).map(({ id, words }) => ({ value: id, label: words })),
]);
const degree = computed({
  get: () => (known?.degrees.some(({ id }) => id === stored.degree) ? (stored.degree ?? '') : ''),
  set: (value) => emit('change', { degree: value === '' ? null : value }),
});
/** Until it is asked again, it is screened as a pregnancy of unknown weeks. */
const weeksProblem = computed(() =>
  weeks.value > MAX_WEEKS
    ? `More than ${MAX_WEEKS} weeks: ask how things are now.`
    : weeks.value < 0
      ? 'The recorded date is in the future: ask again.'
      : '',
);
const weeks = computed(() => (stored.since === null ? 0 : weeksBetween(stored.since, today())));
function setWeeks(count: number): string | undefined {
  const refused = weeksRefusal(count);
  if (refused) return refused;
  emit('change', { since: countedFrom(count, today()) });
  return undefined;
}
function setSince(day: string): string | undefined {
  const refused = pastDayRefusal(day, 'This date', today());
  if (refused) return refused;
  emit('change', { since: day === '' ? null : day });
  return undefined;
}
function setNote(note: string): string | undefined {
  if (note.length > 500) return 'A note has at most 500 characters.';
  emit('change', { note });
  return undefined;
}
</script>

<template>
  <li class="condition">
    <span class="name">
      <strong>{{ name }}</strong>
      <span v-if="known" class="small quiet terms">{{ known.terms }}</span>
      <span v-else class="small caution terms">not screened: no guidance available</span>
      <span v-if="isTwice" class="small caution terms" role="alert"
        >Listed twice: the more careful one counts. Remove the one that is wrong.</span
      >
    </span>
    <span class="fields">
      <SelectField v-if="degrees.length > 1" v-model="degree" hide-label :label="`How ${name} is`" :options="degrees" />
      <NumberField
        v-if="known?.since === 'weeks'"
        label="weeks today"
        :model-value="weeks"
        :problem="weeksProblem"
        :accept="setWeeks"
      />
      <DayField v-else-if="known?.since === 'day'" label="since" :model-value="stored.since ?? ''" :accept="setSince" />
      <TextField class="note" label="note" :model-value="stored.note" :accept="setNote" />
    </span>
    <IconButton icon="remove" :size="14" :label="`Remove: ${name}`" @click="emit('remove')" />
  </li>
</template>

<style scoped>
.condition {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.name {
  align-self: center;
}
.terms {
  margin-left: 8px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  grid-row: 2;
  grid-column: 1 / -1;
  gap: 4px 14px;
  align-items: flex-end;
}
.note {
  flex: 1;
  min-width: 140px;
}
</style>
