<script setup lang="ts">
import Button from 'primevue/button';
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import {
  taughtWeeks,
  threadName,
  weekName,
  withMissed,
  type Course,
  type CourseClass,
  type Thread,
} from '#core/course';
import { restoreVersion } from '#core/plan';
import { courseClient } from '../../client/documents';
import { restore } from '../../client/bin';
import { newId } from '../../client/new-id';
import { useCourses } from '../../state/courses';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import { usePlaces } from '../../state/places';
import { planForWeek, readWeekPlan, type WeekPlan } from '../../state/plan-of-week';
import AppIcon from '../../ui/AppIcon.vue';
import IconButton from '../../ui/IconButton.vue';
import { onceOpened } from '../../ui/once-opened';
import type { MenuAction } from '../../ui/menus/menu-action';
import DocumentPage from '../../widgets/documents/DocumentPage.vue';
import JobProgress from '../../widgets/jobs/JobProgress.vue';
import { useDeletedToast } from '../../widgets/documents/use-deleted-toast';
import ShareButton from '../../widgets/share/ShareButton.vue';
import { people as peopleInWords } from '../../widgets/session/words';
import CourseBase from './CourseBase.vue';
import CourseOver from './CourseOver.vue';
import { COURSE_FORMS, writeCourse, type SharedCourse } from './share-course';
import ThreadCurve from './ThreadCurve.vue';
import { withoutThread, withThread } from './thread-draft';
import { useCourse } from './use-course';
import WeekRow from './WeekRow.vue';
import { datesInWords, outcomeOf, threadInWords, weeksInWords, weekTitle } from './words';

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
const deleted = useDeletedToast();
const open = useCourse(id);
const { synced, course, sessions, record, rules, worked, job, classes, taught, next } = open;
void people.ready();
const { trouble, load } = synced;
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
const about = computed(() => {
  const { plan } = course.value?.base ?? {};
  if (!plan || !course.value) return '';
  return [datesInWords(course.value), plan.group && `${plan.group}, ${peopleInWords(plan.groupSize)}`, plan.place]
    .filter(Boolean)
    .join(' · ');
});
const soFar = computed(() => {
  if (!course.value) return '';
  const missed = classes.value.filter((one) => one.missed).length;
  return [
    weeksInWords(course.value),
    taught.value.size > 0 ? `${taught.value.size} taught` : '',
    missed > 0 ? `${missed} missed` : '',
  ]
    .filter(Boolean)
    .join(', ');
});

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

/** Plans of weeks to come that somebody changed since they were made. */
const weekPlans = shallowRef<ReadonlyMap<number, WeekPlan>>(new Map());
watch(worked, async (found) => {
  const of = course.value;
  if (!found || !of) return;
  const made = of.plans.filter(({ week }) => !taught.value.has(week));
  const read = await Promise.all(
    made.map(async ({ week }): Promise<[number, WeekPlan][]> => {
      const derived = found.weeks.find((one) => one.week === week);
      // What cannot be asked now is looked at when the plan is opened.
      const plan = derived && (await readWeekPlan(of, week, derived.plan).catch(() => undefined));
      return plan ? [[week, plan]] : [];
    }),
  );
  if (worked.value === found) weekPlans.value = new Map(read.flat());
});
const isChanged = (week: number | null): boolean =>
  week !== null && weekPlans.value.get(week)?.kind === 'changedElsewhere';
function takeIn(week: number): void {
  const found = weekPlans.value.get(week);
  if (!course.value || found?.kind !== 'changedElsewhere') return;
  const { document, revision, id: planId } = found.stored;
  take('take in a changed plan', {
    ...course.value,
    differences: [...course.value.differences, { id: newId(), week, onward: false, edit: restoreVersion(document) }],
    plans: course.value.plans.map((one) => (one.week === week ? { week, planId, revision } : one)),
  });
}

const busy = ref(false);
/** Makes the plan of a week, or finds it, and goes where it is needed. */
async function withPlanOf(week: number, go: (planId: string) => string, anew = false): Promise<void> {
  const drawn = drawnOf(week);
  if (!course.value || !drawn || busy.value) return;
  busy.value = true;
  try {
    const made = await planForWeek(course.value, week, drawn.plan, anew);
    take(`make the plan of ${weekName(course.value, week)}`, made.course);
    await synced.save();
    if (go(made.planId)) await router.push(go(made.planId));
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}
const teach = (week: number): Promise<void> => withPlanOf(week, (planId) => `/teach/${planId}`);

function actionsOf(held: CourseClass): MenuAction[][] {
  const of = course.value;
  if (!of) return [];
  const { week, missed, number } = held;
  const name = week === null ? '' : weekName(of, week);
  const isOver = week !== null && taught.value.has(week);
  const ofWeek: MenuAction[] =
    week === null || missed
      ? []
      : [
          { label: `Open ${name}`, command: () => void router.push(`/courses/${id}/weeks/${week}`) },
          { label: 'Theme, changes and notes', command: () => lookAt(week) },
          ...(isOver
            ? []
            : [
                { label: `Teach ${name}`, command: () => void teach(week) },
                {
                  label: 'Page for a student, for home',
                  command: () => void withPlanOf(week, (planId) => `/plans/${planId}?share=handout`),
                },
                {
                  label: 'Cautions of this class',
                  command: () => void withPlanOf(week, (planId) => `/plans/${planId}/people`),
                },
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

async function remove(): Promise<void> {
  try {
    await courseClient.remove(id);
    courses.changed();
    deleted(`“${course.value?.title ?? 'The course'}”`, { kind: 'course', id }, courses.changed);
    await router.push('/courses');
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function bringBack(): Promise<void> {
  await restore({ kind: 'course', id }).then(load, (error: Error) => (trouble.value = error.message));
  courses.changed();
}
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
          :disabled="!worked || busy"
          @click="teach(next.week)"
        />
      </template>
    </template>
    <template v-if="course">
      <div class="about">
        <p class="quiet">{{ about }}</p>
        <p class="small quiet">
          {{ soFar }}
          <button type="button" class="link-button small screen-only" @click="details = true">Dates and details</button>
        </p>
        <p v-if="course.aim" class="aim">{{ course.aim.words }}</p>
        <p v-if="course.note" class="note">{{ course.note }}</p>
        <CourseBase
          v-if="record"
          :course="course"
          :record="record"
          :rules="rules"
          @take="(to) => take('use the plan as it is now', to)"
        />
      </div>
      <p v-if="open.sessionTrouble.value" class="caution" role="alert">
        What was taught of it could not be read, so that its weeks are as if nothing had been.
        {{ open.sessionTrouble.value }}
        <button type="button" class="link-button" @click="open.loadSessions">Try again</button>
      </p>
      <p v-if="open.unreadable.value > 0" class="small caution">
        {{ open.unreadable.value }} sessions cannot be read and are not counted.
      </p>
      <section class="threads" aria-label="What grows">
        <article v-for="one in worked?.threads ?? []" :key="one.thread.id" class="thread">
          <header>
            <h2>{{ threadName(one.thread, course.base.plan, library.all) }}</h2>
            <IconButton
              class="screen-only"
              icon="note"
              :size="14"
              :label="`Change how ${threadName(one.thread, course.base.plan, library.all)} grows`"
              @click="askThread(one.thread)"
            />
            <IconButton
              class="screen-only"
              icon="remove"
              :size="14"
              :label="`Take out ${threadName(one.thread, course.base.plan, library.all)}`"
              @click="take('take out what grows', withoutThread(course, one.thread.id))"
            />
          </header>
          <p class="small quiet">{{ threadInWords(one.thread, course) }}</p>
          <ThreadCurve v-if="one.thread.kind !== 'new'" :course="course" :thread="one" :taught="taught" />
          <p v-if="outcomeOf(one)" class="small caution">{{ outcomeOf(one) }}</p>
        </article>
        <div class="add screen-only">
          <p v-if="course.threads.length === 0" class="small quiet">
            Nothing grows yet: every {{ course.unit }} is as the first plan.
          </p>
          <button type="button" class="link-button" @click="askThread()">
            <AppIcon name="plus" :size="14" /> Add something that grows
          </button>
        </div>
      </section>
      <JobProgress
        :share="job.share.value"
        :trouble="job.trouble.value"
        what="Working out the weeks"
        @stop="job.stop"
        @again="open.loadSessions"
      />
      <p v-if="spare" class="caution" role="alert">No {{ course.unit }} is held: every one was left out.</p>
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
          :note="isChanged(held.week) ? 'Its plan was changed in the planner since it was made.' : ''"
          :actions="actionsOf(held)"
        >
          <button type="button" class="link-button small" @click="takeIn(held.week!)">Take the changes in</button>
          <button type="button" class="link-button small" @click="withPlanOf(held.week!, () => '', true)">
            Make it anew
          </button>
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

<style scoped>
.about {
  padding-bottom: 8px;
}
.about .quiet {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
}
.aim {
  font-weight: 600;
}
.note {
  max-width: 720px;
}
.threads {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 8px 40px;
  padding: 10px 0;
  border-top: 1px solid var(--line-strong);
  border-bottom: 1px solid var(--line-strong);
}
.thread header {
  display: flex;
  gap: 2px;
  align-items: center;
}
.thread h2 {
  overflow: hidden;
  font: 600 15px/20px var(--text);
  text-overflow: ellipsis;
}
.add {
  align-self: center;
}
.add button {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
@media print {
  .threads {
    gap: 4px 24px;
  }
}
</style>
