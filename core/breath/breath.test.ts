import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BreathPractice, breathCost, breathProgram, practiceMs, type BreathPart, type CyclePart } from '#core/breath';
import { practice } from '../../tests/support/arbitraries';

const cycle = (counts: string, patch: Partial<CyclePart> = {}): CyclePart => {
  const [i = 0, full = 0, out = 0, empty = 0] = counts.split('-').map(Number);
  return {
    kind: 'cycle',
    in: i,
    holdFull: full,
    out,
    holdEmpty: empty,
    inThrough: 'nose',
    outThrough: 'nose',
    ...patch,
  };
};

const of = (countSeconds: number, rounds: number, ...parts: BreathPart[]): BreathPractice => ({
  countSeconds,
  sets: [{ id: 'a', label: '', parts, rounds, restSeconds: 0, eyes: 'free', hands: '' }],
});

describe('worked examples', () => {
  test('in 4, full 16, out 8 at one second a count', () => {
    const cost = breathCost(of(1, 10, cycle('4-16-8-0')));
    expect(cost.lengthMs).toBe(280_000);
    expect(cost.cycles).toBe(10);
    expect(cost.meanRate).toBeCloseTo(2.14, 2);
    expect(cost.retentionShare).toBeCloseTo(0.571, 3);
    expect(cost.longestRetentionMs).toBe(16_000);
  });

  test('alternate nostrils 4-0-4-0: a round is two cycles, nine rounds are 2:24', () => {
    const left = cycle('4-0-4-0', { inThrough: 'left', outThrough: 'right' });
    const right = cycle('4-0-4-0', { inThrough: 'right', outThrough: 'left' });
    const cost = breathCost(of(1, 9, left, right));
    expect(cost.lengthMs).toBe(144_000);
    expect(cost.rounds).toBe(9);
    expect(cost.cycles).toBe(18);
  });

  test('in 5, out 5 at 1.2 s is five breaths a minute, and 25 cycles are exactly 5:00', () => {
    const cost = breathCost(of(1.2, 25, cycle('5-0-5-0')));
    expect(cost.meanRate).toBeCloseTo(5, 12);
    expect(cost.lengthMs).toBe(300_000);
  });

  test('twelve breaths at their own pace of 8 s', () => {
    const cost = breathCost(of(1, 1, { kind: 'ownPace', cycles: 12, secondsPerCycle: 8 }));
    expect(cost).toMatchObject({ lengthMs: 96_000, cycles: 12, retentionMs: 0, meanRate: 7.5 });
  });
});

describe('program', () => {
  test('quarters of no counts are left out, and a hold keeps the side of its breath', () => {
    const program = breathProgram(of(1.5, 1, cycle('2-3-4-1', { inThrough: 'left', outThrough: 'right' })));
    expect(program.map(({ kind, startMs, endMs }) => [kind, startMs, endMs])).toEqual([
      ['in', 0, 3000],
      ['holdFull', 3000, 7500],
      ['out', 7500, 13_500],
      ['holdEmpty', 13_500, 15_000],
    ]);
    expect(program.map((phase) => ('through' in phase ? phase.through : ''))).toEqual([
      'left',
      'left',
      'right',
      'right',
    ]);
    expect(breathProgram(of(1, 2, cycle('4-0-4-0'))).map(({ kind }) => kind)).toEqual(['in', 'out', 'in', 'out']);
  });

  test('has no gap and no overlap, and is as long as its cost says', () => {
    fc.assert(
      fc.property(practice, (any) => {
        const program = breathProgram(any);
        let at = 0;
        for (const phase of program) {
          expect(phase.startMs).toBe(at);
          expect(phase.endMs).toBeGreaterThan(at);
          at = phase.endMs;
        }
        expect(at).toBe(breathCost(any).lengthMs);
        expect(at).toBe(practiceMs(any));
      }),
    );
  });

  test('time held and cycles agree with the program counted by hand', () => {
    fc.assert(
      fc.property(practice, (any) => {
        const program = breathProgram(any);
        const held = program.filter(({ kind }) => kind === 'holdFull' || kind === 'holdEmpty');
        const cost = breathCost(any);
        expect(cost.retentionMs).toBe(held.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0));
        expect(cost.longestRetentionMs).toBe(Math.max(0, ...held.map(({ startMs, endMs }) => endMs - startMs)));
        const breaths = program.reduce((n, p) => n + (p.kind === 'in' ? 1 : p.kind === 'ownPace' ? p.cycles : 0), 0);
        expect(cost.cycles).toBe(breaths);
        expect(cost.slowestRate).toBeLessThanOrEqual(cost.meanRate + 1e-9);
      }),
    );
  });
});

describe('limits', () => {
  test.each([
    ['no in-breath', of(1, 1, cycle('0-0-4-0')), 'in-breath'],
    ['no out-breath', of(1, 1, cycle('4-0-0-0')), 'out-breath'],
    ['half a count', of(1, 1, cycle('4.5-0-4-0')), 'whole numbers'],
    ['61 counts', of(1, 1, cycle('61-0-4-0')), 'at most 60'],
    ['a cycle over three minutes', of(3, 1, cycle('20-20-20-20')), 'at most 3 minutes'],
    ['201 rounds', of(1, 201, cycle('4-0-4-0')), 'at most 200'],
    ['a count of 4 s', of(4, 1, cycle('4-0-4-0')), 'at most 3 s'],
    ['over an hour', of(1, 200, cycle('10-0-10-0')), 'at most 60:00'],
  ])('%s is refused with the limit', (_, practiceLike, limit) => {
    const parsed = BreathPractice.safeParse(practiceLike);
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues.map(({ message }) => message).join(' ')).toContain(limit);
  });
});
