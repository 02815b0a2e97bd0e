<script setup lang="ts">
import { computed } from 'vue';
import type { Course, ThreadOf } from '#core/course';
import { entriesOf } from '#core/plan';
import { prerequisiteOf } from '#library/prerequisites';
import { useLibrary } from '../../state/library';
import CheckField from '../../ui/fields/CheckField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';

/** What comes new in a course: which position or breath, in which week, where in the plan, and what they should know before. */
const { course, draft, acceptWeek } = defineProps<{
  course: Course;
  draft: ThreadOf<'new'>;
  /** Takes a week, or says why there is none. */
  acceptWeek: (week: number) => string | undefined;
}>();
const emit = defineEmits<{ put: [patch: Partial<ThreadOf<'new'>>] }>();

const library = useLibrary();
const entries = computed(() =>
  [...library.positions, ...library.techniques].map(({ id, names }) => ({ value: id, label: names.english })),
);
/** The steps after which something new may come, the beginning first. */
const places = computed(() => [
  { value: '', label: 'at the beginning' },
  ...course.base.plan.steps.map(({ id, name }) => ({ value: id, label: `after ${name.split(',')[0] ?? name}` })),
]);
const inBase = computed(() => new Set(entriesOf(course.base.plan)));
const comesNew = computed(() =>
  course.threads.flatMap((one) => (one.kind === 'new' && one.id !== draft.id ? [one.entry] : [])),
);
/** What usually comes before an entry, as far as the first plan does not have it. */
const usualNeeds = (entry: string): string[] =>
  (prerequisiteOf(entry)?.knows ?? []).filter((id) => !inBase.value.has(id));
/** What may have to be known before: what usually has, what was chosen, and what else comes new. */
const mayComeFirst = computed(() => {
  const { entry, needs } = draft;
  const ids = new Set([...usualNeeds(entry), ...needs, ...comesNew.value].filter((id) => id !== entry));
  return entries.value
    .filter(({ value }) => ids.has(value))
    .map(({ value, label }) => ({
      id: value,
      label,
      isMissing: needs.includes(value) && !comesNew.value.includes(value) && !inBase.value.has(value),
    }));
});
const whyFirst = computed(() => {
  const { entry } = draft;
  if (usualNeeds(entry).length === 0) return '';
  return prerequisiteOf(entry)?.reason ?? `First: ${library.all.technique(entry)?.gates ?? ''}`;
});
const putNeed = (id: string, isNeeded: boolean): void =>
  emit('put', { needs: isNeeded ? [...draft.needs, id] : draft.needs.filter((one) => one !== id) });
</script>

<template>
  <SelectField
    above
    class="wide"
    label="What comes"
    placeholder="A position or breath of the library"
    :options="entries"
    :model-value="draft.entry || null"
    @update:model-value="(entry) => emit('put', { entry, needs: usualNeeds(entry) })"
  />
  <NumberField :label="course.unit" :model-value="draft.week" :accept="acceptWeek" />
  <SelectField
    above
    label="Where in the plan"
    :options="places"
    :model-value="draft.after ?? ''"
    @update:model-value="(after) => emit('put', { after: after === '' ? null : after })"
  />
  <fieldset v-if="mayComeFirst.length > 0" class="wide">
    <legend class="small">Once they know</legend>
    <div v-for="one in mayComeFirst" :key="one.id">
      <CheckField
        :label="one.label"
        :model-value="draft.needs.includes(one.id)"
        @update:model-value="(is) => putNeed(one.id, is)"
      />
      <p v-if="one.isMissing" class="small caution">
        Nothing in this course brings it, so it would never come. Untick it if they know it.
      </p>
    </div>
    <p v-if="whyFirst" class="quiet small">{{ whyFirst }}</p>
  </fieldset>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
fieldset {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 2px;
}
</style>
