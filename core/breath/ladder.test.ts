import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Ratio } from '#core/breath';
import {
  comfortableCount,
  cycleOf,
  LADDER,
  MIN_COUNT_SECONDS,
  medianOf,
  ownPaceOf,
  ratioInWords,
  ratioOfPractice,
  practisedAs,
  ratioOffers,
  readRatio,
  Rung,
  setOf,
} from '#core/breath';

const ratio = (breathIn: number, holdFull: number, out: number, holdEmpty = 0): Ratio => ({
  in: breathIn,
  holdFull,
  out,
  holdEmpty,
});
const measured = { in: 6, holdFull: 12, out: 9 };

describe('the comfortable count', () => {
  test('in 6.0, full 12.0, out 9.0: 4-16-8 gives 0.6 s, 4-8-8 gives 0.9 s', () => {
    expect(comfortableCount(measured, ratio(4, 16, 8))).toBe(0.6);
    expect(comfortableCount(measured, ratio(4, 8, 8))).toBe(0.9);
  });

  test('a hold that was not measured gives none', () => {
    expect(comfortableCount({ in: 6, out: 9 }, ratio(1, 1, 2))).toBeUndefined();
    expect(comfortableCount(measured, ratio(1, 1, 1, 1))).toBeUndefined();
    expect(comfortableCount({ in: 6, out: 9 }, ratio(4, 0, 8))).toBe(0.9);
  });

  test('keeps every part within eight tenths of what was measured, and a tenth more would not', () => {
    const easy = fc.integer({ min: 20, max: 300 }).map((tenths) => tenths / 10);
    const counts = fc.integer({ min: 1, max: 16 });
    fc.assert(
      fc.property(fc.tuple(easy, easy, easy, easy), fc.tuple(counts, counts, counts, counts), (own, chosenCounts) => {
        const breath = { in: own[0], holdFull: own[1], out: own[2], holdEmpty: own[3] };
        const [breathIn, holdFull, out, holdEmpty] = chosenCounts;
        const tenths = Math.round(comfortableCount(breath, { in: breathIn, holdFull, out, holdEmpty })! * 10);
        // In whole hundredths of seconds: 0.8 × measured against counts × tenths.
        const room = own.map((seconds, i) => Math.round(seconds * 10) * 8 - chosenCounts[i]! * tenths * 10);
        expect(Math.min(...room)).toBeGreaterThanOrEqual(0);
        expect(Math.min(...room.map((left, i) => left - chosenCounts[i]! * 10))).toBeLessThan(0);
      }),
    );
  });
});

describe('the ladder', () => {
  test('goes from the gentle to the strong, each rung behind a gate, the empty hold last', () => {
    for (const rung of LADDER) expect(Rung.safeParse(rung).success).toBe(true);
    expect(LADDER[0]).toMatchObject({ ratio: ratio(1, 0, 1), gate: 0 });
    expect(LADDER.slice(1).every(({ gate }) => gate > 0)).toBe(true);
    const share = ({ ratio: { in: i, holdFull, out, holdEmpty } }: Rung) =>
      (holdFull + holdEmpty) / (i + holdFull + out + holdEmpty);
    const full = LADDER.filter(({ ratio: { holdEmpty } }) => holdEmpty === 0).slice(3);
    for (const [i, rung] of full.slice(1).entries()) {
      if (rung.ratio.out !== 2 || full[i]!.ratio.out !== 2) continue;
      expect(share(rung)).toBeGreaterThan(share(full[i]!));
    }
    const firstEmpty = LADDER.findIndex(({ ratio: { holdEmpty } }) => holdEmpty > 0);
    expect(LADDER.slice(firstEmpty).every(({ ratio: { holdEmpty } }) => holdEmpty > 0)).toBe(true);
  });

  test('what each rung would mean for a person', () => {
    const offers = ratioOffers(measured);
    expect(offers[0]).toMatchObject({ countSeconds: 4.8, cycleSeconds: 9.6, offered: true, reason: '' });
    expect(offers[0]!.breathsAMinute).toBeCloseTo(6.25, 2);
    const classic = offers.find((one) => ratioInWords(one.ratio) === '1 : 4 : 2');
    expect(classic).toMatchObject({ countSeconds: 2.4, cycleSeconds: 16.8, longestHoldSeconds: 9.6, offered: true });
    const square = offers.find((one) => ratioInWords(one.ratio) === '1 : 1 : 1 : 1');
    expect(square).toMatchObject({ offered: false, reason: 'No easy empty hold has been measured.' });
    for (const { offered, countSeconds, reason } of ratioOffers({ ...measured, holdEmpty: 0.5 })) {
      expect(offered).toBe(countSeconds! >= MIN_COUNT_SECONDS);
      expect(reason === '').toBe(offered);
    }
  });
});

describe('a ratio as it is typed', () => {
  test.each([
    ['1:4:2', ratio(1, 4, 2)],
    ['4-16-8-4', ratio(4, 16, 8, 4)],
    [' 1 : 1 : 1 : 1 ', ratio(1, 1, 1, 1)],
    ['4-0-8', ratio(4, 0, 8)],
  ])('%s', (typed, expected) => {
    expect(readRatio(typed)).toEqual({ ok: true, ratio: expected });
  });

  test('two numbers are taken as in and out only after asking', () => {
    expect(readRatio('1:4')).toEqual({ ok: false, ask: ratio(1, 0, 4), reason: 'In 1 and out 4, without a hold?' });
  });

  test.each([
    ['', 'Type a ratio like'],
    ['four to eight', 'Type a ratio like'],
    ['1:2:3:4:5', 'Type a ratio like'],
    ['0:0:0:0', 'begins with an in-breath'],
    ['1.5:2:3', 'whole numbers'],
    ['4:-1:2', ''],
    ['60:60:60:1', 'Too many counts'],
  ])('%s is refused', (typed, reason) => {
    const read = readRatio(typed);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.reason).toContain(reason);
  });

  test('what is said is read again; nothing typed throws', () => {
    for (const { ratio: one } of LADDER) expect(readRatio(ratioInWords(one))).toEqual({ ok: true, ratio: one });
    fc.assert(fc.property(fc.string(), (typed) => expect(typeof readRatio(typed).ok).toBe('boolean')));
  });
});

test('the median of measured breaths, of five at least', () => {
  expect(medianOf([5, 1, 4, 2, 3])).toBe(3);
  expect(medianOf([5, 1, 4, 2, 3, 6])).toBe(3.5);
  expect(() => medianOf([1, 2, 3, 4])).toThrow('At least 5');
});

test('a long count is practised as more counts of about a second, and nothing gets longer', () => {
  expect(practisedAs(ratio(1, 0, 2), 3.6)).toEqual({ counts: ratio(3, 0, 6), countSeconds: 1.2 });
  expect(practisedAs(ratio(4, 8, 8), 0.9)).toEqual({ counts: ratio(4, 8, 8), countSeconds: 0.9 });
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 150 }), (tenths) => {
      const { counts, countSeconds } = practisedAs(ratio(1, 2, 2), tenths / 10);
      expect(counts.in * countSeconds).toBeLessThanOrEqual(tenths / 10 + 1e-9);
      expect(counts.holdFull).toBe(2 * counts.in);
    }),
  );
});

test.each([
  [[4, 0, 8, 0], '1 : 0 : 2'],
  [[6, 6, 6, 6], '1 : 1 : 1 : 1'],
  [[4, 16, 8, 0], '1 : 4 : 2'],
  [[5, 0, 7, 0], '5 : 0 : 7'],
] as const)('a practice of %j is %s', (counts, words) => {
  const ratio = ratioOfPractice({ countSeconds: 1, sets: [setOf('a', [ownPaceOf(3, 6), cycleOf(counts)], 4)] });
  expect(ratio && ratioInWords(ratio)).toBe(words);
});

test('breaths at an easy pace, and half counts, have no ratio', () => {
  expect(ratioOfPractice({ countSeconds: 1, sets: [setOf('a', [ownPaceOf(3, 6)], 4)] })).toBeUndefined();
  expect(ratioOfPractice({ countSeconds: 1, sets: [setOf('a', [cycleOf([4.5, 0, 6, 0])], 4)] })).toBeUndefined();
});
