<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { withOnward, withoutDifference, type Course } from '#core/course';
import type { DrawnWeek } from '#core/jobs';
import CheckField from '../../ui/fields/CheckField.vue';
import IconButton from '../../ui/IconButton.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TextField from '../../ui/fields/TextField.vue';
import { editInWords } from '../../widgets/plans/edit-words';
import { weekTitle } from '../../widgets/courses/follows-words';

/** What belongs to one week: its theme, what was changed in it by hand, and what was noted of it. */
const { course, week, drawn, change } = defineProps<{
  course: Course;
  week: number;
  drawn: DrawnWeek | undefined;
  change: (name: string, next: Course) => string | undefined;
}>();
const visible = defineModel<boolean>('visible', { required: true });

const refused = ref('');
const take = (name: string, next: Course): void => {
  refused.value = change(name, next) ?? '';
};
const theme = computed(() => course.themes.find((one) => one.week === week)?.theme ?? '');
function setTheme(typed: string): string | undefined {
  const others = course.themes.filter((one) => one.week !== week);
  const text = typed.trim();
  return change('change theme', { ...course, themes: text === '' ? others : [...others, { week, theme: text }] });
}
const noted = computed(() => course.notes.find((one) => one.week === week) ?? { week, measure: null, note: '' });
function setNote(patch: Partial<Course['notes'][number]>): string | undefined {
  const next = { ...noted.value, ...patch };
  const others = course.notes.filter((one) => one.week !== week);
  const isEmpty = next.measure === null && next.note.trim() === '';
  return change('change note', { ...course, notes: isEmpty ? others : [...others, next] });
}
const NONE = -1;
const MEASURES = [
  { value: NONE, label: 'not asked' },
  ...Array.from({ length: 11 }, (_, value) => ({ value, label: String(value) })),
];
const differences = computed(() => course.differences.filter((one) => one.week === week));
</script>

<template>
  <Dialog v-model:visible="visible" modal :header="weekTitle(course, week)" :style="{ width: 'min(560px, 94vw)' }">
    <div class="fields">
      <TextField label="Theme" placeholder="What it is about" autofocus :model-value="theme" :accept="setTheme" />
      <section aria-label="Changed by hand">
        <h3>Changed by hand</h3>
        <p v-if="differences.length === 0" class="small quiet">
          Nothing yet. Open the {{ course.unit }} in the planner to change it.
        </p>
        <ul v-else>
          <li v-for="one in differences" :key="one.id">
            <span>{{ editInWords(one.edit, drawn?.plan) }}</span>
            <CheckField
              label="from here on"
              :model-value="one.onward"
              @update:model-value="(onward) => take('how far a change goes', withOnward(course, one.id, onward))"
            />
            <IconButton
              icon="remove"
              :label="`Remove: ${editInWords(one.edit, drawn?.plan)}`"
              @click="take('remove a change', withoutDifference(course, one.id))"
            />
          </li>
        </ul>
      </section>
      <SelectField
        v-if="course.aim"
        :label="`${course.aim.measure || 'How it was'}, 0 to 10`"
        :options="MEASURES"
        :model-value="noted.measure ?? NONE"
        @update:model-value="(value) => (refused = setNote({ measure: value === NONE ? null : value }) ?? '')"
      />
      <TextField
        label="Notes"
        :rows="4"
        placeholder="What happened, what to come back to"
        :model-value="noted.note"
        :accept="(note) => setNote({ note })"
      />
      <p class="small quiet">Notes stay here: they are in the backup, and in nothing that is shared or printed.</p>
      <p v-if="refused" class="caution" role="alert">{{ refused }}</p>
    </div>
    <template #footer><Button label="Done" @click="visible = false" /></template>
  </Dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}
h3 {
  font-size: 15px;
  line-height: 20px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
li > span:first-child {
  flex: 1;
  min-width: 160px;
}
</style>
