import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  mirrorSetUp,
  movesInWords,
  moveLines,
  movesAtSwitch,
  piecesByKind,
  placedProps,
  propMoves,
  setUpInWords,
  setUpRowInWords,
  stackFor,
  stackHeightCm,
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
    expect(movesInWords(propMoves(before, after))).toBe(
      'bring bolster under the chest; blanket to the right side; 2 blocks away',
    );
  });

  test('what is new is told with its fold, its place and its side, pieces alike together', () => {
    const thighs = (side: 'left' | 'right') => placed({ state: 'rolled', place: 'thighs', side });
    const after = [placed({ kind: 'flatBolster', state: 'whole', place: 'spine' }), thighs('left'), thighs('right')];
    expect(movesInWords(propMoves([], after))).toBe(
      'bring bolster along the spine and 2 blankets, rolled, under the thighs, each side',
    );
  });

  test('put down, take away, turn, move: as many actions as there are moves', () => {
    fc.assert(
      fc.property(fewPlaced, fewPlaced, (before, after) => {
        const moves = propMoves(before, after);
        expect(moveLines(moves).reduce((sum, { moves: count }) => sum + count, 0)).toBe(moves.length);
      }),
    );
    const block = (state: string) => [placed({ kind: 'block', state })];
    expect(moveLines(propMoves(block('flat'), block('edge')))).toEqual([
      { sort: 'turn', says: 'block: on its edge', moves: 1 },
    ]);
  });
});

describe('a cushion under one hip', () => {
  const cushion = row({ kind: 'cushion', state: 'whole', place: 'hip', side: 'left' });

  test('is mirrored at the switch: one move, to the other hip', () => {
    const moves = propMoves(placedProps([cushion], 'left'), placedProps([cushion], 'right'));
    expect(moves.map(({ action }) => action)).toEqual(['move']);
    expect(movesInWords(moves)).toBe('cushion to the right side');
  });

  test('that does not mirror stays where it is, and costs nothing', () => {
    const fixed = { ...cushion, mirror: false };
    expect(propMoves(placedProps([fixed], 'left'), placedProps([fixed], 'right'))).toEqual([]);
  });
});

describe('a prop of one’s own', () => {
  const size = { shape: 'box' as const, widthCm: 45, depthCm: 18, heightCm: 17, giveCm: 0.5 };
  const bench = row({ kind: 'own:kneeling bench', state: 'upright', place: 'seat', side: 'centre', size });

  test('carries its size, and is told by its name', () => {
    expect(SetUpRow.parse(bench)).toEqual(bench);
    expect(stackHeightCm(bench, 2)).toBe(33);
    expect(setUpInWords([{ ...bench, count: 2 }])).toBe('2 kneeling benches');
    expect(setUpRowInWords(bench)).toBe('kneeling bench, upright, under the seat');
  });

  test('is refused without a size, and so is a known prop with one', () => {
    const reasons = (any: object) =>
      SetUpRow.safeParse(any).error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
    expect(reasons({ ...bench, size: undefined })).toEqual([
      'size: A kneeling bench is a custom prop: its measurements are needed.',
    ]);
    expect(reasons(row({ size }))).toEqual(['size: What a blanket measures is known.']);
    expect(reasons({ ...bench, size: { ...size, heightCm: 0 } })?.[0]).toMatch(/The height is at least 0.2 cm/);
  });

  test('takes part in stacks from its own cupboard', () => {
    const kind = { label: 'kneeling bench', faces: [{ label: 'upright', size }] };
    const [best] = stackFor(16.5, 0.4, { 'own:kneeling bench': 1, block: 1 }, 4, [kind]);
    expect(best).toMatchObject({ pieces: [{ kind: 'own:kneeling bench', state: 'upright', size }], heightCm: 16.5 });
  });
});

describe('a strap in a loop', () => {
  const loop = (loopCm: number, count = 1) =>
    SetUpRow.safeParse(row({ kind: 'strap', state: 'loop', place: 'calves', loopCm, count })).error?.issues[0]?.message;

  test('is no longer than the strap; what would work is told', () => {
    expect(loop(90)).toBeUndefined();
    expect(loop(260)).toBe(
      'A strap of 240 cm closes to a loop of 230 cm at most. Make it 230 cm or less, or join 2 straps.',
    );
    expect(loop(260, 2)).toBeUndefined();
    expect(setUpRowInWords(row({ kind: 'strap', state: 'loop', place: 'calves', side: 'centre', loopCm: 90 }))).toBe(
      'strap, in a loop, 90 cm round, round the shins',
    );
  });
});
