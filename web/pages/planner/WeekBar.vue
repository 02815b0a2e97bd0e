<script setup lang="ts">
import { computed } from 'vue';
import { threadName, weekName, withoutDifference, type EditScope } from '#core/course';
import { clockOfMs } from '#core/time';
import { useEditor } from '../../state/editor';
import { useLibrary } from '../../state/library';
import BackLink from '../../ui/BackLink.vue';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import { editInWords } from '../../widgets/plans/edit-words';
import LastEdit from './LastEdit.vue';

/** Above the plan of a week of a course: the way back, how far an edit goes, and what does not fit this week. */
const editor = useEditor();
const library = useLibrary();
const week = computed(() => editor.week);
const course = computed(() => week.value?.course.value);
const scope = computed({
  get: (): EditScope => week.value?.scope.value ?? 'week',
  set: (next) => {
    if (week.value) week.value.scope.value = next;
  },
});
const scopes = computed(() => {
  const unit = course.value?.unit ?? 'week';
  return [
    { value: 'week', label: `This ${unit} only` },
    { value: 'onward', label: 'From here on' },
    { value: 'course', label: 'Whole course' },
  ] as const;
});
/** What an edit does, before one is made. */
const follows = computed(() => {
  if (!course.value || !week.value) return '';
  const { number } = week.value;
  const later = course.value.weeks - number;
  if (scope.value === 'week') return `An edit changes ${weekName(course.value, number)} and no other.`;
  if (scope.value === 'course')
    return `An edit changes the first plan, and with it all ${course.value.weeks} ${course.value.unit}s.`;
  return later === 0
    ? `This is the last ${course.value.unit}: an edit changes no other.`
    : `An edit changes ${weekName(course.value, number)} and the ${later} after it.`;
});
const misfits = computed(() =>
  (week.value?.derived.value?.misfits ?? []).map(({ of, id, reason }) => {
    const thread = course.value?.threads.find((one) => one.id === id);
    const difference = course.value?.differences.find((one) => one.id === id);
    const name =
      of === 'thread' && thread && course.value
        ? threadName(thread, course.value.base.plan, library.all)
        : difference
          ? editInWords(difference.edit, editor.plan)
          : '';
    return { of, id, line: `${name}: ${reason}` };
  }),
);
const over = computed(() => {
  const ms = week.value?.derived.value?.overMs ?? 0;
  if (ms === 0) return '';
  return ms > 0
    ? `Even at its shortest it is ${clockOfMs(ms)} too long for its class.`
    : `Even at its longest it is ${clockOfMs(-ms)} too short for its class.`;
});
const takeOut = (id: string): void => {
  if (course.value) week.value?.change('remove a change', withoutDifference(course.value, id));
};
</script>

<template>
  <div v-if="week && course" class="bar screen-only">
    <BackLink :to="`/courses/${week.courseId}`" :label="course.title" />
    <ChoiceField v-model="scope" label="How far an edit goes" :options="scopes" />
    <p class="small quiet" role="status">
      {{ follows }}
      <template v-if="week.taught.value"
        >It was taught already: what was really done is in <RouterLink to="/history">History</RouterLink>.</template
      >
    </p>
    <LastEdit />
    <p v-for="one in misfits" :key="one.id" class="small caution wide">
      {{ one.line }}
      <button v-if="one.of === 'difference'" type="button" class="link-button small" @click="takeOut(one.id)">
        Remove it
      </button>
    </p>
    <p v-if="over" class="small caution wide">{{ over }}</p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding: 2px 32px 6px;
}
.wide {
  flex-basis: 100%;
}
@media (width < 640px) {
  .bar {
    padding: 2px 12px 6px;
  }
}
</style>
