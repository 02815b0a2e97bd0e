import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve, type Item, type Solution } from '#core/knapsack';
import { addConvex } from './convex';

/** Tries everything: the longest total within the room and, of those, the least harm. */
function tryAll(items: readonly Item[], budgetMs: number): { totalMs: number; cost: number } | undefined {
  let best: { totalMs: number; cost: number } | undefined;
  const walk = (at: number, totalMs: number, cost: number): void => {
    if (totalMs > budgetMs) return;
    const item = items[at];
    if (!item) {
      if (!best || totalMs > best.totalMs || (totalMs === best.totalMs && cost < best.cost)) best = { totalMs, cost };
      return;
    }
    item.ms.forEach((ms, i) => walk(at + 1, totalMs + ms, cost + item.costs[i]!));
  };
  walk(0, 0, 0);
  return best;
}

/** Lengths on a grid, perhaps with one between, and the harm a fitting counts. */
const gridItem = fc
  .record({
    first: fc.integer({ min: 1, max: 20 }),
    count: fc.integer({ min: 1, max: 7 }),
    grid: fc.constantFrom(5, 15, 30, 60),
    times: fc.constantFrom(1, 2),
    between: fc.option(fc.integer({ min: 1, max: 1200 })),
    wished: fc.integer({ min: 10, max: 1200 }),
    weight: fc.constantFrom(1 / 8, 1, 8),
  })
  .map(({ first, count, grid, times, between, wished, weight }): Item => {
    const lengths = Array.from({ length: count }, (_, i) => (first + i) * grid);
    if (between !== null && !lengths.includes(between)) lengths.push(between);
    lengths.sort((a, b) => a - b);
    return {
      ms: lengths.map((s) => s * times * 1000),
      costs: lengths.map((s) => weight * times * ((s - wished) / wished) ** 2),
    };
  });
/** Anything else, as rounds of a breath that changes: lengths and harms without order between them. */
const anyItem = fc
  .uniqueArray(fc.integer({ min: 1, max: 900_000 }), { minLength: 1, maxLength: 4 })
  .chain((ms) =>
    fc
      .array(fc.double({ min: 0, max: 10, noNaN: true }), { minLength: ms.length, maxLength: ms.length })
      .map((costs): Item => ({ ms: [...ms].sort((a, b) => a - b), costs })),
  );

const same = (found: ReturnType<typeof solve>, brute: { totalMs: number; cost: number } | undefined): void => {
  if (found === 'tooFine') throw new Error(found);
  expect(found?.totalMs).toBe(brute?.totalMs);
  if (found && brute) expect(found.cost).toBeCloseTo(brute.cost, 9);
};

describe('choosing one length each', () => {
  test('as good as trying everything, on grids with what lies between', () => {
    fc.assert(
      fc.property(
        fc.array(gridItem, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 6000 }),
        (items, room) => {
          same(solve(items, room * 1000), tryAll(items, room * 1000));
        },
      ),
      { numRuns: 600 },
    );
  });

  test('as good as trying everything, with lengths of any kind', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(gridItem, anyItem), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 1, max: 3000 }),
        (items, room) => {
          const spanMs = items.reduce((sum, { ms }) => sum + ms.at(-1)! - ms[0]!, 0);
          // Finer than 400,000 sums lengths are taken a little longer: see below.
          fc.pre(spanMs <= 400_000 || items.every(({ ms }) => ms.every((one) => one % 1000 === 0)));
          same(solve(items, room * 1000), tryAll(items, room * 1000));
        },
      ),
      { numRuns: 300 },
    );
  });

  test('as good as trying everything, however fine the lengths are, beside some on a grid', () => {
    fc.assert(
      fc.property(
        fc.array(anyItem, { minLength: 2, maxLength: 4 }),
        fc.array(gridItem, { maxLength: 2 }),
        fc.integer({ min: 400, max: 3600 }),
        (fine, grid, room) => {
          const items = [...fine, ...grid];
          const found = solve(items, room * 1000);
          same(found, tryAll(items, room * 1000));
          if (!found || found === 'tooFine') return;
          const picked = found.picks.reduce((sum, pick, i) => sum + items[i]!.ms[pick]!, 0);
          expect(found.totalMs).toBe(picked);
        },
      ),
      { numRuns: 400 },
    );
  });

  test('many lengths that each lie between the grid by another fraction are told apart; too many are told of', () => {
    const item = (i: number): Item => {
      const ms = [...Array.from({ length: 20 }, (_, k) => (k + 4) * 15_000), 137_000 + 7 * i].sort((a, b) => a - b);
      return { ms, costs: ms.map((each) => ((each - 137_000 - 7 * i) / 137_000) ** 2) };
    };
    const twelve = Array.from({ length: 12 }, (_, i) => item(i + 1));
    const asNow = twelve.reduce((sum, { ms, costs }) => sum + ms[costs.indexOf(0)]!, 0);
    expect(solve(twelve, asNow)).toMatchObject({ totalMs: asNow, cost: 0 });
    expect(
      solve(
        Array.from({ length: 200 }, (_, i) => item(i + 1)),
        40_000_000,
      ),
    ).toBe('tooFine');
  });

  test('the picks add up to what is said of them', () => {
    fc.assert(
      fc.property(
        fc.array(gridItem, { minLength: 1, maxLength: 30 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (items, share) => {
          const [least, most] = [0, -1].map((end) => items.reduce((sum, { ms }) => sum + ms.at(end)!, 0)) as [
            number,
            number,
          ];
          const budgetMs = Math.floor(least + share * (most - least));
          const found = solve(items, budgetMs) as Solution;
          const of = (list: 'ms' | 'costs') => found.picks.reduce((sum, pick, i) => sum + items[i]![list][pick]!, 0);
          expect(of('ms')).toBe(found.totalMs);
          expect(of('costs')).toBeCloseTo(found.cost, 9);
          expect(found.totalMs).toBeLessThanOrEqual(budgetMs);
        },
      ),
    );
  });

  test('nothing where even the shortest are too long; progress goes up to one', () => {
    const item: Item = { ms: [1000, 2000], costs: [0, 1] };
    expect(solve([item, item], 1999)).toBeUndefined();
    const heard: number[] = [];
    solve([item, item], 4000, (share) => heard.push(share));
    expect(heard).toEqual([0.5, 1]);
  });
});

test('adding a convex harm is the least over all ways to come to each sum', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.constant(Infinity), fc.integer({ min: 0, max: 50 })), { minLength: 1, maxLength: 40 }),
      fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 12 }),
      fc.integer({ min: -20, max: 20 }),
      fc.integer({ min: 1, max: 4 }),
      (start, bends, slope, step) => {
        // Slopes that only rise make a convex list.
        const slopes = bends.map((_, i) => slope + bends.slice(0, i + 1).reduce((a, b) => a + b, 0));
        const costs = Float64Array.from([
          0,
          ...slopes.map((_, i) => slopes.slice(0, i + 1).reduce((a, b) => a + b, 0)),
        ]);
        const best = Float64Array.from(start);
        const [next, taken] = [new Float64Array(best.length).fill(Infinity), new Uint16Array(best.length)];
        addConvex(best, costs, step, best.length - 1, next, taken);
        for (let u = 0; u < best.length; u++) {
          const ways = [...costs.keys()].filter((k) => u - k * step >= 0).map((k) => best[u - k * step]! + costs[k]!);
          expect(next[u]).toBe(Math.min(...ways));
          if (next[u]! < Infinity) expect(best[u - step * taken[u]!]! + costs[taken[u]!]!).toBe(next[u]);
        }
      },
    ),
    { numRuns: 1000 },
  );
});
