import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtInLibrary, TEMPLATES } from '#library';
import { noLibrary, planOf, talk, workedHold } from '../../../tests/support/examples';
import { compileTimeline } from '#core/timeline';
import { laneNames, lockPlaces, ribbonDomainMs, stepAt } from './layout';

const template = TEMPLATES.find(({ id }) => id === 'yin');
if (!template) throw new Error('no template');
const { plan } = template;
const timeline = compileTimeline(plan, builtInLibrary);
const scale = { x0: 118, pxPerMs: 1098 / ribbonDomainMs(timeline), height: 36, thread: 3 };

describe('the step under a point', () => {
  test('is the one whose time it is, in the middle of every step', () => {
    for (const { stepIndex, startMs, endMs } of timeline.steps) {
      expect(stepAt(timeline, scale, 118 + ((startMs + endMs) / 2) * scale.pxPerMs)).toBe(stepIndex);
    }
  });

  test('a step of a few pixels can be hit 12 px about its middle', () => {
    const thin = compileTimeline(planOf(workedHold, talk('thin', 5), { ...workedHold, id: 'after' }), builtInLibrary);
    const narrow = { ...scale, pxPerMs: 0.2 / 1000 };
    const middle = 118 + 612.5 * 0.2;
    expect([-11, 0, 11].map((by) => stepAt(thin, narrow, middle + by))).toEqual([1, 1, 1]);
    expect([-14, 14].map((by) => stepAt(thin, narrow, middle + by))).toEqual([0, 2]);
  });

  test('left of the first and right of the last is nothing; in between there is always one', () => {
    expect(stepAt(timeline, scale, 60)).toBeUndefined();
    expect(stepAt(timeline, scale, 1300)).toBeUndefined();
    fc.assert(
      fc.property(fc.double({ min: 119, max: 118 + timeline.totals.totalMs * scale.pxPerMs - 1, noNaN: true }), (x) => {
        expect(stepAt(timeline, scale, x)).toBeDefined();
      }),
    );
  });
});

test('the ribbon shows the longer of total and class, and a minute and a half', () => {
  expect(ribbonDomainMs(timeline)).toBe(75 * 60_000 + 90_000);
  expect(ribbonDomainMs(compileTimeline({ ...plan, classSeconds: 600 }, builtInLibrary))).toBe(
    timeline.totals.totalMs + 90_000,
  );
});

test('names for the lane: the fullest first, then the part before a comma, then the library’s short one', () => {
  expect(laneNames(plan, 3, builtInLibrary)).toEqual([
    'Head to knee, on two blocks',
    'Head to knee',
    'Head to knee',
    'Head',
  ]);
  expect(laneNames(plan, 0, builtInLibrary)).toEqual(['Arrive']);
  expect(laneNames(plan, 99, builtInLibrary)).toEqual([]);
});

describe('locks below a ribbon', () => {
  const steps = [talk('t', 200), workedHold, { ...workedHold, id: 'two' }, talk('end', 60)];
  const locked = planOf(...steps);
  const along = compileTimeline(locked, noLibrary);

  test('one below the middle of each step that can be fitted', () => {
    const places = lockPlaces(locked, along, (ms) => ms / 1000);
    expect(places).toEqual([
      { index: 1, x: (along.steps[1]!.startMs + along.steps[1]!.endMs) / 2000 },
      { index: 2, x: (along.steps[2]!.startMs + along.steps[2]!.endMs) / 2000 },
    ]);
  });

  test('where there is no room for two, the first stands', () => {
    expect(lockPlaces(locked, along, (ms) => ms / 100_000).map(({ index }) => index)).toEqual([1]);
  });
});
