import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  breathCost,
  BreathPractice,
  countOfTaps,
  cycleOf,
  linkedCounts,
  ownPaceOf,
  presetsOf,
  QUARTERS,
  readCounts,
  retentionOf,
  setOf,
  taughtInSteps,
  type Ratio,
} from '#core/breath';
import { practice } from '../../tests/support/arbitraries';

const counts = (inCounts: number, holdFull: number, out: number, holdEmpty = 0): Ratio => ({
  in: inCounts,
  holdFull,
  out,
  holdEmpty,
});

describe('counts that keep their ratio', () => {
  test('one leads the others, in whole counts', () => {
    expect(linkedCounts(counts(4, 4, 8), 'in', 5)).toEqual({ ok: true, counts: counts(5, 5, 10) });
    expect(linkedCounts(counts(4, 0, 6), 'out', 9)).toEqual({ ok: true, counts: counts(6, 0, 9) });
  });

  test('where the others would not be whole, what would go is told', () => {
    expect(linkedCounts(counts(4, 0, 6), 'in', 5)).toEqual({
      ok: false,
      reason: 'With its ratio kept, the in-breath goes 2, 4, 6 … Unlink to set it alone.',
    });
    expect(linkedCounts(counts(4, 0, 6), 'holdFull', 2)).toMatchObject({ ok: false });
    expect(linkedCounts(counts(4, 16, 8), 'in', 20)).toMatchObject({ reason: expect.stringContaining('at most 60') });
  });

  test('the ratio is the same afterwards', () => {
    const some = fc.integer({ min: 1, max: 12 });
    fc.assert(
      fc.property(some, some, some, some, fc.constantFrom(...QUARTERS), some, (a, b, c, d, quarter, value) => {
        const before = counts(a, b, c, d);
        const after = linkedCounts(before, quarter, value);
        fc.pre(after.ok);
        expect(after.counts[quarter]).toBe(value);
        for (const one of QUARTERS) expect(after.counts[one] * before.in).toBe(before[one] * after.counts.in);
      }),
    );
  });
});

describe('counts as they are typed', () => {
  test.each([
    ['4-16-8-4', 5, counts(4, 16, 8, 4)],
    ['1:4:2', 4, counts(4, 16, 8)],
    ['1:1:1:1', 5, counts(5, 5, 5, 5)],
    ['2:0:3', 5, counts(6, 0, 9)],
    ['4:4:8', 3, counts(4, 4, 8)],
  ])('%s after an in-breath of %d', (typed, before, expected) => {
    expect(readCounts(typed, before)).toEqual({ ok: true, counts: expected });
  });

  test('two numbers are asked about, with the counts they would be', () => {
    expect(readCounts('1:2', 4)).toMatchObject({
      ok: false,
      ask: counts(4, 0, 8),
      reason: expect.stringContaining('?'),
    });
  });

  test.each(['0:0:0:0', '1:-4:2', '61-0-4', '4-1.5-4', 'slow', '1:20:2'])('%s is refused with the reason', (typed) => {
    const read = readCounts(typed, 4);
    expect(read.ok).toBe(false);
    if (!read.ok) expect([read.reason.length > 5, read.ask]).toEqual([true, undefined]);
  });
});

describe('a count that is tapped', () => {
  const taps = (...gaps: number[]) => gaps.reduce((all, gap) => [...all, (all.at(-1) ?? 0) + gap], [1000]);

  test('is the mean of the beat, from four taps on', () => {
    expect(countOfTaps(taps(1000, 1000))).toBeUndefined();
    expect(countOfTaps(taps(1000, 1100, 1050))).toBe(1.05);
  });

  test('a long pause begins anew; what is no count is none', () => {
    expect(countOfTaps(taps(1000, 1000, 9000, 800, 800, 800))).toBe(0.8);
    expect(countOfTaps(taps(1000, 1000, 9000, 800))).toBeUndefined();
    expect(countOfTaps(taps(100, 100, 100, 100))).toBeUndefined();
  });

  test('of a steady beat it is that beat, to a hundredth of a second', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 300 }), fc.integer({ min: 3, max: 20 }), (hundredths, beats) => {
        expect(countOfTaps(taps(...Array<number>(beats).fill(hundredths * 10)))).toBe(hundredths / 100);
      }),
    );
  });
});

describe('presets', () => {
  const held = { countSeconds: 1, sets: [setOf('a', [cycleOf([4, 4, 8, 0], { locks: ['root'] })], 8)] };

  test('half of it, and the same without holding', () => {
    expect(presetsOf(held).map(({ name }) => name)).toEqual(['As usual', 'Half the rounds', 'Without holding']);
    expect(presetsOf(held)[1]?.practice.sets[0]?.rounds).toBe(4);
    expect(breathCost(presetsOf(held)[2]!.practice).retentionMs).toBe(0);
    const onlyHold = { countSeconds: 1, sets: [setOf('a', [retentionOf('full', 10)], 1)] };
    expect(presetsOf(onlyHold).map(({ name }) => name)).toEqual(['As usual']);
  });

  test('every one of any practice can be had', () => {
    fc.assert(
      fc.property(practice, (any) => {
        for (const preset of presetsOf(any)) expect(BreathPractice.safeParse(preset.practice).success).toBe(true);
      }),
    );
  });

  test('taught in steps: each is said with some easy breaths, and then comes the practice', () => {
    let made = 0;
    const taught = taughtInSteps(held, ['Whisper', 'Through the nose'], () => `new-${made++}`);
    expect(taught.sets.map(({ id, says }) => [id, says])).toEqual([
      ['new-0', 'Whisper'],
      ['new-1', 'Through the nose'],
      ['a', ''],
    ]);
    expect(BreathPractice.safeParse(taught).success).toBe(true);
  });

  test('a step that has a name brings it along; a sentence with a colon has none', () => {
    const taught = taughtInSteps(
      { countSeconds: 1, sets: [setOf('a', [ownPaceOf(4, 9)], 1)] },
      ['With a hand: lift it as you breathe in.', 'In right, change, out left: that is one round.', 'Whisper'],
      () => 'new',
    );
    expect(taught.sets.slice(0, 3).map(({ label, says }) => [label, says])).toEqual([
      ['With a hand', 'Lift it as you breathe in.'],
      ['Step 2', 'In right, change, out left: that is one round.'],
      ['Step 3', 'Whisper'],
    ]);
    // As long as the other breaths at their own pace.
    expect(taught.sets[0]?.parts).toEqual([ownPaceOf(6, 9)]);
  });
});
