import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BreathPractice,
  breathCost,
  breathProgram,
  breathWithin,
  cycleOf,
  newPart,
  ownPaceOf,
  practiceFromVersion1,
  practiceMs,
  QUARTERS,
  recoverOf,
  retentionOf,
  roundInWords,
  setInWords,
  setOf,
  strokesMs,
  strokesOf,
  type BreathPart,
  type BreathPhase,
  type CyclePart,
  type Ramp,
} from '#core/breath';
import { practice } from '../../tests/support/arbitraries';

const cycle = (counts: string, patch: Partial<CyclePart> = {}): CyclePart => {
  const [i = 0, full = 0, out = 0, empty = 0] = counts.split('-').map(Number);
  return cycleOf([i, full, out, empty], patch);
};

const LEFT = { inThrough: 'left', outThrough: 'right' } as const;
const RIGHT = { inThrough: 'right', outThrough: 'left' } as const;

const of = (countSeconds: number, rounds: number, ...parts: BreathPart[]): BreathPractice => ({
  countSeconds,
  sets: [setOf('a', parts, rounds)],
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
    const cost = breathCost(of(1, 1, ownPaceOf(12, 8)));
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

  test('time held, breaths, strokes and counts agree with the program counted by hand', () => {
    fc.assert(
      fc.property(practice, (any) => {
        const program = breathProgram(any);
        const ms = (phases: BreathPhase[]) => phases.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0);
        const of = (...kinds: BreathPhase['kind'][]) => program.filter(({ kind }) => kinds.includes(kind));
        const held = of('holdFull', 'holdEmpty', 'retention');
        const cost = breathCost(any);
        const pauses = program.flatMap((phase) =>
          'steps' in phase && phase.steps ? Array<number>(phase.steps.parts - 1).fill(phase.steps.pauseMs) : [],
        );
        const pausedMs = pauses.reduce((sum, pause) => sum + pause, 0);
        expect([cost.pausedMs, cost.retentionMs]).toEqual([pausedMs, ms(held) + pausedMs]);
        expect(cost.longestRetentionMs).toBe(
          Math.max(0, ...pauses, ...held.map(({ startMs, endMs }) => endMs - startMs)),
        );
        const breaths = (phase: BreathPhase) => (phase.kind === 'in' ? 1 : 'cycles' in phase ? (phase.cycles ?? 0) : 0);
        expect(cost.cycles).toBe(program.reduce((n, phase) => n + breaths(phase), 0));
        expect(cost.strokesMs).toBe(ms(of('strokes')));
        expect(cost.strokes).toBe(of('strokes').reduce((n, phase) => n + ('count' in phase ? phase.count : 0), 0));
        for (const quarter of QUARTERS) {
          const counts = of(quarter).reduce((n, phase) => n + ('counts' in phase ? phase.counts : 0), 0);
          expect(cost.counts[quarter]).toBeCloseTo(counts, 6);
        }
        // The length of every breath: the quarters of a cycle together, or a share of breaths at their own pace.
        const lengths = new Map<string, number>();
        program.forEach((phase, i) => {
          const phaseMs = phase.endMs - phase.startMs;
          if ('cycle' in phase) lengths.set(`${phase.cycle}`, (lengths.get(`${phase.cycle}`) ?? 0) + phaseMs);
          else if ('cycles' in phase && phase.cycles) lengths.set(`pace ${i}`, phaseMs / phase.cycles);
        });
        if (cost.cycles === 0) return expect([cost.meanRate, cost.slowestRate]).toEqual([null, null]);
        expect(cost.slowestRate).toBeCloseTo(60_000 / Math.max(...lengths.values()), 9);
        const breathing = ms(program.filter(({ kind }) => kind !== 'quiet' && kind !== 'strokes'));
        expect(cost.meanRate).toBeCloseTo((cost.cycles * 60_000) / breathing, 9);
      }),
    );
  });

  test('three sets of 30 strokes at 60 a minute, 15 s recovery and a full hold of 20 s after each: 195 s', () => {
    const round = [strokesOf(30, 60), recoverOf(15), retentionOf('full', 20)];
    const cost = breathCost(of(1, 3, ...round));
    expect(cost).toMatchObject({
      lengthMs: 195_000,
      strokes: 90,
      strokesMs: 90_000,
      longestFullMs: 20_000,
      meanRate: null,
    });
    expect(breathProgram(of(1, 1, ...round)).map(({ kind, startMs }) => [kind, startMs])).toEqual([
      ['strokes', 0],
      ['recover', 30_000],
      ['retention', 45_000],
    ]);
  });

  test('twelve throat breaths at their own pace, then an empty hold with pulses, then three quiet breaths', () => {
    const after = { kind: 'recover', for: { kind: 'cycles', cycles: 3, secondsPerCycle: 5 } } as const;
    const hold = retentionOf('empty', 12, { asLongAsEasy: true, pulses: 10, locks: ['belly'] });
    const practised = of(1, 1, ownPaceOf(12, 8, { sound: 'throat' }), hold, after);
    expect(breathCost(practised)).toMatchObject({
      lengthMs: 123_000,
      cycles: 15,
      longestEmptyMs: 12_000,
      slowestRate: 7.5,
    });
    expect(breathProgram(practised)[1]).toMatchObject({
      kind: 'retention',
      held: 'empty',
      asLongAsEasy: true,
      pulses: 10,
    });
  });

  test('strokes that do not go into a minute evenly still end at a whole millisecond', () => {
    expect(strokesMs(7, 90)).toBe(4667);
    expect(breathCost(of(1, 2, strokesOf(7, 90))).lengthMs).toBe(9334);
  });
});

describe('a change over the rounds', () => {
  const grown = (ramp: Ramp, rounds: number, counts = '4-0-4-0') => ({
    countSeconds: 1,
    sets: [setOf('a', [cycle(counts)], rounds, { ramp })],
  });
  const outs = (practised: BreathPractice) =>
    breathProgram(practised).flatMap((phase) => (phase.kind === 'out' ? [phase.counts] : []));

  test('out-breath from 4 to 8 over ten cycles, in whole counts and in tenths', () => {
    expect(outs(grown({ of: 'out', to: 8, steps: 'counts' }, 10))).toEqual([4, 4, 5, 5, 6, 6, 7, 7, 8, 8]);
    expect(outs(grown({ of: 'out', to: 8, steps: 'tenths' }, 9))).toEqual([4, 4.5, 5, 5.5, 6, 6.5, 7, 7.5, 8]);
  });

  test('it may shrink, and a hold may grow out of nothing', () => {
    expect(outs(grown({ of: 'out', to: 2, steps: 'counts' }, 3))).toEqual([4, 3, 2]);
    const program = breathProgram(grown({ of: 'holdFull', to: 2, steps: 'counts' }, 3));
    expect(program.map(({ kind }) => kind)).toEqual(['in', 'out', 'in', 'holdFull', 'out', 'in', 'holdFull', 'out']);
  });

  test('begins and ends where it says, and never goes back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 10, max: 200 }),
        fc.integer({ min: 2, max: 60 }),
        fc.boolean(),
        (from, tenths, rounds, whole) => {
          const to = whole ? Math.ceil(tenths / 10) : tenths / 10;
          const counts = outs(grown({ of: 'out', to, steps: whole ? 'counts' : 'tenths' }, rounds, `4-0-${from}-0`));
          expect([counts[0], counts.at(-1)]).toEqual([from, to]);
          const way = Math.sign(to - from);
          for (let i = 1; i < counts.length; i++) expect(way * (counts[i]! - counts[i - 1]!)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  test('the slowest breathing and the longest hold are those it grows to', () => {
    const cost = breathCost(grown({ of: 'holdFull', to: 8, steps: 'counts' }, 5, '4-4-8-0'));
    expect(cost).toMatchObject({ longestFullMs: 8000, slowestRate: 3, cycles: 5 });
  });
});

describe('a breath that has only so much time', () => {
  test('ends with a whole cycle, never past its time, and more time only adds to it', () => {
    fc.assert(
      fc.property(practice, fc.boolean(), fc.nat(200_000), fc.nat(60_000), (any, fill, room, more) => {
        const phases = breathWithin(any, fill, room);
        const longer = breathWithin(any, fill, room + more);
        expect(phases.at(-1)?.endMs ?? 0).toBeLessThanOrEqual(room);
        const last = phases.at(-1);
        if (last && 'counts' in last) {
          const whole = breathProgram(any, 400).filter((phase) => 'counts' in phase && phase.cycle === last.cycle);
          expect(phases.filter((phase) => 'counts' in phase && phase.cycle === last.cycle)).toHaveLength(whole.length);
        }
        // An own pace of which there was no time for all breaths grows itself.
        const settled = last?.kind === 'ownPace' ? phases.slice(0, -1) : phases;
        expect(longer.slice(0, settled.length)).toEqual(settled);
      }),
      { numRuns: 60 },
    );
  });

  test('what is filled leaves less than a breath unused, however many breaths a round has', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1000, max: 900_000 }),
        (cyclesARound, rounds, budgetMs) => {
          // A breath of nine seconds, so many of them a round: by plain division.
          const set = setOf(
            's',
            Array.from({ length: cyclesARound }, () => cycleOf([4, 0, 5, 0])),
            rounds,
          );
          const phases = breathWithin({ countSeconds: 1, sets: [set] }, true, budgetMs);
          const breaths = Math.max(Math.floor(budgetMs / 9000), 0);
          expect(phases.at(-1)?.endMs ?? 0).toBe(breaths * 9000);
        },
      ),
    );
  });

  test('filled, no further whole round would fit; unfilled, it is done once', () => {
    const even = of(1, 2, cycle('4-0-4-0'));
    expect(breathWithin(even, true, 270_000).at(-1)?.endMs).toBe(264_000);
    expect(breathWithin(even, false, 270_000).at(-1)?.endMs).toBe(16_000);
    expect(breathWithin(even, true, 7000)).toEqual([]);
    expect(breathWithin(of(1, 1, ownPaceOf(12, 8)), true, 30_000)).toMatchObject([
      { kind: 'ownPace', cycles: 3, endMs: 24_000 },
    ]);
  });
});

describe('in words', () => {
  test.each([
    ['1 round = in left, out right, in right, out left', [cycle('4-0-4-0', LEFT), cycle('4-0-4-0', RIGHT)]],
    ['1 round = in, hold full, out, hold empty', [cycle('4-4-4-4')]],
    ['1 round = in by the mouth, out', [cycle('4-0-6-0', { inThrough: 'mouth' })]],
    ['1 round = 30 pumps, 15 s quiet, hold full 20 s', [strokesOf(30, 60), recoverOf(15), retentionOf('full', 20)]],
    [
      '1 round = 12 breaths at one’s own pace, hold empty as long as easy with 10 pulses',
      [ownPaceOf(12, 8), retentionOf('empty', 12, { asLongAsEasy: true, pulses: 10 })],
    ],
  ])('%s', (words, parts) => {
    expect(roundInWords({ parts })).toBe(words);
  });

  test('counts with what changes over the rounds', () => {
    const parts = [cycle('4-0-4-0', LEFT), cycle('4-0-4-0', RIGHT)];
    expect(setInWords({ parts, ramp: null })).toBe('in 4, out 4');
    expect(setInWords({ parts, ramp: { of: 'out', to: 8, steps: 'counts' } })).toBe('in 4, out 4 to 8');
    expect(setInWords({ parts, ramp: { of: 'holdFull', to: 2, steps: 'counts' } })).toBe('in 4, out 4, full up to 2');
  });
});

test('a practice of the first version is read with what it did not know', () => {
  const old = {
    countSeconds: 1,
    sets: [
      {
        id: 'a',
        label: '',
        parts: [{ kind: 'ownPace', cycles: 5, secondsPerCycle: 6 }],
        rounds: 1,
        restSeconds: 0,
        eyes: 'free',
        hands: '',
      },
    ],
  };
  expect(BreathPractice.parse(practiceFromVersion1(old))).toEqual(of(1, 1, ownPaceOf(5, 6)));
  fc.assert(fc.property(fc.jsonValue(), (any) => expect(() => practiceFromVersion1(any)).not.toThrow()));
});

describe('limits', () => {
  const ramped = (ramp: Ramp, countSeconds = 1, rounds = 4): BreathPractice => ({
    countSeconds,
    sets: [setOf('a', [cycle('4-0-4-0')], rounds, { ramp })],
  });
  test.each([
    ['no in-breath', of(1, 1, cycle('0-0-4-0')), 'in-breath'],
    ['no out-breath', of(1, 1, cycle('4-0-0-0')), 'out-breath'],
    ['half a count', of(1, 1, cycle('4.5-0-4-0')), 'whole numbers'],
    ['61 counts', of(1, 1, cycle('61-0-4-0')), 'at most 60'],
    ['a cycle over three minutes', of(3, 1, cycle('20-20-20-20')), 'at most 3 minutes'],
    ['201 rounds', of(1, 201, cycle('4-0-4-0')), 'at most 200'],
    ['a count of 4 s', of(4, 1, cycle('4-0-4-0')), 'at most 3 s'],
    ['181 strokes a minute', of(1, 1, strokesOf(30, 181)), 'At most 180 pumps a minute'],
    ['a hold of over three minutes', of(1, 1, retentionOf('full', 181)), 'at most 3:00'],
    ['a change past the most counts', ramped({ of: 'out', to: 61, steps: 'counts' }), 'at most 60 counts'],
    ['a change to nothing', ramped({ of: 'out', to: 0, steps: 'counts' }), 'at least one count'],
    ['a change in whole counts to half of one', ramped({ of: 'out', to: 6.5, steps: 'counts' }), 'whole count'],
    ['a change in hundredths', ramped({ of: 'out', to: 6.55, steps: 'tenths' }), 'tenths at the finest'],
    [
      'a change to a cycle of over three minutes',
      ramped({ of: 'out', to: 60, steps: 'counts' }, 3),
      'where it has grown',
    ],
    ['a change over one round', ramped({ of: 'out', to: 8, steps: 'counts' }, 1, 1), 'at least two rounds'],
    ['over an hour', of(1, 200, cycle('10-0-10-0')), 'at most 60:00'],
  ])('%s is refused with the limit', (_, practiceLike, limit) => {
    const parsed = BreathPractice.safeParse(practiceLike);
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues.map(({ message }) => message).join(' ')).toContain(limit);
  });
});

describe('a part to begin with', () => {
  test.each(['cycle', 'ownPace', 'strokes', 'retention', 'recover'] as const)(
    'of %s fits, has a length and words, and is no longer than two minutes',
    (kind) => {
      const practised = BreathPractice.parse({ countSeconds: 1, sets: [setOf('a', [newPart(kind)], 1)] });
      expect(practised.sets[0]!.parts[0]).toEqual(newPart(kind));
      expect(practiceMs(practised)).toBeGreaterThan(0);
      expect(practiceMs(practised)).toBeLessThanOrEqual(120_000);
      expect(roundInWords(practised.sets[0]!)).not.toBe('');
    },
  );

  test('a hold of the breath begins as long as easy: nobody is held to a number', () => {
    expect(newPart('retention')).toMatchObject({ asLongAsEasy: true });
  });
});
