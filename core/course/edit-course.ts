import type { FieldIssue } from '#core/document';
import { applyEdit, planChanges, undoKey, type PlanChange, type PlanEdit } from '#core/plan';
import { MISSED_WAYS, type Course, type Missed } from './course';
import { deriveCourse, type CourseSettings } from './derive';
import type { CourseRecord } from './record';
import type { Thread } from './thread';

/** How far an edit of a week goes. */
export type EditScope = 'week' | 'onward' | 'course';

export type EditedCourse = { ok: true; course: Course } | { ok: false; issues: FieldIssue[] };

/**
 * A course with an edit of one of its weeks: in that week only, from it on, or in all weeks, which changes the base. An
 * edit of the field that was edited last takes the place of that difference.
 * @param id of the difference that it becomes
 */
export function withEdit(course: Course, week: number, scope: EditScope, edit: PlanEdit, id: string): EditedCourse {
  if (scope !== 'course') {
    const difference = { id, week, onward: scope === 'onward', edit };
    const last = course.differences.at(-1);
    const key = undoKey(edit);
    const isSameField =
      last?.week === week && last.onward === difference.onward && key !== undefined && undoKey(last.edit) === key;
    const others = isSameField ? course.differences.slice(0, -1) : course.differences;
    return { ok: true, course: { ...course, differences: [...others, difference] } };
  }
  const applied = applyEdit(course.base.plan, edit);
  return applied.ok ? { ok: true, course: withBase(course, applied.plan) } : applied;
}

/** A course with another plan as its base. Threads and differences stay: those that no longer fit are reported. */
const withBase = (course: Course, plan: Course['base']['plan']): Course => ({
  ...course,
  base: { ...course.base, plan },
});

export const withoutDifference = (course: Course, id: string): Course => ({
  ...course,
  differences: course.differences.filter((one) => one.id !== id),
});

/** A course with a thread: in the place of the one with its id, or after the others. */
export const withThread = (course: Course, thread: Thread): Course => ({
  ...course,
  threads: course.threads.some(({ id }) => id === thread.id)
    ? course.threads.map((one) => (one.id === thread.id ? thread : one))
    : [...course.threads, thread],
});
export const withoutThread = (course: Course, id: string): Course => ({
  ...course,
  threads: course.threads.filter((one) => one.id !== id),
});

/** A difference of one week from that week on, or the other way round. */
export const withOnward = (course: Course, id: string, onward: boolean): Course => ({
  ...course,
  differences: course.differences.map((one) => (one.id === id ? { ...one, onward } : one)),
});

/** A course with a class that was not held, or was held after all (null). */
export const withMissed = (course: Course, number: number, missed: Omit<Missed, 'class'> | null): Course => ({
  ...course,
  missed: [
    ...course.missed.filter((one) => one.class !== number),
    ...(missed ? [{ class: number, ...missed }] : []),
  ].sort((a, b) => a.class - b.class),
});

/** What becomes of a week when a course is changed. */
export type Follows =
  | { week: number; kind: 'changed'; changes: PlanChange[] }
  | { week: number; kind: 'added' }
  | { week: number; kind: 'gone' };

/**
 * Which weeks still to come are other weeks after a change of a course, and in what. Weeks that stay as they are, and
 * weeks that were taught, are not named: what was taught stays.
 */
export function whatFollows(before: Course, after: Course, record: CourseRecord, settings: CourseSettings): Follows[] {
  const plans = (course: Course) =>
    new Map(deriveCourse(course, record, settings).map(({ week, plan }) => [week, plan]));
  const [was, is] = [plans(before), plans(after)];
  const weeks = [...new Set([...was.keys(), ...is.keys()])].sort((a, b) => a - b);
  const taught = new Set(record.taught.map(({ week }) => week));
  return weeks.flatMap((week): Follows[] => {
    if (taught.has(week)) return [];
    const [old, now] = [was.get(week), is.get(week)];
    if (!old) return [{ week, kind: 'added' }];
    if (!now) return [{ week, kind: 'gone' }];
    const changes = planChanges(old, now);
    return changes.length > 0 ? [{ week, kind: 'changed', changes }] : [];
  });
}

/** The three ways to go on after a class that was not held, each with what it does to the weeks after it. */
export const missedWays = (
  course: Course,
  number: number,
  why: string,
  record: CourseRecord,
  settings: CourseSettings,
): { how: Missed['how']; course: Course; follows: Follows[] }[] =>
  MISSED_WAYS.map((how) => {
    const after = withMissed(course, number, { how, why });
    return { how, course: after, follows: whatFollows(course, after, record, settings) };
  });
