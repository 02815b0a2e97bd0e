<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import type { Course } from '#core/course';
import { today } from '../../state/days';
import CheckField from '../../ui/fields/CheckField.vue';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import ClockField from '../../ui/fields/ClockField.vue';
import DayField from '../../ui/fields/DayField.vue';
import IconButton from '../../ui/IconButton.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import TagsField from '../../ui/fields/TagsField.vue';
import TextField from '../../ui/fields/TextField.vue';

/** What a course is apart from its weeks: how long, when, what it is for. */
const { course, change } = defineProps<{
  course: Course;
  change: (name: string, next: Course) => string | undefined;
}>();
const visible = defineModel<boolean>('visible', { required: true });

const put = (name: string, patch: Partial<Course>): string | undefined => change(name, { ...course, ...patch });
const UNITS = [
  { value: 'week', label: 'Weeks' },
  { value: 'session', label: 'Sessions' },
] as const;
const KINDS = [
  { value: 'none', label: 'No dates yet' },
  { value: 'weekly', label: 'Every week' },
  { value: 'given', label: 'On given dates' },
] as const;
const USUAL_TIME = '18:00';
function setKind(kind: Course['dates']['kind']): void {
  if (kind === course.dates.kind) return;
  if (kind === 'none') void put('change dates', { dates: { kind } });
  if (kind === 'weekly') {
    const first = course.dates.kind === 'given' ? course.dates.at[0] : undefined;
    const [day = today(), time = USUAL_TIME] = first?.split('T') ?? [];
    void put('change dates', { dates: { kind, first: day, time, leftOut: [] } });
  }
  if (kind === 'given') void put('change dates', { dates: { kind, at: [] } });
}
const weekly = computed(() => (course.dates.kind === 'weekly' ? course.dates : undefined));
const given = computed(() => (course.dates.kind === 'given' ? course.dates.at : undefined));
const setWeekly = (patch: object): string | undefined =>
  weekly.value && put('change dates', { dates: { ...weekly.value, ...patch } });
/** Dates are kept in order: one that is moved goes to its place. */
const setGiven = (at: readonly string[]): string | undefined =>
  put('change dates', { dates: { kind: 'given', at: [...at].sort() } });
/** The day to leave out, and the date to add, while they are typed. */
const leftOut = ref('');
const added = ref('');
function addLeftOut(day: string): string | undefined {
  if (day === '' || !weekly.value) return undefined;
  if (weekly.value.leftOut.includes(day)) return 'This day is skipped already.';
  return setWeekly({ leftOut: [...weekly.value.leftOut, day].sort() });
}
function addGiven(moment: string): string | undefined {
  if (moment === '' || !given.value) return undefined;
  return setGiven([...given.value, moment]);
}
const setAim = (patch: Partial<NonNullable<Course['aim']>>): string | undefined =>
  put('change aim', { aim: { words: '', measure: '', ...course.aim, ...patch } });
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="About this course"
    dismissable-mask
    :style="{ width: 'min(560px, 94vw)' }"
  >
    <div class="fields">
      <NumberField
        :label="course.unit === 'week' ? 'weeks' : 'sessions'"
        :model-value="course.weeks"
        :accept="(weeks) => put('change length', { weeks })"
      />
      <ChoiceField
        label="Counted in"
        :options="UNITS"
        :model-value="course.unit"
        @update:model-value="(unit) => put('change what it is counted in', { unit })"
      />
      <div class="wide">
        <ChoiceField label="Dates" :options="KINDS" :model-value="course.dates.kind" @update:model-value="setKind" />
      </div>
      <template v-if="weekly">
        <DayField
          above
          label="First class"
          :model-value="weekly.first"
          :accept="(first) => (first === '' ? 'A first day is needed.' : setWeekly({ first }))"
        />
        <ClockField label="Begins at" :model-value="weekly.time" :accept="(time) => setWeekly({ time })" />
        <div class="wide">
          <DayField label="Skip a day" :model-value="leftOut" :accept="addLeftOut" />
          <ul class="days">
            <li v-for="day in weekly.leftOut" :key="day">
              <DayField
                hide-label
                label="Skipped"
                :model-value="day"
                :accept="
                  (to) => setWeekly({ leftOut: weekly!.leftOut.map((one) => (one === day ? to : one)).filter(Boolean) })
                "
              />
              <IconButton
                icon="remove"
                :label="`Do not skip ${day}`"
                @click="setWeekly({ leftOut: weekly.leftOut.filter((one) => one !== day) })"
              />
            </li>
          </ul>
        </div>
      </template>
      <div v-if="given" class="wide">
        <ul class="days">
          <li v-for="(moment, i) in given" :key="moment">
            <DayField
              time
              hide-label
              :label="`Class ${i + 1}`"
              :model-value="moment"
              :accept="(to) => setGiven(given!.map((one, j) => (j === i ? to : one)).filter(Boolean))"
            />
            <IconButton
              icon="remove"
              :label="`Remove class ${i + 1}`"
              @click="setGiven(given.filter((_, j) => j !== i))"
            />
          </li>
        </ul>
        <DayField time label="Add a class" :model-value="added" :accept="addGiven" />
        <p v-if="given.length < course.weeks" class="small quiet" role="status">
          {{ given.length }} of {{ course.weeks }} {{ course.unit }}s have a date.
        </p>
      </div>
      <TextField
        class="wide"
        label="What it is for"
        :rows="3"
        :model-value="course.note"
        :accept="(note) => put('change note', { note })"
      />
      <CheckField
        class="wide"
        label="One-to-one: an aim, and a number from 0 to 10 each time"
        :model-value="course.aim !== null"
        @update:model-value="
          (is) =>
            put('change aim', { aim: is ? { words: 'What they would like to be able to do', measure: '' } : null })
        "
      />
      <template v-if="course.aim">
        <TextField class="wide" label="Aim" :model-value="course.aim.words" :accept="(words) => setAim({ words })" />
        <TextField
          class="wide"
          label="What the number is for"
          placeholder="How easy it felt"
          :model-value="course.aim.measure"
          :accept="(measure) => setAim({ measure })"
        />
      </template>
      <TagsField
        class="wide"
        label="Tags"
        :model-value="course.tags"
        :known="[]"
        :accept="(tags) => put('change tags', { tags })"
      />
      <CheckField
        class="wide"
        label="Archived: kept as it is, out of the way of the other courses"
        :model-value="course.archived"
        @update:model-value="(archived) => put('archive', { archived })"
      />
    </div>
    <template #footer><Button label="Done" @click="visible = false" /></template>
  </Dialog>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
.days {
  display: grid;
  gap: 4px;
  padding: 4px 0;
}
.days li {
  display: flex;
  gap: 4px;
  align-items: center;
}
@media (width < 480px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
