import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BREATHERS,
  BreathMeasure,
  breathsOfTurns,
  easyBreath,
  ratioOffers,
  simulatedBreather,
  steadiness,
  strainOf,
  type Breather,
} from '#core/breath';

const measure = {
  in: [4, 4.2, 3.8, 4, 4.1],
  out: [5, 5.5, 5.2, 5.1, 5.3],
  holdFull: [9, 9.5, 10],
  holdEmpty: [],
};

describe('what was easy', () => {
  test('is the median of the single values; a hold that was not measured is not there', () => {
    expect(easyBreath(measure)).toEqual({ in: 4, out: 5.2, holdFull: 9.5 });
    expect(() => easyBreath({ ...measure, in: [4, 4] })).toThrow('At least 5');
  });

  test('how steady it was, in words', () => {
    expect(steadiness([4, 4, 4, 4, 4])).toEqual({ share: 0, word: 'very steady' });
    expect(steadiness([4, 5, 3.5, 4, 4.8]).word).toBe('steady');
    expect(steadiness([2, 6, 3, 5, 9]).word).toBe('changing');
  });

  test('fewer than five breaths are no measuring', () => {
    const whole = { id: 'a', measuredAt: '2026-11-26T18:30', ...measure };
    expect(BreathMeasure.safeParse(whole).success).toBe(true);
    expect(BreathMeasure.safeParse({ ...whole, in: [4, 4, 4, 4] }).success).toBe(false);
  });
});

describe('turns', () => {
  test('a breath counts when its out-breath has ended', () => {
    expect(breathsOfTurns([0, 4000, 9500])).toEqual({ in: [4], out: [5.5] });
    expect(breathsOfTurns([0, 4000, 9500, 13_000])).toEqual({ in: [4], out: [5.5] });
    expect(breathsOfTurns([])).toEqual({ in: [], out: [] });
  });

  test('give back the breaths they were made from', () => {
    const ms = fc.integer({ min: 300, max: 20_000 });
    fc.assert(
      fc.property(fc.array(fc.tuple(ms, ms), { maxLength: 12 }), (breaths) => {
        const turns = breaths.flat().reduce((all, length) => [...all, all.at(-1)! + length], [1_790_000_000_000]);
        expect(breathsOfTurns(turns)).toEqual({
          in: breaths.map(([a]) => a / 1000),
          out: breaths.map(([, b]) => b / 1000),
        });
      }),
    );
  });
});

describe('strain', () => {
  test('a hold that grew by more than a quarter at once is told, with the figures', () => {
    expect(strainOf([], 30)).toBeUndefined();
    expect(strainOf([10], 12.5)).toBeUndefined();
    expect(strainOf([8, 10], 13)).toContain('13.0 s, 30 % longer');
    expect(strainOf([10, 8], 6)).toBeUndefined();
  });
});

describe('simulated breathers', () => {
  test('the same one with the same seed breathes the same, within what is unsteady about them', () => {
    for (const breather of BREATHERS) {
      const [one, other] = [simulatedBreather(breather, 7), simulatedBreather(breather, 7)];
      for (let i = 0; i < 20; i++) {
        const breath = one.breath();
        expect(breath).toEqual(other.breath());
        expect(Math.abs(breath.in / breather.in - 1)).toBeLessThanOrEqual(breather.unsteady + 0.001);
      }
    }
    const [a, b] = [simulatedBreather(BREATHERS[0]!, 1).breath(), simulatedBreather(BREATHERS[0]!, 2).breath()];
    expect(a).not.toEqual(b);
  });

  test('who strains does so at the third hold', () => {
    const strains = BREATHERS.find((one): one is Breather => one.strains)!;
    const someone = simulatedBreather(strains, 1);
    const holds = [1, 2, 3].map(() => someone.hold('holdFull'));
    expect(strainOf(holds.slice(0, 1), holds[1]!)).toBeUndefined();
    expect(strainOf(holds.slice(0, 2), holds[2]!)).toBeDefined();
  });

  test('their measurings can be kept, and the ladder says something of every ratio', () => {
    const someone = simulatedBreather(BREATHERS[1]!, 5);
    const breaths = Array.from({ length: 6 }, () => someone.breath());
    const easy = easyBreath({
      in: breaths.map((one) => one.in),
      out: breaths.map((one) => one.out),
      holdFull: [12],
      holdEmpty: [],
    });
    const offers = ratioOffers(easy);
    expect(offers.filter(({ offered }) => offered).length).toBeGreaterThan(3);
    expect(offers.every(({ offered, reason }) => offered === (reason === ''))).toBe(true);
  });
});
