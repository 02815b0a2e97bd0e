import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  breathCost,
  cycleOf,
  grownTooFast,
  growthRefusals,
  LOAD_RULES,
  loadFlags,
  ownPaceOf,
  retentionOf,
  setOf,
  strokesOf,
  type BreathPart,
  type BreathPractice,
  type BreathSet,
  type CountedBreath,
} from '#core/breath';
import { practice } from '../../tests/support/arbitraries';

const breath = (
  [breathIn, holdFull, out, holdEmpty]: readonly [number, number, number, number],
  countSeconds = 1,
): CountedBreath => ({ ratio: { in: breathIn, holdFull, out, holdEmpty }, countSeconds });
const usual = breath([4, 4, 8, 0]);

describe('growing from week to week', () => {
  test('one count more in one part is allowed, and getting shorter always is', () => {
    expect(growthRefusals(usual, breath([4, 4, 9, 0]), true)).toEqual([]);
    expect(growthRefusals(usual, breath([3, 0, 6, 0]), true)).toEqual([]);
    expect(growthRefusals(usual, usual, false)).toEqual([]);
  });

  test('a tenth of a long part is allowed where it is more than a count', () => {
    expect(growthRefusals(breath([4, 0, 30, 0]), breath([4, 0, 33, 0]), true)).toEqual([]);
    expect(growthRefusals(breath([4, 0, 30, 0]), breath([4, 0, 34, 0]), true)).toEqual([
      'At most 33 s for the out-breath this week, from 30 s; not 34 s.',
    ]);
  });

  test('not two parts at once, and a longer count lets all of them grow', () => {
    expect(growthRefusals(usual, breath([5, 4, 9, 0]), true)).toEqual([
      'One part at a time: the in-breath and the out-breath would be lengthened together.',
    ]);
    expect(growthRefusals(usual, breath([4, 4, 8, 0], 1.1), true)[0]).toContain('One part at a time');
  });

  test('the holds grow last', () => {
    expect(growthRefusals(usual, breath([4, 5, 8, 0]), true)).toEqual([]);
    expect(growthRefusals(usual, breath([4, 5, 8, 0]), false)).toEqual([
      'Retentions are lengthened last: first the in- and out-breath should be comfortable as they are.',
    ]);
  });

  test('nothing that is no longer in any part is ever refused', () => {
    const counts = fc.integer({ min: 1, max: 20 });
    fc.assert(
      fc.property(fc.tuple(counts, counts, counts, counts), fc.tuple(counts, counts, counts, counts), (a, b) => {
        const smaller = a.map((count, i) => Math.min(count, b[i]!)) as unknown as typeof a;
        expect(growthRefusals(breath(a), breath(smaller), false)).toEqual([]);
      }),
    );
  });
});

describe('what a practice asks', () => {
  const of = (counts: readonly [number, number, number, number]): BreathPractice => ({
    countSeconds: 1,
    sets: [setOf('a', [cycleOf(counts)], 10)],
  });
  const kinds = (counts: readonly [number, number, number, number], checked = true) =>
    loadFlags(of(counts), checked).map(({ kind }) => kind);

  test('a slow even breath is nothing to look at twice', () => {
    expect(kinds([5, 0, 5, 0], false)).toEqual([]);
  });

  test('any retention where nobody was asked, and what passes the house rules', () => {
    expect(kinds([4, 4, 8, 0], false)).toEqual(['retention']);
    expect(kinds([4, 16, 8, 0])).toEqual(['muchHolding', 'verySlow']);
    expect(kinds([6, 24, 12, 0])).toEqual(['longHold', 'muchHolding', 'verySlow']);
    expect(kinds([4, 2, 6, 4])).toEqual(['emptyLongerThanFull', 'emptyInARow']);
    expect(loadFlags(of([4, 16, 8, 0]), true)[0]?.message).toBe('57 % of the time is holding; your limit is 50 %.');
  });

  test('strokes after a long hold of the breath are pointed out, counted, grown or held as a part of its own', () => {
    const flags = (parts: BreathPart[], ramp: BreathSet['ramp'] = null) =>
      loadFlags({ countSeconds: 1, sets: [setOf('s', parts, ramp ? 2 : 1, { ramp })] }, true).map(({ kind }) => kind);
    expect(flags([cycleOf([4, 21, 8, 0]), strokesOf(30, 60)])).toContain('strokesAfterHold');
    expect(flags([cycleOf([4, 0, 8, 21]), strokesOf(30, 60)])).toContain('strokesAfterHold');
    expect(flags([cycleOf([4, 4, 8, 0]), strokesOf(30, 60)], { of: 'holdFull', to: 21, steps: 'counts' })).toContain(
      'strokesAfterHold',
    );
    expect(flags([cycleOf([4, 20, 8, 0]), strokesOf(30, 60)])).not.toContain('strokesAfterHold');
    expect(flags([strokesOf(30, 60), cycleOf([4, 21, 8, 0])])).not.toContain('strokesAfterHold');
  });

  test('a long hold straight after pumps, an empty breath six times in a row, a hold while standing, any hold where none is taught', () => {
    const flags = (parts: BreathPart[], rounds = 1, standing = false, longestHoldSeconds = 20) =>
      loadFlags(
        { countSeconds: 1, sets: [setOf('s', parts, rounds)] },
        true,
        { ...LOAD_RULES, longestHoldSeconds },
        standing,
      ).map(({ kind }) => kind);
    const free = ownPaceOf(3, 4);
    expect(flags([strokesOf(30, 60), retentionOf('full', 15)])).toContain('holdAfterStrokes');
    expect(flags([strokesOf(30, 60), free, retentionOf('full', 15)])).not.toContain('holdAfterStrokes');
    expect(flags([strokesOf(30, 60), retentionOf('full', 5)])).not.toContain('holdAfterStrokes');
    // From one round to the next.
    expect(flags([retentionOf('full', 15), strokesOf(30, 60)], 2)).toContain('holdAfterStrokes');
    expect(flags([cycleOf([4, 0, 6, 2])], 6)).toContain('emptyInARow');
    expect(flags([cycleOf([4, 0, 6, 2])], 5)).not.toContain('emptyInARow');
    expect(flags([cycleOf([4, 0, 6, 2]), free], 12)).not.toContain('emptyInARow');
    expect(flags([cycleOf([4, 4, 6, 0])], 3, true)).toEqual(['holdStanding']);
    expect(flags([cycleOf([4, 0, 6, 0])], 3, true)).toEqual([]);
    expect(flags([cycleOf([4, 1, 6, 0])], 3, false, 0)).toEqual(['longHold']);
    expect(flags([cycleOf([4, 0, 6, 0])], 3, false, 0)).toEqual([]);
  });

  test('who holds nothing is told of no holding', () => {
    fc.assert(
      fc.property(practice, fc.boolean(), (any, checked) => {
        fc.pre(breathCost(any).retentionMs === 0);
        const found = loadFlags(any, checked).map(({ kind }) => kind);
        const ofBreathing = ['verySlow', 'manyStrokes', 'fastStrokes'];
        expect(found.filter((kind) => !ofBreathing.includes(kind))).toEqual([]);
      }),
    );
  });
});

describe('since it was last taught', () => {
  const practised = (counts: readonly [number, number, number, number], id = 'a'): BreathPractice => ({
    countSeconds: 1,
    sets: [setOf(id, [cycleOf(counts)], 10)],
  });

  test('what grew too fast is told; what shrank, stayed or is new is not', () => {
    expect(grownTooFast(practised([4, 0, 6, 0]), practised([4, 0, 7, 0]), true)).toEqual([]);
    expect(grownTooFast(practised([4, 0, 6, 0]), practised([4, 0, 9, 0]), true)).toEqual([
      'At most 7 s for the out-breath this week, from 6 s; not 9 s.',
    ]);
    expect(grownTooFast(practised([4, 4, 8, 0]), practised([4, 0, 4, 0]), true)).toEqual([]);
    expect(grownTooFast(practised([4, 0, 4, 0]), practised([8, 0, 8, 0], 'b'), true)).toEqual([]);
  });

  test('a retention grows only after an in- and out-breath that somebody noted as easy', () => {
    const [before, longer] = [practised([4, 1, 6, 0]), practised([4, 2, 6, 0])];
    expect(grownTooFast(before, longer, true)).toEqual([]);
    expect(grownTooFast(before, longer, false)).toEqual([
      'Retentions are lengthened last: first the in- and out-breath should be comfortable as they are.',
    ]);
    expect(grownTooFast(before, longer, undefined)).toEqual([
      'Retentions are lengthened last: nobody has noted yet whether the in- and out-breath were easy.',
    ]);
    expect(grownTooFast(before, practised([4, 1, 7, 0]), undefined)).toEqual([]);
  });

  test('a change over the rounds counts by where it ends', () => {
    const [set] = practised([4, 0, 4, 0]).sets;
    const grown = { countSeconds: 1, sets: [{ ...set!, ramp: { of: 'out', to: 8, steps: 'counts' } as const }] };
    expect(grownTooFast(practised([4, 0, 4, 0]), grown, true)).toHaveLength(1);
    expect(grownTooFast(grown, practised([4, 0, 8, 0]), true)).toEqual([]);
  });
});
