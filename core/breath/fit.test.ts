import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BreathPractice, breathCost, cycleOf, fitBreath, practiceMs, setMs, setOf, type BreathSet } from '#core/breath';
import { practice } from '../../tests/support/arbitraries';

const set = (counts: readonly [number, number, number, number], rounds: number, restSeconds = 0): BreathSet =>
  setOf('a', [cycleOf(counts)], rounds, { restSeconds });
const of = (countSeconds: number, ...sets: BreathSet[]): BreathPractice => ({ countSeconds, sets });
const roundsOf = (fit: ReturnType<typeof fitBreath>) => (fit.ok ? fit.practice.sets.map(({ rounds }) => rounds) : []);

describe('fitting rounds into a length of time', () => {
  test('in 5, out 5 at 1.2 s: five minutes hold exactly 25 cycles, five breaths a minute', () => {
    const fit = fitBreath(of(1.2, set([5, 0, 5, 0], 3)), 300);
    expect(fit).toMatchObject({ ok: true, lengthMs: 300_000, quietMs: 0 });
    expect(roundsOf(fit)).toEqual([25]);
    if (fit.ok) expect(breathCost(fit.practice).meanRate).toBe(5);
  });

  test('in 4, full 16, out 8: five minutes hold ten cycles, and twenty seconds of quiet breathing', () => {
    const fit = fitBreath(of(1, set([4, 16, 8, 0], 2)), 300);
    expect([roundsOf(fit), fit]).toMatchObject([[10], { lengthMs: 280_000, quietMs: 20_000 }]);
  });

  test('a count a little longer or shorter fills the time, the least change first', () => {
    const fit = fitBreath(of(1, set([4, 0, 8, 0], 2)), 300, { countWithin: 0.1 });
    expect(fit).toMatchObject({ ok: true, quietMs: 0, practice: { countSeconds: 1 } });
    const odd = fitBreath(of(1, set([4, 16, 8, 0], 2)), 300, { countWithin: 0.1 });
    expect(odd.ok && odd.quietMs).toBeLessThan(20_000);
    expect(odd.ok && Math.abs(odd.practice.countSeconds - 1)).toBeLessThanOrEqual(0.1);
  });

  test('several sets keep their proportions, and rests between them are counted', () => {
    const fit = fitBreath(of(1, set([4, 0, 4, 0], 4, 30), set([4, 0, 8, 0], 6)), 480);
    expect(fit.ok && fit.lengthMs).toBeLessThanOrEqual(480_000);
    const [first = 0, second = 0] = roundsOf(fit);
    expect(second / first).toBeCloseTo(1.5, 0);
  });

  test('where not even one round fits, the shortest is told', () => {
    expect(fitBreath(of(1, set([4, 16, 8, 0], 5)), 27)).toEqual({ ok: false, shortestMs: 28_000 });
  });

  test('never passes the target; no other whole number of rounds comes nearer', () => {
    fc.assert(
      fc.property(practice, fc.integer({ min: 5, max: 240 }), (any, seconds) => {
        const { countSeconds, sets } = any;
        const fit = fitBreath(any, seconds);
        const lengthOf = (set: BreathSet, rounds: number) => setMs({ ...set, rounds }, countSeconds);
        const rest = practiceMs({ countSeconds, sets: sets.map((one) => ({ ...one, rounds: 0 })) });
        // By trying all rounds of every set.
        let nearest = -1;
        const tryAll = (i: number, lengthMs: number): void => {
          const set = sets[i];
          if (!set) {
            if (lengthMs <= seconds * 1000) nearest = Math.max(nearest, lengthMs);
            return;
          }
          const most = seconds * 1000 - lengthMs;
          for (let rounds = set.ramp ? 2 : 1; rounds <= 200 && lengthOf(set, rounds) <= most; rounds++) {
            tryAll(i + 1, lengthMs + lengthOf(set, rounds));
          }
        };
        tryAll(0, rest);
        expect(fit.ok).toBe(nearest >= 0);
        if (!fit.ok) return;
        expect(fit.lengthMs).toBe(nearest);
        expect(practiceMs(fit.practice)).toBe(fit.lengthMs);
        expect(fit.lengthMs + fit.quietMs).toBe(seconds * 1000);
        expect(fit.practice.countSeconds).toBe(countSeconds);
      }),
      { numRuns: 60 },
    );
  });

  test('with a count that may change it comes at least as near, and stays within its bounds', () => {
    fc.assert(
      fc.property(practice, fc.integer({ min: 60, max: 240 }), (any, seconds) => {
        const [plain, free] = [fitBreath(any, seconds), fitBreath(any, seconds, { countWithin: 0.1 })];
        fc.pre(plain.ok && free.ok);
        expect(free.lengthMs).toBeGreaterThanOrEqual(plain.lengthMs);
        expect(free.lengthMs).toBeLessThanOrEqual(seconds * 1000);
        expect(Math.abs(free.practice.countSeconds / any.countSeconds - 1)).toBeLessThanOrEqual(0.1001);
        expect(BreathPractice.safeParse(free.practice).success).toBe(true);
      }),
      { numRuns: 25 },
    );
  });
});
