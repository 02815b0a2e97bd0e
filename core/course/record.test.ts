import { expect, test } from '@jest/globals';
import { breathFrom, emptyPlan, type Plan } from '#core/plan';
import { builtInLibrary as library } from '#library';
import { newCourse, type Course } from './course';
import { deriveCourse, threadWeeks } from './derive';
import { withMissed } from './edit-course';
import { recordOfCourse, type CourseSession } from './record';
import { tooEarlyFor } from './too-early';

const counts = (breathIn: number, out: number) => ({ in: breathIn, holdFull: 0, out, holdEmpty: 0 });
const even = counts(1, 1);

/** Five counts in and out in week 1, and eight out by week 8. */
function evenings(): Course {
  const breath = breathFrom(library.technique('equal-breath')!, 'breath');
  const [set] = breath.practice.sets;
  const parts = set!.parts.map((part) =>
    part.kind === 'cycle' ? { ...part, in: 5, out: 5, holdFull: 0, holdEmpty: 0 } : part,
  );
  const practice = { ...breath.practice, sets: [{ ...set!, parts }] };
  const plan: Plan = { ...emptyPlan('Evening'), groupId: 'nurses', steps: [{ ...breath, practice }] };
  return {
    ...newCourse('Evenings', plan, 'base', 8),
    threads: [
      { id: 'out', kind: 'breath', step: 'breath', from: counts(5, 5), to: counts(5, 8), easyAWeek: 1, byWeek: 8 },
    ],
    plans: Array.from({ length: 8 }, (_, i) => ({ week: i + 1, planId: `week-${i + 1}`, revision: 1 })),
  };
}
const outIn = ({ steps: [step] }: Plan): number | undefined => {
  const part = step?.kind === 'breath' ? step.practice.sets[0]?.parts.find(({ kind }) => kind === 'cycle') : undefined;
  return part?.kind === 'cycle' ? part.out : undefined;
};
/** A session of a plan for the nurses, in which some breaths were easy, for all but some. */
const session = (
  planId: string,
  plan: Plan,
  easy: CourseSession['easyBreaths'],
  people: readonly string[] = ['ann', 'ben'],
): CourseSession => ({ planId, plan, group: '', groupId: 'nurses', people, easyBreaths: easy });

test('a course is walked from its first week to its last, and what was recorded moves its gate', () => {
  let course = evenings();
  const sessions: CourseSession[] = [];
  const outs: (number | undefined)[] = [];
  for (let number = 1; outs.length < 8; number++) {
    // The third class is missed: the hall is closed, and everything moves on.
    if (number === 3) {
      course = withMissed(course, 3, { how: 'shift', why: 'hall closed' });
      continue;
    }
    const record = recordOfCourse(course, sessions);
    const week = deriveCourse(course, record, { library })[outs.length]!;
    outs.push(outIn(week.plan));
    // In weeks 2 and 3 the even breath was not easy, so that its third easy session is that of week 5.
    const isEasy = week.week !== 2 && week.week !== 3;
    const ratio = outIn(week.plan) === 5 ? even : counts(5, outIn(week.plan)!);
    sessions.push(session(`week-${week.week}`, week.plan, isEasy ? [{ ratio, effortFor: [] }] : []));
  }
  expect(outs).toEqual([5, 5, 5, 5, 5, 6, 7, 8]);
});

test('the record has the weeks of this course, and what was easy for its group anywhere', () => {
  const { plan } = evenings().base;
  const easy = [{ ratio: even, effortFor: [] }];
  const others = { ...session('elsewhere', plan, easy), groupId: 'potters' };
  const later = { ...plan, note: 'led again' } as Plan;
  const record = recordOfCourse(evenings(), [
    session('before', plan, easy),
    others,
    session('week-2', plan, [...easy, ...easy]),
    session('week-2', later, []),
  ]);
  expect(record).toEqual({ taught: [{ week: 2, plan: later }], easyRatios: [even, even] });
});

test('who missed weeks, or found them an effort, has the breath of an earlier week', () => {
  const course = evenings();
  const { plan } = course.base;
  const sessions = [
    session('week-1', plan, [{ ratio: even, effortFor: [] }]),
    session('week-2', plan, [{ ratio: even, effortFor: ['cleo'] }], ['ann', 'cleo']),
    session('week-3', plan, [{ ratio: even, effortFor: [] }], ['ann', 'cleo']),
  ];
  const [thread] = threadWeeks(course, recordOfCourse(course, sessions), { library });
  // Week 3 is the last with five counts; the gate of three sessions is open for the group, and for Ann alone.
  const early = (week: number) => tooEarlyFor(thread!, week, ['ann', 'ben', 'cleo'], sessions);
  expect(early(3)).toEqual([]);
  expect(early(8)).toEqual([
    { person: 'ben', instead: counts(5, 5) },
    { person: 'cleo', instead: counts(5, 5) },
  ]);
});
