import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BreathPractice,
  breathCost,
  breathProgram,
  cycleOf,
  feltInWords,
  fitBreath,
  partInWords,
  setInWords,
  setOf,
  soundInWords,
  stepOfBreath,
  tonesOf,
  type BreathSet,
  type CyclePart,
} from '#core/breath';

const practice = (part: CyclePart, rounds: number, set: Partial<BreathSet> = {}) =>
  BreathPractice.parse({ countSeconds: 1, sets: [setOf('a', [part], rounds, set)] });

/** In 6 in three parts with pauses of 2 between them, out 6: 6 + 2 × 2 + 6 = 16 s. */
const INTERRUPTED_IN = cycleOf([6, 0, 6, 0], { inSteps: { parts: 3, pauseCounts: 2 } });
/** Both: 6 + 2 × 2, full 2, 8 + 3 × 1: 23 s. */
const BOTH = cycleOf([6, 2, 8, 0], {
  inSteps: { parts: 3, pauseCounts: 2 },
  outSteps: { parts: 4, pauseCounts: 1 },
});

describe('an interrupted breath', () => {
  test('lasts its counts and its pauses, to the second', () => {
    const [inBreath, outBreath, next] = breathProgram(practice(INTERRUPTED_IN, 2));
    expect([inBreath, outBreath, next].map((phase) => [phase?.kind, phase?.startMs, phase?.endMs])).toEqual([
      ['in', 0, 10_000],
      ['out', 10_000, 16_000],
      ['in', 16_000, 26_000],
    ]);
    expect(inBreath).toMatchObject({ counts: 6, steps: { parts: 3, pauseMs: 2000 } });
    expect(outBreath).not.toHaveProperty('steps');
  });

  test('costs what it pauses: a quarter of sixteen seconds', () => {
    expect(breathCost(practice(INTERRUPTED_IN, 5))).toMatchObject({
      lengthMs: 80_000,
      cycles: 5,
      meanRate: 3.75,
      pausedMs: 20_000,
      retentionMs: 20_000,
      retentionShare: 0.25,
      longestFullMs: 2000,
      longestEmptyMs: 0,
    });
    expect(breathCost(practice(BOTH, 10))).toMatchObject({ lengthMs: 230_000, pausedMs: 70_000, retentionMs: 90_000 });
  });

  test('is fitted with its pauses: seven times sixteen seconds go into two minutes, eight seconds are left', () => {
    const fit = fitBreath(practice(INTERRUPTED_IN, 5), 120);
    expect(fit).toMatchObject({ ok: true, quietMs: 8000 });
    expect(fit.ok && fit.practice.sets[0]?.rounds).toBe(7);
  });

  test('sounds part by part, and is quiet in the pauses', () => {
    const [phase] = breathProgram(practice(INTERRUPTED_IN, 1));
    expect(tonesOf(phase!, 10_000)).toEqual([
      { kind: 'in', atMs: 0, lengthMs: 2000 },
      { kind: 'in', atMs: 4000, lengthMs: 2000 },
      { kind: 'in', atMs: 8000, lengthMs: 2000 },
    ]);
  });

  test.each([
    [0, { step: 1, pausing: false, intoMs: 0, moved: 0 }],
    [1000, { step: 1, pausing: false, intoMs: 1000, moved: 1 / 6 }],
    [3000, { step: 1, pausing: true, intoMs: 1000, moved: 1 / 3 }],
    [4000, { step: 2, pausing: false, intoMs: 0, moved: 1 / 3 }],
    [9999, { step: 3, pausing: false, intoMs: 1999 }],
    [10_000, { step: 3, pausing: false, moved: 1 }],
  ])('%i ms into it is there', (intoMs, at) => {
    const [phase] = breathProgram(practice(INTERRUPTED_IN, 1));
    const found = stepOfBreath(phase as Parameters<typeof stepOfBreath>[0], intoMs);
    const { moved, ...rest } = at as { moved?: number };
    expect(found).toMatchObject({ of: 3, ...rest });
    if (moved !== undefined) expect(found.moved).toBeCloseTo(moved);
  });

  test('never moves back, and moves nothing while it pauses', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 1, max: 4 }),
        (counts, parts, pauseCounts) => {
          const [phase] = breathProgram(practice(cycleOf([counts, 0, 4, 0], { inSteps: { parts, pauseCounts } }), 1));
          const at = (ms: number) => stepOfBreath(phase as Parameters<typeof stepOfBreath>[0], ms);
          let [before, paused] = [0, 0];
          for (let ms = 0; ms < phase!.endMs; ms += 50) {
            const { moved, pausing } = at(ms);
            expect(moved).toBeGreaterThanOrEqual(before - 1e-9);
            if (pausing) paused += 50;
            before = moved;
          }
          expect(Math.abs(paused - (parts - 1) * pauseCounts * 1000)).toBeLessThanOrEqual(50 * parts);
        },
      ),
    );
  });

  test('is said with its parts, and refused with one', () => {
    expect(partInWords(BOTH)).toBe('in 6 in 3 parts, pauses of 2, full 2, out 8 in 4 parts, pauses of 1');
    const one = { ...INTERRUPTED_IN, inSteps: { parts: 1, pauseCounts: 2 } };
    const read = BreathPractice.safeParse({ countSeconds: 1, sets: [setOf('a', [one], 1)] });
    expect(read.error?.issues[0]?.message).toBe('An interrupted breath has at least two parts.');
  });
});

describe('a count that goes up and down again', () => {
  const outs = (rounds: number) =>
    breathProgram(practice(cycleOf([4, 0, 4, 0]), rounds, { ramp: { of: 'out', to: 8, steps: 'counts', back: true } }))
      .filter(({ kind }) => kind === 'out')
      .map((phase) => 'counts' in phase && phase.counts);

  test('is at its end in the middle round, or in both middle ones', () => {
    expect(outs(5)).toEqual([4, 6, 8, 6, 4]);
    expect(outs(6)).toEqual([4, 6, 8, 8, 6, 4]);
    expect(outs(9)).toEqual([4, 5, 6, 7, 8, 7, 6, 5, 4]);
  });

  test('is said so, and needs three rounds', () => {
    const ramp = { of: 'out', to: 8, steps: 'counts', back: true } as const;
    expect(setInWords({ parts: [cycleOf([4, 0, 4, 0])], ramp })).toBe('in 4, out 4 to 8 and back');
    const read = BreathPractice.safeParse({
      countSeconds: 1,
      sets: [setOf('a', [cycleOf([4, 0, 4, 0])], 2, { ramp })],
    });
    expect(read.error?.issues[0]?.message).toBe('A change there and back needs at least three rounds.');
  });
});

test('a wave, a sound and a vowel in words', () => {
  const wave = cycleOf([6, 0, 6, 0], { wave: ['belly', 'sideRibs', 'upperChest'], outDirection: 'fromAbove' });
  expect(feltInWords(wave)).toBe('belly, side ribs, upper chest as one wave');
  expect(feltInWords(cycleOf([4, 0, 4, 0], { place: 'belly' }))).toBe('belly');
  expect(soundInWords(cycleOf([4, 0, 4, 0], { sound: 'throat', loudness: 'loud' }))).toBe('loud throat sound');
  expect(soundInWords(cycleOf([4, 0, 4, 0], { sound: 'voice', vowel: 'ah' }))).toBe('voiced “ah”');
  expect(soundInWords(cycleOf([4, 0, 4, 0]))).toBe('');
});
