<script setup lang="ts">
import Button from 'primevue/button';
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import {
  taughtWeeks,
  weekName,
  withMissed,
  withoutThread,
  withThread,
  type Course,
  type CourseClass,
  type Thread,
} from '#core/course';
import { courseClient } from '../../client/documents';
import { useCourses } from '../../state/courses';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import { usePlaces } from '../../state/places';
import IconButton from '../../ui/IconButton.vue';
import { onceOpened } from '../../ui/once-opened';
import type { MenuAction } from '../../ui/menus/menu-action';
import DocumentPage from '../../widgets/documents/DocumentPage.vue';
import JobProgress from '../../widgets/jobs/JobProgress.vue';
import { useBinning } from '../../widgets/documents/use-binning';
import ShareButton from '../../widgets/share/ShareButton.vue';
import CourseAbout from './CourseAbout.vue';
import CourseOver from './CourseOver.vue';
import CourseThreads from './CourseThreads.vue';
import { COURSE_FORMS, writeCourse, type SharedCourse } from './share-course';
import { useCourse } from './use-course';
import { useWeekPlans } from './use-week-plans';
import WeekRow from './WeekRow.vue';
import { weekTitle } from '../../widgets/courses/follows-words';

const CourseDetails = defineAsyncComponent(() => import('./CourseDetails.vue'));
const ThreadDialog = defineAsyncComponent(() => import('./ThreadDialog.vue'));
const MissedDialog = defineAsyncComponent(() => import('./MissedDialog.vue'));
const WeekDialog = defineAsyncComponent(() => import('./WeekDialog.vue'));

/** A course: what grows in it as small curves, and its weeks as rows on one scale. */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const library = useLibrary();
const people = usePeople();
const courses = useCourses();
const open = useCourse(id);
const { synced, course, sessions, record, rules, worked, job, classes, taught, next } = open;
void people.ready();
const { trouble } = synced;
const change = (name: string, to: Course): string | undefined => synced.change(name, to);
const take = (name: string, to: Course): void => {
  trouble.value = change(name, to) ?? '';
};

const members = computed(() => people.group(course.value?.base.plan.groupId ?? null)?.members ?? []);
const drawnOf = (week: number | null) => worked.value?.weeks.find((one) => one.week === week);
const cameTo = (week: number | null): number | null =>
  week === null ? null : (sessions.value.findLast((one) => one.week === week)?.came ?? null);
const RIBBON_WIDTH = 226;
const pxPerMs = computed(
  () =>
    RIBBON_WIDTH /
    Math.max(60_000, ...(worked.value?.weeks ?? []).flatMap(({ totals }) => [totals.totalMs, totals.targetMs])),
);
const details = ref(false);
const everDetails = onceOpened(details);
const growing = ref(false);
const everGrowing = onceOpened(growing);
const edited = shallowRef<Thread>();
function askThread(thread?: Thread): void {
  [edited.value, growing.value] = [thread, true];
}
const missing = ref(false);
const missedClass = shallowRef<CourseClass>();
function askMissed(held: CourseClass): void {
  [missedClass.value, missing.value] = [held, true];
}
const looking = ref(false);
const lookedAt = ref(0);
function lookAt(week: number): void {
  [lookedAt.value, looking.value] = [week, true];
}

const weekPlans = useWeekPlans(open);

function actionsOf(held: CourseClass): MenuAction[][] {
  const of = course.value;
  if (!of) return [];
  const { week, missed, number } = held;
  const name = week === null ? '' : weekName(of, week);
  const isOver = week !== null && taught.value.has(week);
  const disabled = !weekPlans.isReady.value;
  const ofWeek: MenuAction[] =
    week === null || missed
      ? []
      : [
          { label: `Open ${name}`, command: () => void router.push(`/courses/${id}/weeks/${week}`) },
          { label: 'Theme, changes and notes', command: () => lookAt(week) },
          ...(isOver
            ? []
            : [
                { label: `Teach ${name}`, disabled, command: () => weekPlans.teach(week) },
                { label: 'Page for a student, for home', disabled, command: () => weekPlans.openStudentPage(week) },
                { label: 'Cautions of this class', disabled, command: () => weekPlans.openCautions(week) },
              ]),
        ];
  const ofClass: MenuAction[] = missed
    ? [
        { label: 'Go on in another way', command: () => askMissed(held) },
        { label: 'It was held after all', command: () => take('a class was held', withMissed(of, number, null)) },
      ]
    : isOver
      ? []
      : [{ label: 'It was not held', command: () => askMissed(held) }];
  return [ofWeek, ofClass].filter((group) => group.length > 0);
}

const { remove, bringBack } = useBinning(
  { kind: 'course', id },
  {
    synced,
    remove: courseClient.remove,
    name: () => `“${course.value?.title ?? 'The course'}”`,
    changed: courses.changed,
    listPath: '/courses',
  },
);
const places = usePlaces();
void places.ready();
/** What it is handed over with, as it is at this moment. */
function shared(): SharedCourse {
  if (!course.value) throw new Error('The course has not loaded yet.');
  const { zone } = places.place(course.value.base.plan.cupboard) ?? {};
  return {
    id,
    revision: synced.revision.value,
    course: course.value,
    worked: worked.value,
    library: library.all,
    zone: zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
    nowMs: Date.now(),
  };
}
const print = (): void => window.print();
const spare = computed(() => course.value && taughtWeeks(course.value).length === 0);
</script>

<template>
  <DocumentPage
    :synced="synced"
    :name="course?.title ?? ''"
    :rename="(title) => course && change('rename', { ...course, title: title.trim() })"
    back-to="/courses"
    back-label="Courses"
    noun="course"
    @remove="remove"
    @bring-back="bringBack"
  >
    <template #head>
      <template v-if="course">
        <ShareButton
          header="Share this course"
          :name="course.title"
          :forms="COURSE_FORMS"
          :write="(form) => writeCourse(form, shared())"
          inside="Names, attendance and notes stay out of everything but the file of the course."
        />
        <IconButton class="screen-only" icon="print" label="Print" @click="print" />
        <Button
          v-if="next?.week"
          :label="`Teach ${weekName(course, next.week)}`"
          :disabled="!weekPlans.isReady.value"
          @click="weekPlans.teach(next.week)"
        />
      </template>
    </template>
    <template v-if="course">
      <CourseAbout
        :course="course"
        :classes="classes"
        :taught="taught"
        :record="record"
        :rules="rules"
        @details="details = true"
        @take="(to) => take('use the plan as it is now', to)"
      />
      <p v-if="open.sessionTrouble.value" class="caution" role="alert">
        What was taught of it could not be read, so that its weeks are as if nothing had been.
        {{ open.sessionTrouble.value }}
        <button type="button" class="link-button" @click="open.loadSessions">Try again</button>
      </p>
      <p v-if="open.unreadable.value > 0" class="small caution">
        {{ open.unreadable.value }} sessions cannot be read and are not counted.
      </p>
      <CourseThreads
        :course="course"
        :threads="worked?.threads ?? []"
        :taught="taught"
        @ask="askThread"
        @remove="(thread) => take('remove what grows', withoutThread(course!, thread))"
      />
      <JobProgress
        :share="job.share.value"
        :trouble="job.trouble.value"
        what="Working out the weeks"
        @stop="job.stop"
        @again="open.loadSessions"
      />
      <p v-if="spare" class="caution" role="alert">No {{ course.unit }} is held: every one was skipped.</p>
      <ol class="weeks" :aria-label="weekTitle(course, course.weeks).replace(/\d+$/, '').trim() + 's'">
        <WeekRow
          v-for="held in classes"
          :key="held.number"
          :course-id="id"
          :course="course"
          :held="held"
          :drawn="held.missed ? undefined : drawnOf(held.week)"
          :worked="worked"
          :px-per-ms="pxPerMs"
          :taught="held.week !== null && taught.has(held.week)"
          :came="held.missed ? null : cameTo(held.week)"
          :is-next="held.number === next?.number"
          :members="members"
          :sessions="sessions"
          :rules="rules"
          :note="weekPlans.isChanged(held.week) ? 'Its plan was changed in the planner since it was made.' : ''"
          :actions="actionsOf(held)"
        >
          <button type="button" class="link-button small" @click="weekPlans.takeIn(held.week!)">
            Add the changes to the course
          </button>
          <button type="button" class="link-button small" @click="weekPlans.makeAnew(held.week!)">Make it anew</button>
        </WeekRow>
      </ol>
      <CourseOver
        v-if="worked && record"
        :course="course"
        :worked="worked"
        :sessions="sessions"
        :members="members"
        :taught="taught"
        :rules="rules"
      />
      <CourseDetails v-if="everDetails" v-model:visible="details" :course="course" :change="change" />
      <ThreadDialog
        v-if="everGrowing && record"
        v-model:visible="growing"
        :course="course"
        :record="record"
        :rules="rules"
        :edited="edited"
        :save="(thread) => change('what grows', withThread(course!, thread))"
      />
      <MissedDialog
        v-if="missedClass && record"
        v-model:visible="missing"
        :course="course"
        :held="missedClass"
        :record="record"
        :rules="rules"
        @take="(to) => take('a missed class', to)"
      />
      <WeekDialog
        v-if="lookedAt > 0"
        v-model:visible="looking"
        :course="course"
        :week="lookedAt"
        :drawn="drawnOf(lookedAt)"
        :change="change"
      />
    </template>
  </DocumentPage>
</template>
