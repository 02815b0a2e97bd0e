import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { catchUp, foldRun, stateAt, type RunEvent } from '#core/run';
import { restStep, type HoldStep, type Plan, type Step } from '#core/plan';
import { cycleOf, setOf } from '#core/breath';
import { compileTimeline } from '#core/timeline';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_800_000_000_000;
const s = (seconds: number): number => T0 + seconds * 1000;
const started: RunEvent = { id: 'event-start', atMs: T0, kind: 'started' };
const runOf = (plan: Plan, ...events: RunEvent[]) => foldRun(compileTimeline(plan, noLibrary), [started, ...events]);
const bare: Partial<HoldStep> = {
  setupSeconds: 0,
  enterSeconds: 0,
  leaveSeconds: 0,
  switchSeconds: 0,
  loosen: null,
  rebound: { kind: 'none' },
};
const both = (id: string, seconds: number, min: number, max: number, patch: Partial<HoldStep> = {}): HoldStep => ({
  ...workedHold,
  ...bare,
  id,
  sides: { kind: 'together', seconds },
  range: { min, max },
  ...patch,
});
const each = (id: string, seconds: number, min: number, max: number): HoldStep => ({
  ...both(id, seconds, min, max),
  sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds } },
});
/** The session again with the refitted lengths taken, and when it ends then. */
const endsAt = (plan: Plan, nowMs: number, endMs: number): number => {
  const fit = catchUp(plan, runOf(plan), nowMs, endMs);
  const taken = runOf(plan, { id: 'event-refit', atMs: nowMs, kind: 'refitted', lengths: fit.lengths });
  const ends = stateAt(taken, nowMs).expectedEndMs;
  expect(ends).toBe(fit.endMs);
  return ends;
};

describe('catching up', () => {
  test('a minute late: the holds to come give it, each in proportion to its length, and it ends in time', () => {
    const plan = planOf(talk('t', 60), both('a', 300, 60, 600), both('b', 120, 60, 600));
    const fit = catchUp(plan, runOf(plan), T0, s(420));
    expect(fit).toMatchObject({ offMs: 0, endMs: s(420) });
    const lost = fit.changes.map(({ fromMs, toMs }) => (fromMs - toMs) / 1000);
    expect(lost.reduce((a, b) => a + b)).toBe(60);
    expect(lost[0]).toBeGreaterThan(4 * lost[1]!);
    expect(endsAt(plan, T0, s(420))).toBe(s(420));
  });

  test('both sides of a step are alike; a locked step and talk stay', () => {
    const plan = planOf(each('a', 200, 60, 300), { ...both('b', 200, 60, 300), locked: true }, talk('t', 60));
    const fit = catchUp(plan, runOf(plan), T0, s(600));
    expect(fit.changes).toEqual([{ stepIndex: 0, sides: 2, fromMs: 200_000, toMs: 170_000 }]);
    expect(fit.lengths).toEqual([
      [expect.any(Number), 170_000],
      [expect.any(Number), 170_000],
    ]);
  });

  test('a hold under way is never shorter than it was held; a second side under way stays', () => {
    const one = planOf(both('a', 300, 60, 600));
    expect(catchUp(one, runOf(one), s(200), s(100)).changes).toEqual([
      { stepIndex: 0, sides: 1, fromMs: 300_000, toMs: 200_000 },
    ]);
    const sides = planOf(each('a', 200, 60, 300), both('b', 100, 30, 200));
    const fit = catchUp(sides, runOf(sides), s(250), s(450));
    expect(fit.changes).toEqual([{ stepIndex: 1, sides: 1, fromMs: 100_000, toMs: 50_000 }]);
  });

  test('what the ranges do not allow is told: too late by so much, or too early', () => {
    const plan = planOf(both('a', 300, 240, 360));
    expect(catchUp(plan, runOf(plan), T0, s(200))).toMatchObject({ offMs: 40_000, endMs: s(240) });
    expect(catchUp(plan, runOf(plan), T0, s(400))).toMatchObject({ offMs: -40_000, endMs: s(360) });
  });

  test('a rest becomes shorter, never longer', () => {
    const rest = { ...restStep('r'), seconds: 60, setupSeconds: 0 } as Step;
    const plan = planOf(rest, both('a', 100, 100, 100, { locked: true }));
    expect(catchUp(plan, runOf(plan), T0, s(140)).changes).toEqual([
      { stepIndex: 0, sides: 1, fromMs: 60_000, toMs: 40_000 },
    ]);
    expect(catchUp(plan, runOf(plan), T0, s(200)).changes).toEqual([]);
  });

  test('of a breath, rounds to come are left out, never the present one; a locked one keeps them', () => {
    const rounds = setOf('s', [cycleOf([4, 0, 4, 0])], 10);
    const plan = planOf(breathStep([rounds]), breathStep([setOf('t', [cycleOf([5, 0, 6, 0])], 6)], { id: 'last' }));
    const fit = catchUp(plan, runOf(plan), s(1), s(80 + 66 - 30));
    expect(fit.offMs).toBeLessThanOrEqual(0);
    expect(fit.changes.map(({ stepIndex, rounds: left }) => [stepIndex, left])).toEqual([
      [0, { from: 9, to: 8 }],
      [1, { from: 5, to: 3 }],
    ]);
    const taken = foldRun(compileTimeline(plan, noLibrary), [
      started,
      { id: 'refit-it', atMs: s(1), kind: 'refitted', lengths: fit.lengths },
    ]);
    expect(stateAt(taken, s(1))).toMatchObject({ round: { number: 1, of: 9 }, expectedEndMs: fit.endMs });
    const locked = planOf(...plan.steps.map((step) => ({ ...step, locked: true })));
    expect(catchUp(locked, runOf(locked), s(1), s(60)).changes).toEqual([]);
    expect(catchUp(plan, runOf(plan), s(1), s(3)).changes.map(({ rounds: left }) => left?.to)).toEqual([0, 0]);
  });

  test('what is in time stays as it is: rounds of any length, sides that are meant to differ', () => {
    for (let count = 500; count <= 3000; count += 10) {
      const practice = { countSeconds: count / 1000, sets: [setOf('s', [cycleOf([4, 0, 6, 0])], 20)] };
      const plan = planOf(breathStep([], { practice }));
      const run = runOf(plan);
      expect([count, catchUp(plan, run, T0, stateAt(run, T0).expectedEndMs)]).toMatchObject([
        count,
        { changes: [], offMs: 0 },
      ]);
    }
    const sides = { kind: 'each', first: 'left', length: { kind: 'perSide', left: 240, right: 60 } } as const;
    const uneven = planOf({ ...both('a', 1, 200, 300), sides });
    expect(catchUp(uneven, runOf(uneven), T0, s(300))).toMatchObject({ changes: [], offMs: 0 });
    // Half a minute less is taken from what is longer, and nothing is levelled.
    const late = catchUp(uneven, runOf(uneven), T0, s(270));
    expect(late).toMatchObject({ offMs: 0, changes: [{ stepIndex: 0, sides: 1, fromMs: 240_000, toMs: 210_000 }] });
  });

  test('no better way: brute force over the grid agrees', () => {
    const hold = fc.record({ seconds: fc.integer({ min: 8, max: 20 }), two: fc.boolean() });
    fc.assert(
      fc.property(
        fc.array(hold, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: -40, max: 40 }),
        (holds, byUnits) => {
          const range = (n: number) => [5 * (n - 4), 5 * (n + 4)] as const;
          const plan = planOf(
            ...holds.map(({ seconds: n, two }, i) => (two ? each : both)(`h${i}`, 5 * n, ...range(n))),
          );
          const total = holds.reduce((sum, { seconds: n, two }) => sum + 5 * n * (two ? 2 : 1), 0);
          const target = total + 5 * byUnits;
          const fit = catchUp(plan, runOf(plan), T0, s(target));
          const cost = (lengths: readonly number[]): number =>
            lengths.reduce(
              (sum, x, i) =>
                sum + (holds[i]!.two ? 2 : 1) * ((x - 5 * holds[i]!.seconds) / (5 * holds[i]!.seconds)) ** 2,
              0,
            );
          let best = { off: Infinity, cost: Infinity };
          const walk = (i: number, lengths: number[]): void => {
            if (i < holds.length) {
              const [least, most] = range(holds[i]!.seconds);
              for (let x = least; x <= most; x += 5) walk(i + 1, [...lengths, x]);
              return;
            }
            const off = target - lengths.reduce((sum, x, k) => sum + x * (holds[k]!.two ? 2 : 1), 0);
            const now = { off, cost: cost(lengths) };
            if (off >= 0 && (off < best.off || (off === best.off && now.cost < best.cost - 1e-12))) best = now;
          };
          walk(0, []);
          const got = holds.map(
            ({ seconds: n }, i) => (fit.changes.find((one) => one.stepIndex === i)?.toMs ?? 5000 * n) / 1000,
          );
          // What is left over below one step of the grid goes to the last hold; before that the costs are the same.
          if (best.off === 0) expect(cost(got)).toBeCloseTo(best.cost, 9);
          if (best.off === Infinity) expect(fit.offMs).toBeGreaterThan(0);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('whatever the plan and the moment: within the ranges, never past what was asked where that can be, and it comes true', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: -900, max: 900 }),
        (plan, share, by) => {
          const timeline = compileTimeline(plan, noLibrary);
          const nowMs = T0 + Math.round(timeline.totals.totalMs * share);
          const run = foldRun(timeline, [started]);
          const endMs = stateAt(run, nowMs).expectedEndMs + by * 1000;
          const fit = catchUp(plan, run, nowMs, endMs);
          for (const { stepIndex, toMs, fromMs } of fit.changes) {
            const step = plan.steps[stepIndex]!;
            expect(step.locked).toBe(false);
            if (step.kind === 'hold' && step.range) {
              expect(toMs).toBeGreaterThanOrEqual(Math.min(step.range.min * 1000, fromMs));
              expect(toMs).toBeLessThanOrEqual(Math.max(step.range.max * 1000, fromMs));
            }
          }
          endsAt(plan, nowMs, endMs);
        },
      ),
      { numRuns: 60 },
    );
  });
});
