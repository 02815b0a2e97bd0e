import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { holdNamed, restStep, type Plan, type Step } from '#core/plan';
import { noLibrary, planOf } from '../../tests/support/examples';
import { exactGrid, fitHolds, usualFitOptions, type FitOptions } from './index';

const hold = (id: string, seconds: number, [min, max]: [number, number], twoSided = false): Step => ({
  ...holdNamed(id, id),
  sides: twoSided ? { kind: 'each', first: 'left', length: { kind: 'even', seconds } } : { kind: 'together', seconds },
  range: { min, max },
  setupSeconds: 0,
  enterSeconds: 0,
  leaveSeconds: 0,
  switchSeconds: 0,
});
const optionsFor = (plan: Plan, seconds: number, gridSeconds: FitOptions['gridSeconds']): FitOptions => ({
  ...usualFitOptions(plan, noLibrary),
  target: { kind: 'length', seconds },
  lastRestSeconds: null,
  talkSeconds: 0,
  gridSeconds,
});
function suggested(plan: Plan, seconds: number, grid: FitOptions['gridSeconds'] = 15) {
  const options = optionsFor(plan, seconds, grid);
  const planned = { plan, library: noLibrary };
  return exactGrid(planned, options, fitHolds(planned, options));
}

describe('a finer grid that meets the target exactly', () => {
  test('is the coarsest that does, is found for two sides by halves, and is not offered where nothing is left', () => {
    const one = planOf(hold('a', 180, [60, 600]));
    expect(suggested(one, 300)).toBeUndefined();
    // 305 s: one hold of 5:05.
    expect(suggested(one, 305)).toBe(5);
    expect(suggested(one, 303)).toBe(1);
    // On both sides: 310 s are 2:35 a side; 305 s would be 2:32.5.
    const two = planOf(hold('a', 150, [60, 600], true));
    expect(suggested(two, 310)).toBe(5);
    expect(suggested(two, 306)).toBe(1);
    expect(suggested(two, 305)).toBeUndefined();
  });

  test('whatever the plan: fitted on the grid that is offered, the target is met to the second', () => {
    const length = fc.integer({ min: 4, max: 40 }).map((quarters) => quarters * 15);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(length, fc.boolean()), { minLength: 1, maxLength: 4 }),
        length,
        fc.integer({ min: 200, max: 3000 }),
        fc.constantFrom(15 as const, 30 as const, 60 as const),
        (holds, rest, target, grid) => {
          const plan = planOf(
            ...holds.map(([seconds, twoSided], i) =>
              hold(`h${i}`, seconds, [Math.ceil(seconds / 2), seconds * 2], twoSided),
            ),
            restStep('rest', 'Rest', rest),
          );
          const finer = suggested(plan, target, grid);
          if (finer === undefined) return;
          expect(finer).toBeLessThan(grid);
          const found = fitHolds({ plan, library: noLibrary }, optionsFor(plan, target, finer));
          expect(found.kind === 'fits' && found.totalMs).toBe(target * 1000);
        },
      ),
      { numRuns: 60 },
    );
  });
});
