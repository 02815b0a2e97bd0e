import { ratioInWords, type Ratio, type Rung } from '#core/breath';
import type { Plan } from '#core/plan';
import { sessionsOfGroup, type EasyBreath } from '#core/review';
import { rungOf } from './breath-growth';
import type { Course } from './course';

/** What was taught of a course so far, and what its group found easy. */
export interface CourseRecord {
  /** The plans of the weeks that were taught, as they were. */
  taught: readonly { week: number; plan: Plan }[];
  /** The ratios that were easy, one for each session in which one was, in the smallest whole numbers. */
  easyRatios: readonly Ratio[];
}

/** What a course asks of a session that was taught: whose it was, who came, what was easy; its plan where it is of a week. */
export interface CourseSession {
  planId: string | null;
  plan: Plan | null;
  group: string;
  groupId: string | null;
  people: readonly string[];
  easyBreaths: readonly EasyBreath[];
}

/** The ratios that were easy in some sessions, each once a session; with a person, in those they came to and found easy. */
export const easyRatiosOf = (sessions: readonly CourseSession[], person: string | null = null): Ratio[] =>
  sessions.flatMap(({ people, easyBreaths }) => {
    if (person !== null && !people.includes(person)) return [];
    const easy = easyBreaths.filter(({ effortFor }) => person === null || !effortFor.includes(person));
    return [...new Map(easy.map(({ ratio }) => [ratioInWords(ratio), ratio])).values()];
  });

/**
 * What the record says of a course: the plans of the weeks that were taught, of a plan that was led twice the later one,
 * and what the group found easy, in this course or before it.
 * @param sessions all that were taught, in order of time
 */
export function recordOfCourse(course: Course, sessions: readonly CourseSession[]): CourseRecord {
  const taught = new Map<number, Plan>();
  for (const { planId, plan } of sessions) {
    const week = course.plans.find((one) => one.planId === planId)?.week;
    if (week !== undefined && plan) taught.set(week, plan);
  }
  return {
    taught: [...taught].map(([week, plan]) => ({ week, plan })),
    easyRatios: easyRatiosOf(sessionsOfGroup(sessions, course.base.plan)),
  };
}

/** Easy sessions at each rung of a ladder; a ratio that is on none counts nowhere. */
export function easyAt(ladder: readonly Rung[], easyRatios: readonly Ratio[]): number[] {
  const easy = ladder.map(() => 0);
  for (const ratio of easyRatios) {
    const rung = rungOf(ladder, ratio);
    if (rung >= 0) easy[rung] = (easy[rung] ?? 0) + 1;
  }
  return easy;
}
