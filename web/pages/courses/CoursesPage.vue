<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { classesOf } from '#core/course';
import { COURSE_TEMPLATES } from '#library/course-templates';
import { courseClient } from '../../client/documents';
import { onceOpened } from '../../ui/once-opened';
import RecordTable from '../../ui/RecordTable.vue';
import { shortDayOf } from '../../ui/dates';
import { today } from '../../state/days';
import { useCourses } from '../../state/courses';
import NewCourseDialog from './NewCourseDialog.vue';
import type { Course } from '#core/course';
import { newId } from '../../client/new-id';
import { datesInWords, weeksInWords } from './words';

/** The courses: series that grow from a plan. */
const route = useRoute();
const router = useRouter();
const store = useCourses();
void store.load();
const archived = computed(() => 'archived' in route.query);
const making = ref(false);
const everMade = onceOpened(making);
/** The plan it begins with, where it was asked for from a plan. */
const fromPlan = ref<string>();
watch(
  () => route.query.plan,
  (plan) => {
    if (typeof plan !== 'string') return;
    [fromPlan.value, making.value] = [plan, true];
    void router.replace('/courses');
  },
  { immediate: true },
);
const rows = computed(() =>
  (store.courses ?? [])
    .filter(({ document }) => document.archived === archived.value)
    .map(({ id, document }) => {
      const next = classesOf(document).find(
        ({ startsAt, week, missed }) =>
          week !== null && !missed && startsAt !== null && startsAt.slice(0, 10) >= today(),
      );
      return {
        id,
        title: document.title,
        group: document.base.plan.group,
        weeks: weeksInWords(document),
        count: document.weeks,
        dates: datesInWords(document),
        next: next?.startsAt ?? '',
        tags: document.tags.join(', '),
      };
    }),
);
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'title', label: 'Course', of: ({ title }: Row) => title },
  { key: 'group', label: 'Group', of: ({ group }: Row) => group },
  { key: 'weeks', label: 'Length', of: ({ count }: Row) => count },
  { key: 'dates', label: 'When', of: ({ dates }: Row) => dates },
  { key: 'next', label: 'Next class', of: ({ next }: Row) => next },
  { key: 'tags', label: 'Tags', of: ({ tags }: Row) => tags },
];
const hidden = computed(() => (store.courses ?? []).filter(({ document }) => document.archived).length);
async function make(course: Course): Promise<void> {
  const { id } = await courseClient.create(newId(), course);
  store.changed();
  await router.push(`/courses/${id}`);
}
</script>

<template>
  <main class="room">
    <header>
      <h1>{{ archived ? 'Archived courses' : 'Courses' }}</h1>
      <Button label="New course" @click="making = true" />
    </header>
    <p v-if="store.trouble" class="caution strong" role="alert">
      {{ store.trouble }} <button type="button" class="link-button" @click="store.load">Try again</button>
    </p>
    <RecordTable
      v-if="store.courses || !store.trouble"
      name="courses"
      label="Courses"
      :columns="COLUMNS"
      :rows="rows"
      :loading="!store.courses"
    >
      <template #empty>
        <p v-if="archived" class="empty">No course is archived.</p>
        <p v-else class="empty">
          No courses yet. A course begins with one of your plans, or with one of
          {{ COURSE_TEMPLATES.length }} examples; its weeks grow from it as you say, no faster than is safe, and each
          taught week decides what the next can be.
        </p>
      </template>
      <template #title="{ row }">
        <RouterLink :to="`/courses/${row.id}`">{{ row.title }}</RouterLink>
      </template>
      <template #weeks="{ row }">{{ row.weeks }}</template>
      <template #next="{ row }">{{ row.next ? shortDayOf(row.next) : '' }}</template>
    </RecordTable>
    <p class="foot">
      <RouterLink v-if="archived" to="/courses" class="link-button">Show all courses</RouterLink>
      <RouterLink v-else-if="hidden > 0" to="/courses?archived" class="link-button"
        >Archived courses ({{ hidden }})</RouterLink
      >
      <RouterLink to="/bin" class="link-button">Bin</RouterLink>
    </p>
    <NewCourseDialog v-if="everMade" v-model:visible="making" :plan-id="fromPlan" :make="make" />
  </main>
</template>

<style scoped>
.room {
  padding: 18px 32px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  justify-content: space-between;
}
.empty {
  max-width: 620px;
  padding: 16px 0;
}
.foot {
  display: flex;
  gap: 20px;
  padding-top: 8px;
}
@media (width < 640px) {
  .room {
    padding: 12px 16px;
  }
}
</style>
