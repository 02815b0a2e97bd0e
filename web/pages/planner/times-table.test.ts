import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { editedPlan, restStep, setFirstSide, setHold } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, TEMPLATES } from '#library';
import { noLibrary, planOf, talk, workedHold } from '../../../tests/support/examples';
import { timesTable } from './times-table';

// By hand: 0:40 set-up, 0:25 in, 3:40 left, 0:20 out, 0:15 change, 0:25 in, 3:40 right, 0:20 out, 0:25 release, then talk.
test('the worked hold: each side with its start and length, then what comes after, then the talk', () => {
  const plan = planOf(workedHold, talk('end', 60));
  const rows = timesTable(plan, compileTimeline(plan, noLibrary), noLibrary);
  expect(rows.map(({ number, startMs, name, side, ms }) => [number, startMs / 1000, name, side, ms / 1000])).toEqual([
    [1, 65, 'Head to knee', 'left', 220],
    [1, 345, 'Head to knee', 'right', 220],
    [1, 585, 'Release after Head to knee', '', 25],
    [2, 610, 'Talk', '', 60],
  ]);
});

test('the first side stands first, with what it is where the library or the step says so', () => {
  const plan = editedPlan(planOf(workedHold, restStep('r', 'Rest', 30)), setFirstSide('worked', 'right'));
  const sides = (of: typeof plan) => timesTable(of, compileTimeline(of, noLibrary), noLibrary).map(({ side }) => side);
  expect(sides(plan)).toEqual(['right', 'left', '', '']);
  const named = editedPlan(plan, setHold('worked', { leftMeans: 'left knee bent' }));
  expect(sides(named)).toEqual(['right knee bent', 'left knee bent', '', '']);
  const heel = editedPlan(plan, setHold('worked', { leftMeans: 'heel up' }));
  expect(sides(heel)).toEqual(['right: heel up', 'left: heel up', '', '']);
});

test('in any plan that ships, rows follow each other, every step has one, and no id comes twice', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TEMPLATES), ({ plan }) => {
      const rows = timesTable(plan, compileTimeline(plan, builtInLibrary), builtInLibrary);
      const starts = rows.map(({ startMs }) => startMs);
      expect(starts).toEqual([...starts].sort((a, b) => a - b));
      expect(new Set(rows.map(({ number }) => number)).size).toBe(plan.steps.length);
      expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
    }),
  );
});
