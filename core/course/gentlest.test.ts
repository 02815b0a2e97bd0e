import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { earliestWeek, gentlest, reachable, type Growth } from './gentlest';
import { numericGrowth } from './numeric-growth';

/** A few states with steps between them, as a table: `sizes[from][to]`, null where there is no step. */
type Sizes = (number | null)[][];
const growthOf = (sizes: Sizes, aim: number): Growth<number> => ({
  keyOf: String,
  isAim: (state) => state === aim,
  next: (state) =>
    (sizes[state] ?? []).flatMap((step, to) =>
      to === state ? [{ to, step: 0 }] : step === null ? [] : [{ to, step }],
    ),
});

/** All ways of so many weeks, written from the meaning of the table alone. */
function allWays(sizes: Sizes, weeks: number): number[][] {
  let ways = [[0]];
  for (let week = 1; week < weeks; week++)
    ways = ways.flatMap((way) =>
      sizes.flatMap((_, to) => {
        const from = way.at(-1)!;
        return from === to || sizes[from]![to] !== null ? [[...way, to]] : [];
      }),
    );
  return ways;
}
const stepsOf = (sizes: Sizes, way: readonly number[]): number[] =>
  way.slice(1).map((to, i) => (way[i] === to ? 0 : sizes[way[i]!]![to]!));
const worth = (steps: readonly number[]): [number, number] => [
  Math.max(0, ...steps),
  steps.reduce((sum, step) => sum + step * step, 0),
];

const STATES = 4;
const anySizes = fc.array(
  fc.array(fc.option(fc.integer({ min: 1, max: 6 }), { freq: 2 }), { minLength: STATES, maxLength: STATES }),
  { minLength: STATES, maxLength: STATES },
);

describe('the gentlest way', () => {
  test('has the least largest step of all ways, and then the least squares', () => {
    fc.assert(
      fc.property(anySizes, fc.integer({ min: 1, max: 5 }), (sizes, weeks) => {
        const aim = STATES - 1;
        const found = gentlest(growthOf(sizes, aim), 0, weeks);
        const ways = allWays(sizes, weeks).filter((way) => way.at(-1) === aim);
        if (ways.length === 0) return expect(found).toBeUndefined();
        const [[largest, squares] = []] = ways
          .map((way) => worth(stepsOf(sizes, way)))
          .sort(([a, x], [b, y]) => a - b || x - y);
        expect(worth(stepsOf(sizes, found!.states))).toEqual([largest, squares]);
        expect(found!.largest).toBe(largest);
        expect(ways).toContainEqual(found!.states);
      }),
      { numRuns: 500 },
    );
  });

  test('reaches what can be reached, and no week earlier than there is a way', () => {
    fc.assert(
      fc.property(anySizes, fc.integer({ min: 1, max: 5 }), (sizes, weeks) => {
        const growth = growthOf(sizes, STATES - 1);
        const ends = [...new Set(allWays(sizes, weeks).map((way) => way.at(-1)!))].sort();
        expect(reachable(growth, 0, weeks).sort()).toEqual(ends);
        const first = [1, 2, 3, 4, 5].find((so) => allWays(sizes, so).some((way) => way.at(-1) === STATES - 1));
        expect(earliestWeek(growth, 0, 5)).toBe(first);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a length that grows', () => {
  test('from 3:00 to 5:00 in six weeks by quarters of a minute', () => {
    // 2:00 more are eight quarters in five steps: three steps of two quarters and two of one, the smaller ones first.
    expect(gentlest(numericGrowth(300, 15, 60), 180, 6)).toEqual({
      states: [180, 195, 210, 240, 270, 300],
      largest: 30,
    });
  });
  test('from a length between two quarters, and to one', () => {
    // Half steps at both ends: 3:10 → 3:15 → 3:30 → 3:40.
    expect(gentlest(numericGrowth(220, 15, 15), 190, 4)?.states).toEqual([190, 195, 210, 220]);
  });
  test('gets shorter as well', () => {
    expect(gentlest(numericGrowth(1, 1, 12), 3, 3)?.states).toEqual([3, 2, 1]);
  });
  test('not by more than a week allows', () => {
    expect(gentlest(numericGrowth(300, 15, 15), 180, 8)).toBeUndefined();
    expect(earliestWeek(numericGrowth(300, 15, 15), 180, 20)).toBe(9);
  });
});
