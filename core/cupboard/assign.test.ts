import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from 'yalps';
import { loadedHeightCm, PROP_KIND_NAMES, propState, type Available, type KnownKind, type PropKind } from '#core/props';
import { assignProps, SUBSTITUTES, substitutesFor, unmetPieces, type Assignment, type Want } from '#core/cupboard';

const want = (kind: KnownKind, state: string, pieces: number, optional = false): Want => ({
  kind,
  state,
  pieces,
  optional,
});

/**
 * Needed pieces unmet, pieces if wanted unmet, and how unlike what lies instead is: the less the better, in this order.
 */
type Score = [number, number, number];
const scoreOf = ({ unmet, given }: Assignment): Score => [
  unmet.reduce((sum, { want: { optional }, pieces }) => sum + (optional ? 0 : pieces), 0),
  unmet.reduce((sum, { want: { optional }, pieces }) => sum + (optional ? pieces : 0), 0),
  given.reduce((sum, { instead, pieces }) => sum + (instead?.unlike ?? 0) * pieces, 0),
];
const isBetter = (a: Score, b: Score): boolean => {
  const at = a.findIndex((value, i) => value !== b[i]);
  return at >= 0 && a[at]! < b[at]!;
};

/** Tries, for every single piece, the thing itself, each substitute, and nothing. */
function bruteForce(wants: readonly Want[], here: Available): Score {
  const singles = wants.flatMap((one) => Array.from({ length: one.pieces }, () => one));
  const left = new Map<PropKind, number>(PROP_KIND_NAMES.map((kind) => [kind, here[kind] ?? 0]));
  let best: Score = [Infinity, Infinity, Infinity];
  const tryAll = (i: number, score: Score): void => {
    const single = singles[i];
    if (!single) {
      if (isBetter(score, best)) best = score;
      return;
    }
    const [needed, wished, unlike] = score;
    const ways = [{ with: [{ kind: single.kind, count: 1 }], unlike: 0 }, ...substitutesFor(single.kind, single.state)];
    for (const way of ways) {
      for (const { kind, count } of way.with) left.set(kind, left.get(kind)! - count);
      if ([...left.values()].every((count) => count >= 0)) tryAll(i + 1, [needed, wished, unlike + way.unlike]);
      for (const { kind, count } of way.with) left.set(kind, left.get(kind)! + count);
    }
    tryAll(i + 1, single.optional ? [needed, wished + 1, unlike] : [needed + 1, wished, unlike]);
  };
  tryAll(0, [0, 0, 0]);
  return best;
}

const sorts: [KnownKind, string][] = [
  ['flatBolster', 'whole'],
  ['blanket', 'rolled'],
  ['blanket', 'basic'],
  ['blanket', 'quarter'],
  ['pillow', 'whole'],
  ['block', 'edge'],
  ['cushion', 'whole'],
];
const anyWants = fc
  .uniqueArray(fc.tuple(fc.constantFrom(...sorts), fc.integer({ min: 1, max: 3 }), fc.boolean()), {
    maxLength: 3,
    selector: ([[kind, state], , optional]) => `${kind} ${state} ${optional}`,
  })
  .map((list) => list.map(([[kind, state], pieces, optional]) => want(kind, state, pieces, optional)));
const anyStock = fc.record({
  flatBolster: fc.integer({ min: 0, max: 3 }),
  blanket: fc.integer({ min: 0, max: 5 }),
  pillow: fc.integer({ min: 0, max: 4 }),
  block: fc.integer({ min: 0, max: 3 }),
  cushion: fc.integer({ min: 0, max: 3 }),
  towel: fc.integer({ min: 0, max: 4 }),
  book: fc.integer({ min: 0, max: 5 }),
});

describe('meeting what is wanted', () => {
  test('a group of 14 with 10 bolsters: four take two pillows each', () => {
    const met = assignProps([want('flatBolster', 'whole', 14)], { flatBolster: 10, pillow: 9, blanket: 3 });
    expect(unmetPieces(met)).toBe(0);
    expect(met.given.map(({ instead, pieces }) => [instead?.with[0]?.kind, pieces])).toEqual([
      [undefined, 10],
      ['pillow', 4],
    ]);
    expect(Object.fromEntries(met.used)).toEqual({ flatBolster: 10, pillow: 8 });
  });

  test('and where pillows end, what stays unmet is told', () => {
    const met = assignProps([want('flatBolster', 'whole', 14)], { flatBolster: 10, pillow: 3 });
    expect(met.unmet.map(({ pieces }) => pieces)).toEqual([1]);
  });

  test('the first that is found is not the best: a blanket goes where nothing else can', () => {
    // The pillow could lie for the bolster's half or for the quarter fold; the blanket only for the towel's place.
    const met = assignProps([want('flatBolster', 'whole', 1), want('blanket', 'quarter', 2)], {
      pillow: 2,
      blanket: 3,
    });
    expect(unmetPieces(met)).toBe(0);
  });

  test('what is only wished gives way to what is needed', () => {
    const met = assignProps([want('blanket', 'basic', 2, true), want('blanket', 'rolled', 2)], { blanket: 3 });
    expect(met.unmet).toEqual([{ want: want('blanket', 'basic', 2, true), pieces: 1 }]);
  });

  test('is as good as trying everything', () => {
    fc.assert(
      fc.property(anyWants, anyStock, (wants, here) => {
        expect(scoreOf(assignProps(wants, here))).toEqual(bruteForce(wants, here));
      }),
      { numRuns: 300 },
    );
  });

  test('uses no more than there is, and accounts for every piece', () => {
    fc.assert(
      fc.property(anyWants, anyStock, anyStock, (wants, here, elsewhere) => {
        const { given, unmet, used } = assignProps(wants, here, elsewhere);
        for (const [kind, pieces] of used)
          expect(pieces).toBeLessThanOrEqual((here as Available)[kind]! + (elsewhere as Available)[kind]!);
        for (const one of wants) {
          const of = (list: readonly { want: Want; pieces: number }[]) =>
            list.reduce((sum, entry) => sum + (entry.want === one ? entry.pieces : 0), 0);
          expect(of(given) + of(unmet)).toBe(one.pieces);
        }
      }),
    );
  });

  test('nothing is taken from elsewhere while it is here', () => {
    const met = assignProps([want('blanket', 'basic', 4)], { blanket: 3 }, { blanket: 5, towel: 9 });
    expect(Object.fromEntries(met.used)).toEqual({ blanket: 4 });
  });
});

describe('substitutes', () => {
  const NOT_FOR_HEIGHT = new Set<PropKind>(['strap', 'belt', 'stick', 'eyePillow', 'scarf', 'sandbag']);

  test.each(SUBSTITUTES)('$of $state: what lies instead comes within 2 cm', ({ of, state, with: pieces }) => {
    expect(propState(of, state)).toBeDefined();
    for (const piece of pieces) expect(propState(piece.kind, piece.state)).toBeDefined();
    if (NOT_FOR_HEIGHT.has(of)) return;
    const height = pieces.reduce((sum, piece) => sum + piece.count * loadedHeightCm(piece), 0);
    expect(Math.abs(height - loadedHeightCm({ kind: of, state }))).toBeLessThanOrEqual(2);
  });

  test('nothing stands for more of itself in the same state', () => {
    for (const { of, state, with: pieces } of SUBSTITUTES)
      expect(pieces.some((piece) => piece.kind === of && piece.state === state)).toBe(false);
  });
});

test.each(['timedout', 'cycled', 'infeasible', 'unbounded'] as const)(
  'a solver that ends as “%s” gives no assignment',
  (status) => {
    const gaveUp: typeof solve = (...program) => ({ ...solve(...program), status });
    expect(() => assignProps([want('blanket', 'rolled', 2)], { blanket: 1 }, {}, gaveUp)).toThrow(status);
    expect(assignProps([want('blanket', 'rolled', 2)], { blanket: 1 }, {}, solve).unmet).toHaveLength(1);
  },
);
