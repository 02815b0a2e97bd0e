<script setup lang="ts">
import { parseISO } from 'date-fns';
import { computed, defineAsyncComponent, ref } from 'vue';
import { hoursLog, weekName, type Course, type CourseSession, type CourseSettings } from '#core/course';
import type { WorkedOutCourse } from '#core/jobs';
import { pieceCount } from '#core/props';
import { clockOfMs, clockOfSeconds } from '#core/time';
import FoldedPart from '../../ui/FoldedPart.vue';
import RecordTable from '../../ui/RecordTable.vue';
import { dayOf } from '../../ui/dates';
import { balanceSentences } from './over-words';
import { weekTitle } from '../../widgets/courses/follows-words';

/** The course as a whole: its weeks in figures with a sentence for each, its hours, and its people. */
const { course, worked, sessions, members, taught, rules } = defineProps<{
  course: Course;
  worked: WorkedOutCourse;
  sessions: readonly CourseSession[];
  members: readonly string[];
  taught: ReadonlySet<number>;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
}>();
const CoursePeople = defineAsyncComponent(() => import('./CoursePeople.vue'));
const withPeople = ref(false);

const rows = computed(() =>
  worked.balance.map(({ week, areas, leftMs, rightMs, newMs, longestRetentionMs, props }) => ({
    id: String(week),
    week,
    areas: areas
      .slice(0, 3)
      .map(({ area, ms }) => `${area} ${clockOfMs(ms)}`)
      .join(', '),
    sides: leftMs + rightMs === 0 ? '' : `${clockOfMs(leftMs)}, ${clockOfMs(rightMs)}`,
    newMs,
    longestRetentionMs,
    props: props.map(({ kind, group }) => pieceCount(kind, group)).join(', '),
  })),
);
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'week', label: 'Week', of: ({ week }: Row) => week },
  { key: 'areas', label: 'Held longest', of: ({ areas }: Row) => areas },
  { key: 'sides', label: 'Left, right', of: ({ sides }: Row) => sides },
  { key: 'new', label: 'New', number: true, of: ({ newMs }: Row) => newMs },
  {
    key: 'retention',
    label: 'Longest hold of breath',
    number: true,
    of: ({ longestRetentionMs }: Row) => longestRetentionMs,
  },
  { key: 'props', label: 'To bring', of: ({ props }: Row) => props },
];
const hours = computed(() => hoursLog(course).map((one) => ({ ...one, id: String(one.week) })));
type Hours = (typeof hours.value)[number];
const HOURS = [
  { key: 'day', label: 'Day', of: ({ day }: Hours) => day },
  { key: 'from', label: 'From', of: ({ from }: Hours) => from },
  { key: 'until', label: 'Until', of: ({ until }: Hours) => until },
  { key: 'break', label: 'Break after it', of: ({ breakSeconds }: Hours) => breakSeconds ?? -1 },
];
const total = computed(() => hours.value.reduce((sum, { seconds }) => sum + seconds, 0));
const sentences = computed(() => balanceSentences(course, worked.balance));
</script>

<template>
  <section aria-label="Over the course" class="over">
    <h2>Over the course</h2>
    <ul class="sentences">
      <li v-for="line in sentences" :key="line">{{ line }}</li>
    </ul>
    <FoldedPart title="Week by week">
      <RecordTable name="course-weeks" label="Weeks in figures" :columns="COLUMNS" :rows="rows" unsearched>
        <template #week="{ row }">{{ weekTitle(course, row.week) }}</template>
        <template #new="{ row }">{{ row.newMs > 0 ? clockOfMs(row.newMs) : '' }}</template>
        <template #retention="{ row }">{{
          row.longestRetentionMs > 0 ? clockOfMs(row.longestRetentionMs) : ''
        }}</template>
      </RecordTable>
    </FoldedPart>
    <FoldedPart v-if="hours.length > 0" :title="`Hours: ${clockOfSeconds(total)} in total`">
      <RecordTable name="course-hours" label="Hours" :columns="HOURS" :rows="hours" unsearched>
        <template #day="{ row }">{{ dayOf(parseISO(row.day).getTime()) }}, {{ weekName(course, row.week) }}</template>
        <template #break="{ row }">
          <template v-if="row.breakSeconds === null" />
          <span v-else-if="row.breakSeconds < 0" class="caution">begins before this one ends</span>
          <template v-else>{{ clockOfSeconds(row.breakSeconds) }}</template>
        </template>
      </RecordTable>
    </FoldedPart>
    <button v-if="!withPeople" type="button" class="link-button" @click="withPeople = true">
      Cautions, and who is ready
    </button>
    <CoursePeople
      v-else
      :course="course"
      :worked="worked"
      :sessions="sessions"
      :members="members"
      :taught="taught"
      :rules="rules"
    />
  </section>
</template>

<style scoped>
.over {
  padding-top: 18px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
.sentences {
  max-width: 760px;
  padding: 4px 0 10px;
}
@media print {
  .over {
    display: none;
  }
}
</style>
