import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  mirrorSetUp,
  movesInWords,
  movesAtSwitch,
  piecesByKind,
  placedProps,
  propMoves,
  setUpInWords,
  SetUpRow,
  type PlacedProp,
} from '#core/props';
import { fewPlaced, setUp } from '../../tests/support/arbitraries';

const row = (patch: Partial<SetUpRow>): SetUpRow => ({
  id: 'row',
  kind: 'blanket',
  state: 'basic',
  lie: 'lengthwise',
  place: 'hip',
  side: 'left',
  count: 1,
  mirror: true,
  optional: false,
  why: '',
  ...patch,
});

const placed = (patch: Partial<PlacedProp>): PlacedProp => ({
  kind: 'blanket',
  state: 'basic',
  lie: 'lengthwise',
  place: 'hip',
  side: 'centre',
  count: 1,
  ...patch,
});

describe('mirror', () => {
  test('a cushion under the left hip moves to the right hip, and one that does not mirror stays', () => {
    const rows = [row({}), row({ mirror: false })];
    expect(placedProps(rows, 'left').map(({ side }) => side)).toEqual(['left', 'left']);
    expect(placedProps(rows, 'right').map(({ side }) => side)).toEqual(['right', 'left']);
    expect(rows.map(movesAtSwitch)).toEqual([true, false]);
  });

  test('mirrored twice is the same', () => {
    fc.assert(fc.property(setUp, (rows) => expect(mirrorSetUp(mirrorSetUp(rows))).toEqual(rows)));
  });

  test('mirroring needs the same pieces', () => {
    fc.assert(
      fc.property(setUp, (rows) => {
        expect(piecesByKind(placedProps(rows, 'right'))).toEqual(piecesByKind(placedProps(rows, 'left')));
      }),
    );
  });

  test('a row on each side needs twice its count', () => {
    expect(piecesByKind(placedProps([row({ side: 'each', count: 2 })], 'both')).get('blanket')).toBe(4);
  });
});

describe('moves', () => {
  test('putting down, taking away, refolding, moving', () => {
    const roll = placed({ state: 'rolled', place: 'knees' });
    expect(propMoves([], [placed({ count: 2 })]).map(({ action }) => action)).toEqual(['putDown', 'putDown']);
    expect(propMoves([placed({})], []).map(({ action }) => action)).toEqual(['takeAway']);
    expect(propMoves([placed({})], [placed({ state: 'rolled' })]).map(({ action }) => action)).toEqual(['refold']);
    expect(propMoves([placed({})], [placed({ place: 'knees' })]).map(({ action }) => action)).toEqual(['move']);
    expect(propMoves([placed({})], [roll]).map(({ action }) => action)).toEqual(['refold', 'move']);
  });

  test('the wall is not carried', () => {
    expect(propMoves([], [placed({ kind: 'wall', state: 'whole', place: 'legs' })])).toEqual([]);
  });

  const cost = (a: PlacedProp, b: PlacedProp): number =>
    (a.state === b.state ? 0 : 1) + (a.place === b.place && a.side === b.side && a.lie === b.lie ? 0 : 1);
  const spread = (all: PlacedProp[], kind: string): PlacedProp[] =>
    all.filter((p) => p.kind === kind).flatMap((p) => Array.from({ length: p.count }, () => p));
  const leastBruteForce = (before: PlacedProp[], after: PlacedProp[]): number => {
    const [one, ...others] = before;
    if (!one) return after.length;
    const kept = after.map((to, i) => cost(one, to) + leastBruteForce(others, after.toSpliced(i, 1)));
    return Math.min(1 + leastBruteForce(others, after), ...kept);
  };

  test('the list is as short as brute force finds', () => {
    fc.assert(
      fc.property(fewPlaced, fewPlaced, (before, after) => {
        const least = ['blanket', 'block'].reduce(
          (n, kind) => n + leastBruteForce(spread(before, kind), spread(after, kind)),
          0,
        );
        expect(propMoves(before, after)).toHaveLength(least);
      }),
      { numRuns: 400 },
    );
  });

  test('doing the moves gives what was wanted', () => {
    const key = (p: object): string => JSON.stringify(p);
    fc.assert(
      fc.property(fewPlaced, fewPlaced, (before, after) => {
        const lying = before.flatMap(({ count, ...p }) => Array.from({ length: count }, () => key(p)));
        for (const move of propMoves(before, after)) {
          if (move.action !== 'putDown') {
            const at = lying.indexOf(key(move.from));
            expect(at).toBeGreaterThanOrEqual(0);
            lying.splice(at, 1);
          }
          if (move.action !== 'takeAway') lying.push(key(move.to));
        }
        const wanted = after.flatMap(({ count, ...p }) => Array.from({ length: count }, () => key(p)));
        expect(lying.sort()).toEqual(wanted.sort());
      }),
    );
  });
});

describe('rows and words', () => {
  test('a fold the kind does not have is refused with those it has', () => {
    const refused = SetUpRow.safeParse(row({ kind: 'block', state: 'rolled' }));
    expect(refused.success).toBe(false);
    expect(refused.error?.issues[0]?.message).toContain('flat, edge, tall');
  });

  test('a set-up in one line', () => {
    expect(setUpInWords([row({ count: 2 }), row({ kind: 'flatBolster', state: 'whole' }), row({ side: 'each' })])).toBe(
      '4 blankets, bolster',
    );
  });

  test('a piece that is folded otherwise and put elsewhere is one thing to say', () => {
    const roll = placed({ state: 'rolled', place: 'knees' });
    expect(movesInWords(propMoves([placed({})], [roll]))).toBe('blanket: rolled, under the knees');
    expect(movesInWords(propMoves([placed({})], [placed({ state: 'rolled' })]))).toBe('blanket: rolled');
    expect(movesInWords(propMoves([placed({})], [placed({ lie: 'crosswise' })]))).toBe('blanket crosswise');
    expect(movesInWords([])).toBe('');
  });

  test('moves as a colleague says them', () => {
    const before = [placed({ side: 'left' }), placed({ kind: 'block', state: 'flat', count: 2 })];
    const after = [placed({ side: 'right' }), placed({ kind: 'flatBolster', state: 'whole', place: 'chest' })];
    expect(movesInWords(propMoves(before, after))).toBe('bring bolster; blanket to the right side; 2 blocks away');
  });
});
