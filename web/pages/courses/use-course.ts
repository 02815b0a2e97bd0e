import { computed, ref, shallowRef, watch } from 'vue';
import { classesOf, recordOfCourse, type Course } from '#core/course';
import type { CourseSessionOnce } from '#api';
import { listCourseSessions } from '../../client/courses';
import { today } from '../../state/days';
import { courseSource, useCourses } from '../../state/courses';
import { useLibrary } from '../../state/library';
import { useSettings } from '../../state/settings';
import { latestOnly } from '../../sync/latest';
import { useSyncedDocument } from '../../sync/source';
import { useJob } from '../../widgets/jobs/use-job';

/** A course that is open: kept saved, its weeks worked out anew with every change, and what was taught of it. */
export function useCourse(id: string) {
  const courses = useCourses();
  const library = useLibrary();
  const settings = useSettings();
  void settings.ready();
  const synced = useSyncedDocument<Course>(courseSource(id, courses.changed));
  void synced.ready();
  const course = synced.document;

  const sessions = shallowRef<readonly CourseSessionOnce[]>([]);
  const unreadable = ref(0);
  const sessionTrouble = ref('');
  /** Whether it is known what was taught: before that the weeks would be wrong. */
  const isKnown = ref(false);
  const asks = latestOnly();
  async function loadSessions(): Promise<void> {
    const isLatest = asks();
    try {
      const found = await listCourseSessions(id);
      if (!isLatest()) return;
      [sessions.value, unreadable.value, sessionTrouble.value] = [found.sessions, found.unreadable, ''];
    } catch (error) {
      if (isLatest()) sessionTrouble.value = (error as Error).message;
    }
    if (isLatest()) isKnown.value = true;
  }
  // Another plan of a week, or another group, is another record.
  watch(
    () =>
      course.value &&
      JSON.stringify([course.value.plans, course.value.base.plan.groupId, course.value.base.plan.group]),
    (now) => now !== undefined && void loadSessions(),
    { immediate: true },
  );

  const record = computed(() => course.value && recordOfCourse(course.value, sessions.value));
  const rules = computed(() => {
    const { ladder, growth } = settings.current.breath;
    return { ladder, growth };
  });
  const job = useJob('course');
  watch(
    [course, record, rules, () => library.all, isKnown],
    () => {
      if (!course.value || !record.value || !isKnown.value) return;
      void job.ask(course.value.base.plan, library.all, {
        course: course.value,
        record: record.value,
        rules: rules.value,
      });
    },
    { immediate: true },
  );

  const classes = computed(() => (course.value ? classesOf(course.value) : []));
  /** The weeks that were taught. */
  const taught = computed(() => new Set(record.value?.taught.map(({ week }) => week)));
  /** The class that comes next: the first that was not taught, was not missed, and whose day is not over. */
  const next = computed(() =>
    classes.value.find(
      ({ week, missed, startsAt }) =>
        week !== null && !missed && !taught.value.has(week) && (startsAt === null || startsAt.slice(0, 10) >= today()),
    ),
  );

  return {
    synced,
    course,
    sessions,
    unreadable,
    sessionTrouble,
    loadSessions,
    record,
    rules,
    worked: job.answer,
    job,
    classes,
    taught,
    next,
  };
}
