import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DEMO_PLANS, demoPeople, demoRuns, datesAround } from '#library/demo';

const DAY_MS = 86_400_000;
const weekday = (moment: string): number => new Date(`${moment.slice(0, 10)}T12:00`).getDay();
const days = (moment: string, from: string): number =>
  Math.round((Date.parse(moment.slice(0, 10)) - Date.parse(from)) / DAY_MS);

test('on whatever day it is started: a class within the week, the last one just taught, and none taught that is to come', () => {
  const anyDay = fc.integer({ min: 18_000, max: 24_000 }).map((n) => new Date(n * DAY_MS).toISOString().slice(0, 10));
  fc.assert(
    fc.property(anyDay, (day) => {
      const move = datesAround(day);
      const starts = DEMO_PLANS.flatMap(({ plan }) => move(plan.startsAt) ?? []);
      const next = starts.filter((at) => at.slice(0, 10) >= day).toSorted()[0]!;
      expect(days(next, day)).toBeLessThanOrEqual(7);
      const taught = demoRuns.map(({ beganAt }) => move(beganAt));
      expect(Math.max(...taught.map((at) => days(at, day)))).toBeLessThan(0);
      expect(Math.max(...taught.map((at) => days(at, day)))).toBeGreaterThan(-14);
      expect(taught.map(weekday)).toEqual(demoRuns.map(({ beganAt }) => weekday(beganAt)));
    }),
  );
});

test('a person is moved with the classes, but not their birthday; other words and numbers stay', () => {
  const move = datesAround('2027-03-03');
  const [before] = demoPeople.filter(({ person }) => person.breaths.length > 0);
  const after = move(before!);
  expect(days(after.person.breaths[0]!.measuredAt, before!.person.breaths[0]!.measuredAt.slice(0, 10))).toBe(98);
  expect(move({ birthDate: '1980-02-01', title: 'On 2026-11-25', n: 3, none: null })).toEqual({
    birthDate: '1980-02-01',
    title: 'On 2026-11-25',
    n: 3,
    none: null,
  });
});

test('on the day it is written for, nothing moves', () => {
  expect(datesAround('2026-11-25')(DEMO_PLANS)).toEqual(DEMO_PLANS);
});
