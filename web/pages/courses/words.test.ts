import { describe, expect, test } from '@jest/globals';
import {
  classesOf,
  courseBalance,
  deriveCourse,
  threadWeeks,
  whatFollows,
  withMissed,
  type Course,
} from '#core/course';
import type { WorkedOutCourse } from '#core/jobs';
import { removeStep, setEven, setHoldSeconds } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary as library } from '#library';
import { LONGER_FOLD, sixTuesdays } from '../../../tests/support/course';
import { balanceSentences } from './over-words';
import { followsInWords, weekTitle } from '../../widgets/courses/follows-words';
import { classDay, datesInWords, missedInWords, threadInWords, weekInWords } from './words';

const NOTHING = { taught: [], easyRatios: [] };
const worked = (course: Course): WorkedOutCourse => {
  const weeks = deriveCourse(course, NOTHING, { library });
  return {
    weeks: weeks.map((week) => ({ ...week, ribbon: [], totals: {} as never })),
    threads: threadWeeks(course, NOTHING, { library }),
    balance: courseBalance(
      weeks.map((week) => ({ ...week, timeline: compileTimeline(week.plan, library) })),
      library,
    ),
  };
};
const wordsOf = (course: Course, week: number): string =>
  weekInWords(course, worked(course), week, library)
    .map(({ text, isNew }) => (isNew ? `*${text}*` : text))
    .join(' · ');

describe('what a week has in words', () => {
  test('is what grew, what is new and what was changed, against the week before it', () => {
    const course = sixTuesdays({
      threads: [LONGER_FOLD, { id: 'n', kind: 'new', entry: 'sphinx', week: 3, after: 'talk', needs: [] }],
      differences: [{ id: 'd', week: 2, onward: true, edit: setHoldSeconds('rest', 'even', 400) }],
    });
    expect(wordsOf(course, 1)).toBe('Head to knee 3:00');
    expect(wordsOf(course, 2)).toBe('Head to knee 3:15 · Change length of Last rest, from here on');
    expect(wordsOf(course, 3)).toMatch(/^Head to knee 3:30 · \*new: Sphinx\*$/);
  });
  test('is as the first plan, or as the one before, where nothing is different', () => {
    expect([wordsOf(sixTuesdays(), 1), wordsOf(sixTuesdays(), 2)]).toEqual(['as the first plan', 'as the one before']);
  });
});

test('when a course is, by the day of the week or from the first date to the last', () => {
  expect(datesInWords(sixTuesdays())).toBe('Tuesdays, 18:00 to 18:40, from 5 Jan to 9 Feb');
  const at = ['2027-02-06T10:00', '2027-02-06T14:00'];
  const given = sixTuesdays({ unit: 'session', weeks: 2, dates: { kind: 'given', at } });
  expect(datesInWords(given)).toBe('6 Feb');
  expect(classesOf(given).map((held) => classDay(given, held))).toEqual(['Sat 6 Feb, 10:00', 'Sat 6 Feb, 14:00']);
  expect(datesInWords(sixTuesdays({ dates: { kind: 'none' } }))).toBe('');
  expect([weekTitle(given, 2), weekTitle(sixTuesdays(), 3)]).toEqual(['Session 2', 'Week 3']);
});

test('what grows, in a line', () => {
  const course = sixTuesdays();
  expect(threadInWords(LONGER_FOLD, course)).toBe('3:00 to 5:00 by week 6, in steps of 15 seconds');
  expect(threadInWords({ id: 'p', kind: 'props', step: 'fold', row: 'r', from: 2, to: 1, byWeek: 4 }, course)).toBe(
    '2 to 1 piece by week 4',
  );
  expect(threadInWords({ id: 't', kind: 'talk', from: 10, to: 5, byWeek: 4 }, course)).toBe(
    '10 to 5 % of the class by week 4',
  );
  expect(threadInWords({ id: 'n', kind: 'new', entry: 'sphinx', week: 3, after: null, needs: [] }, course)).toBe(
    'comes in week 3',
  );
});

test('what became of a missed class, and what each way does to the weeks', () => {
  const course = sixTuesdays({ threads: [LONGER_FOLD] });
  const after = (how: 'shift' | 'drop' | 'join') => withMissed(course, 5, { how, why: 'Snow.' });
  expect(missedInWords(after('shift'), classesOf(after('shift'))[4]!)).toBe(
    'missed (Snow): everything moved on by a week',
  );
  expect(missedInWords(after('drop'), classesOf(after('drop'))[4]!)).toBe('missed (Snow): skipped');
  const follows = (changed: Course) => followsInWords(course, whatFollows(course, changed, NOTHING, { library }));
  expect(follows(after('shift'))).toEqual(['Week 5 is on another day.', 'Week 6 is on another day.']);
  expect(follows(after('drop'))).toContain('Week 5 is not held.');
  expect(follows({ ...course, weeks: 7 })).toEqual(['Week 7 is held.']);
  const without = { ...course, differences: [{ id: 'd', week: 6, onward: false, edit: removeStep('talk') }] };
  expect(follows(without)[0]).toMatch(/^Week 6: .*Removed Arrive/);
});

test('the whole course in sentences', () => {
  const course = sixTuesdays({ threads: [LONGER_FOLD] });
  expect(balanceSentences(course, worked(course).balance)).toEqual([
    expect.stringMatching(/^Held longest over the whole course: [a-z ]+, \d+:\d\d(:\d\d)?\.$/),
    'Left and right are even in every class.',
    'The breath is never held.',
  ]);
  expect(balanceSentences(course, [])).toEqual([]);
  const uneven = sixTuesdays({
    differences: [
      { id: 'd', week: 2, onward: false, edit: setEven('fold', false) },
      { id: 'e', week: 2, onward: false, edit: setHoldSeconds('fold', 'left', 300) },
    ],
  });
  expect(balanceSentences(uneven, worked(uneven).balance)).toContain('Left and right are uneven in week 2.');
});
