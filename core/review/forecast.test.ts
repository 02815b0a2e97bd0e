import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  basisInWords,
  chanceInWords,
  forecastFinish,
  forecastInWords,
  PACE_KINDS,
  paceOfRun,
  pacesInWords,
  pacesOf,
  type PaceOfRun,
} from '#core/review';
import type { RunEvent } from '#core/run';
import { seeded } from '#core/numbers';
import { compileTimeline, type Timeline } from '#core/timeline';
import { emptyPlan, holdFrom, Plan, restStep, talkStep } from '#core/plan';
import { builtInLibrary, POSITIONS } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';
import { shrunkEstimate, PACE_PRIORS, stretchesOf, type PaceKind } from './pace';

const T0 = 1_790_000_000_000;
const event = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${seconds}-${JSON.stringify(body).length}`, atMs: T0 + seconds * 1000 }) as RunEvent;

const evening: Timeline = compileTimeline(
  Plan.parse({
    ...emptyPlan('Evening', 'yin'),
    steps: [
      talkStep('welcome', 'Welcome', 180),
      ...POSITIONS.slice(0, 9).map((position, i) => holdFrom(position, 'yin', `s${i}`)),
      restStep('rest', 'Last rest', 420),
    ],
  }),
  builtInLibrary,
);

/**
 * A teacher with ways of their own: by kind, how long it takes, how much evenings and stretches of one evening differ.
 */
type Ways = Record<PaceKind, Record<'ratio' | 'teachers' | 'between' | 'within', number>>;
const ways = (change: Partial<Ways>): Ways => ({ ...PACE_PRIORS, ...change });

function teacher(own: Ways, seed: number) {
  const random = seeded(seed);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return {
    /** One evening: how long it took, and how each kind of time went. */
    lead(timeline: Timeline): { totalMs: number; pace: PaceOfRun } {
      const stretches = stretchesOf(timeline);
      const kinds: PaceOfRun['kinds'] = {};
      let totalMs = 0;
      for (const kind of PACE_KINDS) {
        const of = stretches.filter((stretch) => stretch.kind === kind);
        if (of.length === 0) continue;
        const tonight = Math.log(own[kind].ratio) + own[kind].between * normal();
        const done = of.map(({ plannedMs }) => plannedMs * Math.exp(tonight + own[kind].within * normal()));
        const sum = done.reduce((a, b) => a + b, 0);
        const log = Math.log(sum / of.reduce((all, { plannedMs }) => all + plannedMs, 0));
        const offs = done.map((ms, i) => (Math.log(ms / of[i]!.plannedMs) - log) ** 2).sort((a, b) => a - b);
        kinds[kind] = { log, variance: of.length > 1 ? offs[offs.length >> 1]! / 0.455 : 0, count: of.length };
        totalMs += sum;
      }
      return { totalMs, pace: { beganAtMs: T0, kinds, stops: 0 } };
    },
  };
}

describe('how a run went against its plan', () => {
  const plan = compileTimeline(planOf(workedHold, talk('end', 60)), noLibrary);

  test('a run to plan goes at pace one; what was longer or shorter shows in its own kind', () => {
    const even = paceOfRun(plan, [event(0, { kind: 'started' }), event(670, { kind: 'ended' })])!;
    for (const kind of ['setup', 'enter', 'hold', 'leave', 'switch', 'talk'] as const)
      expect(even.kinds[kind]?.log).toBeCloseTo(0, 9);
    expect(even.stops).toBeCloseTo(0, 9);
    const long = paceOfRun(plan, [
      event(0, { kind: 'started' }),
      event(10, { kind: 'stretched', byMs: 40_000 }),
      event(710, { kind: 'ended' }),
    ])!;
    expect(long.kinds.setup?.log).toBeCloseTo(Math.log(2), 9);
    expect(long.kinds.hold?.log).toBeCloseTo(0, 9);
  });

  test('a pause is a stop, and makes nothing else longer', () => {
    const paused = paceOfRun(plan, [
      event(0, { kind: 'started' }),
      event(100, { kind: 'paused' }),
      event(160, { kind: 'resumed' }),
      event(730, { kind: 'ended' }),
    ])!;
    expect(paused.kinds.hold?.log).toBeCloseTo(0, 9);
    expect(paused.stops).toBeCloseTo(Math.log(730 / 670), 6);
  });

  test('one under way, and one that was broken off early, say nothing', () => {
    expect(paceOfRun(plan, [])).toBeNull();
    expect(paceOfRun(plan, [event(0, { kind: 'started' })])).toBeNull();
    expect(paceOfRun(plan, [event(0, { kind: 'started' }), event(200, { kind: 'ended' })])).toBeNull();
  });

  test('one whose plan was made of what was measured says nothing', () => {
    const lengths = plan.phases.map(({ index, startMs, endMs }): [number, number] => [index, endMs - startMs]);
    const measured = event(0, { kind: 'measured', from: 'captions', lengths });
    expect(paceOfRun(plan, [event(0, { kind: 'started' }), measured, event(670, { kind: 'ended' })])).toBeNull();
  });

  test('stretches are all of the planned time, each once', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const timeline = compileTimeline(any, noLibrary);
        const stretches = stretchesOf(timeline);
        expect(stretches.reduce((sum, { plannedMs }) => sum + plannedMs, 0)).toBe(timeline.totals.totalMs);
        expect(stretches.flatMap(({ phases }) => phases).sort((a, b) => a - b)).toEqual(
          timeline.phases.map(({ index }) => index),
        );
      }),
    );
  });
});

describe('what is learned', () => {
  const setup = { ratio: 1.1, teachers: 0.3, between: 0.2 };

  test('nothing yet: what is assumed; then nearer to what is so, the more evenings there are', () => {
    expect(shrunkEstimate([], setup).log).toBeCloseTo(Math.log(1.1), 9);
    const so = Math.log(1.5);
    const distances = [1, 3, 10, 30].map((runs) =>
      Math.abs(
        shrunkEstimate(
          Array.from({ length: runs }, () => so),
          setup,
        ).log - so,
      ),
    );
    expect([...distances].sort((a, b) => b - a)).toEqual(distances);
    expect(distances.at(-1)).toBeLessThan(0.05);
  });

  test('one odd evening hardly moves it', () => {
    const usual = Array.from({ length: 9 }, (_, i) => Math.log(1.1) + 0.02 * (i - 4));
    const with1 = shrunkEstimate([...usual, Math.log(8)], setup);
    expect(with1.log - shrunkEstimate(usual, setup).log).toBeLessThan(0.04);
    const mean = [...usual, Math.log(8)].reduce((a, b) => a + b, 0) / 10;
    expect(mean - Math.log(1.1)).toBeGreaterThan(0.19);
  });

  test('in any case between the least and the most there was, or what is assumed', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { maxLength: 40 }), (logs) => {
        const { log, between } = shrunkEstimate(logs, setup);
        const all = [...logs, Math.log(1.1)];
        expect(log).toBeGreaterThanOrEqual(Math.min(...all) - 1e-9);
        expect(log).toBeLessThanOrEqual(Math.max(...all) + 1e-9);
        expect(between).toBeGreaterThan(0);
      }),
    );
  });

  test('lines for each kind of time', () => {
    const slow = teacher(ways({ setup: { ratio: 1.6, teachers: 0.3, between: 0.05, within: 0.1 } }), 2);
    const paces = pacesOf(Array.from({ length: 20 }, () => slow.lead(evening).pace));
    const line = pacesInWords(paces).find(({ kind }) => kind === 'set-ups')!;
    expect(line.runs).toBe(20);
    expect(line.percent).toBeGreaterThan(45);
    expect(line.percent).toBeLessThan(65);
  });
});

describe('when it would end', () => {
  test('the same seed gives the same numbers, another one nearly the same', () => {
    const paces = pacesOf([]);
    const [one, again, other] = [7, 7, 8].map((seed) => forecastFinish(evening, paces, seed, 4000)) as [
      never,
      never,
      never,
    ];
    expect(again).toEqual(one);
    expect(other).not.toEqual(one);
    const { middleMs } = one as { middleMs: number };
    expect(Math.abs((other as { middleMs: number }).middleMs / middleMs - 1)).toBeLessThan(0.01);
  });

  /** Teachers who differ from what is assumed by so many times what teachers are assumed to, each in every kind. */
  const differing = (times: number) => (n: number) => {
    const random = seeded(n + 1);
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    return Object.fromEntries(
      PACE_KINDS.map((kind) => {
        const { ratio, teachers, ...spread } = PACE_PRIORS[kind];
        return [kind, { ...spread, teachers, ratio: ratio * Math.exp(times * teachers * normal()) }];
      }),
    ) as Ways;
  };
  /** Teachers whose set-ups, changes of sides and getting in and coming out run half as long again as planned. */
  const slowChanges = (): Ways =>
    ways(
      Object.fromEntries(
        (['setup', 'switch', 'enter', 'leave'] as const).map((kind) => [kind, { ...PACE_PRIORS[kind], ratio: 1.5 }]),
      ),
    );
  /** Of evenings to come of many teachers: which share lies in the band, and which ends by what 9 in 10 would. */
  function held(of: (n: number) => Ways, runs: number): { band: number; late: number } {
    let [band, late, all] = [0, 0, 0];
    for (let n = 0; n < 60; n++) {
      const leads = teacher(of(n), 100 + n);
      const past = Array.from({ length: runs }, () => leads.lead(evening).pace);
      const { earlyMs, lateMs } = forecastFinish(evening, pacesOf(past), 1, 2000);
      for (let i = 0; i < 25; i++) {
        const { totalMs } = leads.lead(evening);
        if (totalMs >= earlyMs && totalMs <= lateMs) band++;
        if (totalMs <= lateMs) late++;
        all++;
      }
    }
    return { band: band / all, late: late / all };
  }
  const TEACHERS = [
    ['as the assumptions allow', differing(1)],
    ['half as much again', differing(1.5)],
    ['slow in every change', slowChanges],
  ] as const;

  test.each(TEACHERS.flatMap(([name, of]) => [3, 10, 30].map((runs) => [name, runs, of] as const)))(
    'teachers who differ %s, %i past evenings: seven to nine in ten of those to come lie in the band',
    (_, runs, of) => {
      const { band, late } = held(of, runs);
      expect(band).toBeGreaterThanOrEqual(0.7);
      expect(band).toBeLessThanOrEqual(0.9);
      expect(late).toBeGreaterThanOrEqual(0.8);
    },
  );

  test('with no past evening the band is wider, and holds for teachers as they are assumed to be', () => {
    expect(held(differing(1), 0).band).toBeGreaterThan(0.7);
    const [none, some] = [0, 10].map((runs) => {
      const leads = teacher(ways({}), 7);
      const past = Array.from({ length: runs }, () => leads.lead(evening).pace);
      const { earlyMs, lateMs } = forecastFinish(evening, pacesOf(past), 1, 4000);
      return lateMs - earlyMs;
    });
    expect(none).toBeGreaterThan(1.3 * some!);
    // Who is slow in every change is promised too much at first, and within three evenings no more.
    expect(held(slowChanges, 0).late).toBeGreaterThan(0.2);
  });

  test('early before the middle before late; the chance is what share of evenings ends in time', () => {
    fc.assert(
      fc.property(anyPlan, fc.integer({ min: 0, max: 1000 }), (any, seed) => {
        const timeline = compileTimeline(any, noLibrary);
        const found = forecastFinish(timeline, pacesOf([]), seed, 300);
        expect(found.earlyMs).toBeLessThanOrEqual(found.middleMs);
        expect(found.middleMs).toBeLessThanOrEqual(found.lateMs);
        if (found.lateMs < found.targetMs) expect(found.chance).toBeGreaterThanOrEqual(0.9);
        if (found.earlyMs > found.targetMs) expect(found.chance).toBeLessThanOrEqual(0.1);
        if (timeline.phases.length > 0)
          expect(found.uncertain.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6);
      }),
      { numRuns: 60 },
    );
  });

  test('what is long and loose is what makes it uncertain', () => {
    const timeline = compileTimeline(planOf(talk('long', 600), workedHold), noLibrary);
    const [first, second] = forecastFinish(timeline, pacesOf([]), 1, 3000).uncertain;
    expect(first).toBeGreaterThan(3 * second!);
  });

  test('in words', () => {
    const base = { plannedMs: 3600_000, targetMs: 3600_000, earlyMs: 0, uncertain: [] };
    const annotations = { ...base, middleMs: 3744_000, lateMs: 3870_000, chance: 0.22, runs: 12 };
    expect(forecastInWords(annotations)).toBe(
      'Planned 60:00; your sessions run 4 % long; 90 % likely to end by 64:30.',
    );
    expect(chanceInWords(annotations)).toBe('20 % likely to end by 60:00.');
    expect(chanceInWords({ ...annotations, chance: 0.001 })).toBe('Very unlikely to end by 60:00.');
    expect(chanceInWords({ ...annotations, chance: 0.99 })).toBe('Very likely to end by 60:00.');
    expect(forecastInWords({ ...annotations, runs: 0, middleMs: 3600_000 })).toMatch(
      /^Planned 60:00; sessions usually run to plan;/,
    );
    expect(basisInWords({ runs: 0 })).toMatch(/this is assumed/);
    expect(basisInWords({ runs: 1 })).toMatch(/^Based on 1 session; /);
    expect(basisInWords({ runs: 30 })).toBe('Based on 30 sessions.');
  });
});
