import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Ratio } from '#core/breath';
import {
  cycleOf,
  LADDER,
  isOutdated,
  medianOf,
  offeredCount,
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

describe('the count that is offered', () => {
  // Worked by hand: in and out within 0.8 to 1.25 of the easy ones, holds within 0.8, no breath faster than the easy one.
  test.each([
    [{ in: 2.6, out: 3.4 }, ratio(1, 0, 1), 3],
    [{ in: 2.6, out: 3.4 }, ratio(1, 0, 2), 2.1],
    [{ in: 4, out: 4 }, ratio(1, 0, 2), 'The out-breath would be 6.4 s; up to 5.0 s is near your own.'],
    [{ in: 4, out: 4 }, ratio(2, 0, 3), 1.6],
    [measured, ratio(4, 8, 8), 1.2],
    [measured, ratio(4, 16, 8), 'The hold would be 19.2 s; 9.6 s is easy.'],
    [{ in: 6, out: 9 }, ratio(1, 1, 2), 'No easy full hold has been measured.'],
    [measured, ratio(1, 1, 1, 1), 'No easy empty hold has been measured.'],
  ])('%j at %j: %s', (easy, wanted, expected) => {
    const offer = offeredCount(easy, wanted);
    expect(offer.ok ? offer.countSeconds : offer.reason).toBe(expected);
  });

  test('is the first that is allowed of all tenths of a second there are, and is refused where none is', () => {
    const easy = fc.integer({ min: 20, max: 300 }).map((tenths) => tenths / 10);
    const counts = fc.integer({ min: 1, max: 16 });
    fc.assert(
      fc.property(fc.tuple(easy, easy, easy, easy), fc.tuple(counts, counts, counts, counts), (own, chosen) => {
        const [breathIn, holdFull, out, holdEmpty] = chosen;
        const [ownIn, ownFull, ownOut, ownEmpty] = own.map((seconds) => Math.round(seconds * 10)) as [
          number,
          number,
          number,
          number,
        ];
        // Everything in tenths of seconds times a hundred.
        const allowed = (tenths: number): boolean => {
          const near = (count: number, easyTenths: number) =>
            count * tenths * 100 >= 80 * easyTenths && count * tenths * 100 <= 125 * easyTenths;
          const held = (count: number, easyTenths: number) => count * tenths * 100 <= 80 * easyTenths;
          const whole = (breathIn + holdFull + out + holdEmpty) * tenths;
          return (
            near(breathIn, ownIn) &&
            near(out, ownOut) &&
            held(holdFull, ownFull) &&
            held(holdEmpty, ownEmpty) &&
            whole >= ownIn + ownOut
          );
        };
        const first = Array.from({ length: 400 }, (_, i) => i + 1).find(allowed);
        const offer = offeredCount(
          { in: own[0], holdFull: own[1], out: own[2], holdEmpty: own[3] },
          { in: breathIn, holdFull, out, holdEmpty },
        );
        expect(offer.ok ? Math.round(offer.countSeconds * 10) : undefined).toBe(first);
      }),
      { numRuns: 500 },
    );
  });
});

describe('the ladder', () => {
  test('goes from the gentle to the strong, each rung behind a gate', () => {
    for (const rung of LADDER) expect(Rung.safeParse(rung).success).toBe(true);
    expect(LADDER[0]).toMatchObject({ ratio: ratio(1, 0, 1), gate: 0 });
    expect(LADDER.slice(1).every(({ gate }) => gate > 0)).toBe(true);
    expect(LADDER.slice(3).map(({ ratio: one }) => ratioInWords(one))).toEqual(
      // Its order, by what it asks.
      ['4 : 1 : 6', '4 : 2 : 8', '1 : 1 : 2', '1 : 1 : 1 : 1', '1 : 2 : 2', '1 : 2 : 2 : 1', '1 : 3 : 2'].concat([
        '1 : 4 : 2',
        '1 : 4 : 2 : 1',
      ]),
    );
  });

  test('what each rung would mean for a person', () => {
    const offers = ratioOffers(measured);
    const named = (words: string) => offers.find((one) => ratioInWords(one.ratio) === words);
    // In 6.0, out 9.0: even breath at 7.5 s each way, so that it is no faster than their own fifteen seconds.
    expect(named('1 : 0 : 1')).toMatchObject({ countSeconds: 7.5, cycleSeconds: 15, offered: true, reason: '' });
    expect(named('1 : 0 : 1')!.breathsAMinute).toBeCloseTo(4, 2);
    expect(named('1 : 1 : 2')).toMatchObject({ countSeconds: 4.8, cycleSeconds: 19.2, longestHoldSeconds: 4.8 });
    expect(named('1 : 4 : 2')).toMatchObject({ offered: false, countSeconds: undefined });
    expect(named('1 : 1 : 1 : 1')).toMatchObject({ offered: false, reason: 'No easy empty hold has been measured.' });
    for (const { offered, countSeconds, reason } of ratioOffers({ ...measured, holdEmpty: 0.5 })) {
      expect(offered).toBe(countSeconds !== undefined);
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

test('a measured breath is current for six weeks', () => {
  const measuredAt = '2026-10-01T18:00:00Z';
  expect(isOutdated(measuredAt, Date.parse('2026-11-12T18:00:00Z'))).toBe(false);
  expect(isOutdated(measuredAt, Date.parse('2026-11-12T18:00:01Z'))).toBe(true);
});

test('a long count is practised as more counts of about a second, no longer, and shorter by next to nothing', () => {
  // Seven counts would be 1.07 s; five are 1.5 s.
  expect(practisedAs(ratio(1, 0, 1), 7.5)).toEqual({ counts: ratio(5, 0, 5), countSeconds: 1.5 });
  // A prime number of tenths divides by nothing.
  expect(practisedAs(ratio(1, 0, 1), 3.1)).toEqual({ counts: ratio(3, 0, 3), countSeconds: 1.033 });
  expect(practisedAs(ratio(1, 0, 2), 3.6)).toEqual({ counts: ratio(3, 0, 6), countSeconds: 1.2 });
  expect(practisedAs(ratio(4, 8, 8), 0.9)).toEqual({ counts: ratio(4, 8, 8), countSeconds: 0.9 });
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 150 }), (tenths) => {
      const { counts, countSeconds } = practisedAs(ratio(1, 2, 2), tenths / 10);
      expect(counts.in * countSeconds).toBeLessThanOrEqual(tenths / 10 + 1e-9);
      expect(counts.in * countSeconds).toBeGreaterThan(tenths / 10 - 0.02);
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
