import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  freeFor,
  PROP_KIND_NAMES,
  propKind,
  propState,
  rowFor,
  SetUp,
  SetUpRow,
  stackFor,
  usualPlace,
  withStack,
} from '#core/props';
import { setUp } from '../../tests/support/arbitraries';
import { propRow } from '../../tests/support/examples';

const ids = () => {
  let next = 0;
  return () => `new-${next++}`;
};

describe('a row for a prop', () => {
  test('every kind at its usual place is a row that fits', () => {
    for (const kind of PROP_KIND_NAMES) {
      const row = rowFor(kind, usualPlace(kind), 'centre', 'a');
      expect(SetUpRow.safeParse(row).success).toBe(true);
      expect(propState(kind, row.state)).toBeDefined();
    }
  });

  test('a kind of one’s own lies as it is told, with its size', () => {
    const size = { shape: 'box' as const, widthCm: 48, depthCm: 18, heightCm: 19, giveCm: 0 };
    const row = rowFor('own:kneeling bench', 'seat', 'centre', 'a', { label: 'on its feet', size });
    expect(row).toMatchObject({ kind: 'own:kneeling bench', state: 'on its feet', size });
    expect(SetUpRow.safeParse(row).success).toBe(true);
    expect(propKind(row.kind).plural).toBe('kneeling benches');
  });
});

describe('a stack instead of what lay there', () => {
  const seat = propRow('blanket', 'seat', { lie: 'crosswise', why: 'so the back can be long', mirror: false });
  const others = [propRow('block', 'forehead', { side: 'left' }), propRow('eyePillow', 'eyes')];

  test('stands where the rows stood, pieces alike in one row, lying as before', () => {
    const pieces = [
      { kind: 'block' as const, state: 'flat' },
      { kind: 'block' as const, state: 'flat' },
      { kind: 'blanket' as const, state: 'basic' },
    ];
    const changed = withStack([others[0]!, seat, others[1]!], seat, { pieces }, ids());
    expect(changed.map(({ kind, count, place }) => [kind, count, place])).toEqual([
      ['block', 1, 'forehead'],
      ['block', 2, 'seat'],
      ['blanket', 1, 'seat'],
      ['eyePillow', 1, 'eyes'],
    ]);
    expect(changed[1]).toMatchObject({ lie: 'crosswise', mirror: false, why: 'so the back can be long' });
  });

  test('comes last where nothing lay; what lies elsewhere, or there on another side, stays as it is', () => {
    const [stack] = stackFor(7, 1, { block: 2 });
    const changed = withStack(others, { place: 'forehead', side: 'right' }, stack!, ids());
    expect(changed.slice(0, 2)).toEqual(others);
    expect(changed[2]).toMatchObject({ kind: 'block', state: 'flat', place: 'forehead', side: 'right' });
  });

  test('always a set-up that fits, with exactly the stack at that place', () => {
    fc.assert(
      fc.property(setUp, fc.double({ min: 3, max: 25, noNaN: true }), (rows, height) => {
        const [stack] = stackFor(height, 2, { block: 4, blanket: 4, flatBolster: 1 });
        const at = rows[0];
        fc.pre(stack !== undefined && at !== undefined);
        const changed = withStack(rows, at, stack, ids());
        expect(SetUp.safeParse(changed).success).toBe(true);
        const there = changed.filter(({ place, side }) => place === at.place && side === at.side);
        expect(there.reduce((sum, { count }) => sum + count, 0)).toBe(stack.pieces.length);
        const left = (all: SetUp) => all.filter(({ place, side }) => place !== at.place || side !== at.side);
        expect(left(changed)).toEqual(left(rows));
      }),
    );
  });
});

test('what is free for a place: not what lies elsewhere, half where a stack goes on each side, never below none', () => {
  const head = propRow('blanket', 'head');
  const thighs = propRow('blanket', 'thighs', { side: 'each', count: 2 });
  const atHand = { blanket: 7, block: 3 };
  expect(freeFor([head, thighs], head, atHand)).toEqual({ blanket: 3, block: 3 });
  expect(freeFor([head, thighs], thighs, atHand)).toEqual({ blanket: 3, block: 1 });
  expect(freeFor([head, thighs], { place: 'seat', side: 'centre' }, { blanket: 2 })).toEqual({ blanket: 0 });
});
