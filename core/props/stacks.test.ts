import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PROP_KIND_NAMES, propKind, propState, stackFor, type Available, type PropKind, type Stack } from '#core/props';

const inWords = (stacks: Stack[]) =>
  stacks.map(({ pieces, heightCm }) => [pieces.map(({ kind, state }) => `${kind} ${state}`).join(' + '), heightCm]);
const heightOf = (kind: PropKind, state: string): number => {
  const size = propState(kind, state)!;
  return size.heightCm - size.giveCm;
};

describe('stacks for a height', () => {
  test('one piece before two, the nearer before the farther', () => {
    expect(inWords(stackFor(13, 1, { flatBolster: 1, block: 2, blanket: 4 }))[0]).toEqual(['flatBolster whole', 13]);
    expect(inWords(stackFor(15, 0.5, { block: 2 }))).toEqual([
      ['block edge', 15],
      ['block flat + block flat', 15],
    ]);
  });

  test('wide and firm below', () => {
    const [best] = stackFor(16.2, 0.3, { flatBolster: 1, blanket: 2 });
    expect(best?.pieces.map(({ kind }) => kind)).toEqual(['blanket', 'flatBolster']);
    const [blocks] = stackFor(11, 0.4, { block: 1, blanket: 1 });
    expect(blocks?.pieces.map(({ kind }) => kind)).toEqual(['blanket', 'block']);
  });

  test('a standing block carries nothing', () => {
    for (const { pieces } of stackFor(30, 5, { block: 3, blanket: 3 }, 100)) {
      if (pieces.some(({ state }) => state === 'tall')) expect(pieces).toHaveLength(1);
    }
    expect(inWords(stackFor(23, 0, { block: 1 }))).toEqual([['block tall', 23]]);
  });

  test('where nothing comes near, nothing is proposed', () => {
    expect(stackFor(60, 1, { blanket: 2 })).toEqual([]);
    expect(stackFor(10, 2, {})).toEqual([]);
    expect(stackFor(10, 2, { chair: 4, strap: 2 })).toEqual([]);
  });

  test('on small cupboards it is what trying everything finds', () => {
    const few = fc.record({
      block: fc.integer({ min: 0, max: 2 }),
      blanket: fc.integer({ min: 0, max: 2 }),
      cushion: fc.integer({ min: 0, max: 1 }),
    });
    fc.assert(
      fc.property(
        few,
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 0, max: 20 }),
        (cupboard, target, within) => {
          // Every way of choosing a state, or none, for every single piece.
          const pieces = (Object.entries(cupboard) as [PropKind, number][]).flatMap(([kind, count]) =>
            Array.from({ length: count }, () => kind),
          );
          let fewest = Infinity;
          let nearest = Infinity;
          const tryAll = (i: number, height: number, count: number, tips: boolean): void => {
            const kind = pieces[i];
            if (kind === undefined) {
              const off = Math.abs(Math.round(10 * height) - target);
              if (count === 0 || off > within || (tips && count > 1)) return;
              if (count < fewest || (count === fewest && off < nearest)) [fewest, nearest] = [count, off];
              return;
            }
            tryAll(i + 1, height, count, tips);
            for (const [state, size] of Object.entries(propKind(kind).states)) {
              if (heightOf(kind, state) < 1) continue;
              const tall = size.heightCm > 1.5 * Math.min(size.widthCm, size.depthCm);
              tryAll(i + 1, height + heightOf(kind, state), count + 1, tips || tall);
            }
          };
          tryAll(0, 0, 0, false);
          const [best] = stackFor(target / 10, within / 10, cupboard);
          expect(best !== undefined).toBe(fewest < Infinity);
          if (!best) return;
          expect(best.pieces).toHaveLength(fewest);
          expect(Math.round(Math.abs(best.offCm) * 10)).toBe(nearest);
        },
      ),
      { numRuns: 150 },
    );
  });

  test('never more than is at hand, and the heights add up', () => {
    const cupboard = fc.dictionary(fc.constantFrom(...PROP_KIND_NAMES), fc.integer({ min: 0, max: 3 }));
    fc.assert(
      fc.property(cupboard, fc.integer({ min: 3, max: 40 }), (any, height) => {
        for (const stack of stackFor(height, 1.5, any as Available)) {
          for (const kind of new Set(stack.pieces.map((piece) => piece.kind)))
            expect(stack.pieces.filter((piece) => piece.kind === kind).length).toBeLessThanOrEqual(any[kind] ?? 0);
          const sum = stack.pieces.reduce((total, { kind, state }) => total + heightOf(kind, state), 0);
          expect(stack.heightCm).toBeCloseTo(sum, 6);
          expect(Math.abs(stack.offCm)).toBeLessThanOrEqual(1.5 + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });
});
