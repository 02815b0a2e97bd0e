import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf, strokesOf } from '#core/breath';
import {
  editedPlan,
  emptyPlan,
  holdFrom,
  holdNamed,
  Plan,
  restStep,
  talkStep,
  type HoldStep,
  type Step,
  takeFit,
  withLengths,
} from '#core/plan';
import { compileTimeline } from '#core/timeline';
import {
  classEndsAt,
  fitHolds,
  fitInWords,
  freeLengths,
  makeUpInWords,
  priceInWords,
  priceOf,
  usualFitOptions,
  wayEdit,
  wayInWords,
  type Fit,
  type FitOptions,
  type Way,
} from '#core/fit';
import { builtInLibrary } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, propRow, workedHold } from '../../tests/support/examples';

const planOf = (steps: Step[], patch: Partial<Plan> = {}): Plan =>
  Plan.parse({ ...emptyPlan('An hour'), steps: steps.map((step, i) => ({ ...step, id: `s${i}` })), ...patch });
const hold = (
  name: string,
  seconds: number,
  range: [number, number] | null,
  patch: Partial<HoldStep> = {},
): HoldStep => ({
  ...holdNamed(name, name),
  sides: { kind: 'together', seconds },
  range: range && { min: range[0], max: range[1] },
  setupSeconds: 0,
  enterSeconds: 0,
  leaveSeconds: 0,
  switchSeconds: 0,
  ...patch,
});
const each = (name: string, seconds: number, range: [number, number] | null, patch: Partial<HoldStep> = {}): HoldStep =>
  hold(name, seconds, range, { sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds } }, ...patch });
const options = (seconds: number, patch: Partial<FitOptions> = {}): FitOptions => ({
  target: { kind: 'length', seconds },
  gridSeconds: 15,
  lastRestSeconds: null,
  talkSeconds: 0,
  ...patch,
});
const totalMs = (plan: Plan): number => compileTimeline(plan, noLibrary).totals.totalMs;
const fit = (plan: Plan, how: FitOptions): Fit => fitHolds({ plan, library: noLibrary }, how);

describe('fitting holds to a length', () => {
  test('the relative change is spread: the same share of each, and both sides one number', () => {
    const plan = planOf([hold('a', 240, [60, 600]), each('b', 240, [60, 600])]);
    const found = fit(plan, options(540));
    expect(found).toMatchObject({ kind: 'fits', totalMs: 540_000 });
    const lengths = 'lengths' in found ? found.lengths : [];
    expect(lengths.map(({ to, times }) => [to, times])).toEqual([
      [180, 1],
      [180, 2],
    ]);
  });

  test('what keeps its length changes least, what gives way changes most', () => {
    const steps = [
      hold('a', 300, null, { weight: 'keep' }),
      hold('b', 300, null),
      hold('c', 300, null, { weight: 'givesWay' }),
    ];
    const found = fit(planOf(steps), options(720));
    const to = 'lengths' in found ? found.lengths.map((length) => length.to) : [];
    expect(to[0]).toBeGreaterThan(to[1]!);
    expect(to[1]).toBeGreaterThan(to[2]!);
    expect(to.reduce((a, b) => a + b, 0)).toBe(720);
  });

  test('uneven sides are fitted each by itself, locked steps and what is between stay', () => {
    const uneven = hold('a', 0, null, {
      sides: { kind: 'each', first: 'left', length: { kind: 'perSide', left: 200, right: 160 } },
      range: { min: 30, max: 300 },
    });
    const plan = planOf([uneven, hold('b', 180, null, { locked: true }), talkStep('t', 'Talk', 60), workedHold]);
    const found = fit(plan, options(900, { gridSeconds: 5 }));
    if (found.kind !== 'fits') throw new Error(found.kind);
    expect(found.lengths.map(({ stepId, what }) => [stepId, what])).toEqual([
      ['s0', { kind: 'hold', side: 'left' }],
      ['s0', { kind: 'hold', side: 'right' }],
      ['s3', { kind: 'hold', side: 'even' }],
    ]);
    expect(totalMs(withLengths(plan, found.lengths))).toBe(found.totalMs);
    expect(found.totalMs).toBe(900_000);
  });

  test('rounds of breath stay whole, and count twice where they move two sides', () => {
    const set = setOf('s', [cycleOf([4, 0, 4, 0])], 20);
    const moves = { position: 'p', into: 'in', outOf: 'out', sides: 'each', first: 'left' } as const;
    const plan = planOf([breathStep([set], { moves }), hold('a', 180, [60, 300])]);
    const found = fit(plan, options(400));
    if (found.kind !== 'fits') throw new Error(found.kind);
    const rounds = found.lengths[0]!;
    expect(Number.isInteger(rounds.to)).toBe(true);
    expect(rounds.toMs).toBe(rounds.to * 16_000);
    expect(found.totalMs).toBeLessThanOrEqual(400_000);
  });

  test('what is told in breaths is fitted in whole breaths', () => {
    const plan = planOf([hold('a', 120, [40, 300], { breathSeconds: 8 }), hold('b', 180, [60, 300])]);
    const found = fit(plan, options(250));
    expect('lengths' in found && found.lengths[0]!.to % 8).toBe(0);
  });

  test('the last rest has its floor; time for talk stays free', () => {
    const plan = planOf([hold('a', 600, [60, 900]), restStep('r', 'Last rest', 480)]);
    const found = fit(plan, options(700, { lastRestSeconds: 420, talkSeconds: 60 }));
    if (found.kind !== 'fits') throw new Error(found.kind);
    expect(found.targetMs).toBe(640_000);
    expect(found.lengths.at(-1)!.to).toBeGreaterThanOrEqual(420);
  });

  test('to the hour by the clock, past midnight too', () => {
    const plan = planOf([hold('a', 600, [60, 3600])], { startsAt: '2026-11-26T23:40' });
    expect(fit(plan, options(1, { target: { kind: 'endsAt', time: '00:05' } }))).toMatchObject({
      kind: 'fits',
      totalMs: 1500_000,
    });
  });

  test.each<[string, Plan, FitOptions, RegExp]>([
    ['no free step', planOf([talkStep('t')]), options(600), /Nothing here can become longer or shorter/],
    ['no step at all', planOf([]), options(600), /no steps yet/],
    ['a target of nothing', planOf([hold('a', 60, null)]), options(0), /longer than nothing/],
    ['seven hours', planOf([hold('a', 60, null)]), options(25_200), /at most six hours/],
    [
      'an end without a beginning',
      planOf([hold('a', 60, null)]),
      options(1, { target: { kind: 'endsAt', time: '19:00' } }),
      /no start time/,
    ],
    ['all of it talk', planOf([hold('a', 60, null)]), options(600, { talkSeconds: 600 }), /beside the talk/],
    [
      'an end at the beginning',
      planOf([hold('a', 60, null)], { startsAt: '2026-11-26T19:00' }),
      options(1, { target: { kind: 'endsAt', time: '19:00' } }),
      /end when it begins/,
    ],
  ])('%s is answered in words', (_, plan, how, words) => {
    const found = fit(plan, how);
    expect(found.kind).toBe('refused');
    expect(fitInWords(found)).toMatch(words);
  });
});

/** Plans of up to five steps with few lengths each, for trying everything. */
const smallPlan = fc
  .array(
    fc.record({
      kind: fc.constantFrom('hold' as const, 'each' as const, 'rest' as const, 'breath' as const, 'talk' as const),
      now: fc.integer({ min: 4, max: 24 }),
      least: fc.integer({ min: 2, max: 20 }),
      more: fc.integer({ min: 0, max: 6 }),
      locked: fc.boolean(),
      weight: fc.constantFrom('keep' as const, 'normal' as const, 'givesWay' as const),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((rows) =>
    planOf(
      rows.map(({ kind, now, least, more, weight, locked }, i): Step => {
        const common = { weight, locked: locked && i > 0 };
        const range: [number, number] = [least * 15, (least + more) * 15];
        if (kind === 'hold') return hold('h', now * 15, range, common);
        if (kind === 'each') return each('e', now * 15, range, { ...common, switchSeconds: 10 });
        if (kind === 'rest') return { ...restStep('r', 'Rest', Math.min(now, 8) * 15), ...common };
        if (kind === 'breath') return breathStep([setOf('s', [cycleOf([3, 0, 4, 0])], Math.min(now, 6))], common);
        return talkStep('t', 'Talk', 30);
      }),
    ),
  );

/**
 * What a step of a small plan may become, reckoned here from the definition alone: the length of one unit (15 s of a
 * hold or rest, a round of breath), how many units it has now, from how many to how many it may have, and how often it
 * counts.
 */
function rangeOfSmall(
  step: Step,
): { unitMs: number; now: number; from: number; to: number; times: number } | undefined {
  if (step.locked) return undefined;
  const half = (now: number) => ({ now, from: Math.max(1, Math.ceil(now / 2)), to: Math.floor(now * 1.5) });
  if (step.kind === 'hold') {
    const { sides, range } = step;
    const seconds =
      sides.kind === 'together'
        ? sides.seconds
        : 'length' in sides && 'seconds' in sides.length
          ? sides.length.seconds
          : NaN;
    const units = { now: seconds / 15, from: range!.min / 15, to: range!.max / 15 };
    return { unitMs: 15_000, ...units, times: sides.kind === 'each' ? 2 : 1 };
  }
  if (step.kind === 'rest') return { unitMs: 15_000, ...half(step.seconds / 15), times: 1 };
  if (step.kind === 'breath') {
    const { sets, countSeconds } = step.practice;
    return { unitMs: 7000 * countSeconds, ...half(sets[0]!.rounds), times: 1 };
  }
  return undefined;
}
/** How much a change counts, as the fitting promises: eight times as much, and an eighth. */
const WEIGHTS = { keep: 8, normal: 1, givesWay: 0.125 };

test('equal to trying everything on 1,000 small plans, by compiling each', () => {
  fc.assert(
    fc.property(smallPlan, fc.integer({ min: 60, max: 2400 }), (plan, seconds) => {
      const found = fit(plan, options(seconds));
      // Refused is what has nothing that could change: everything locked, talk, or in a range of one length.
      const canChange = plan.steps.some((step) => {
        const range = rangeOfSmall(step);
        return range !== undefined && (range.from !== range.now || range.to !== range.now);
      });
      expect(found.kind === 'refused').toBe(!canChange);
      if (found.kind === 'refused') return;
      const free = plan.steps.flatMap((step) => {
        const range = rangeOfSmall(step);
        return range ? [{ ...range, weight: WEIGHTS[step.weight] }] : [];
      });
      const fixed = totalMs(plan) - free.reduce((sum, { now, unitMs, times }) => sum + times * now * unitMs, 0);
      const all: { ms: number; harm: number }[] = [];
      const walk = (at: number, ms: number, harm: number): void => {
        const one = free[at];
        if (!one) return void all.push({ ms, harm });
        for (let units = one.from; units <= one.to; units++) {
          const off = (units - one.now) / one.now;
          walk(at + 1, ms + one.times * units * one.unitMs, harm + one.weight * one.times * off * off);
        }
      };
      walk(0, fixed, 0);
      const [least, most] = [Math.min(...all.map(({ ms }) => ms)), Math.max(...all.map(({ ms }) => ms))];
      expect(totalMs(withLengths(plan, found.lengths))).toBe(found.totalMs);
      if (found.kind === 'tooLong') {
        expect(found.totalMs).toBe(least);
        return expect(least).toBeGreaterThan(seconds * 1000);
      }
      if (found.kind === 'tooShort') {
        expect(found.totalMs).toBe(most);
        return expect(most).toBeLessThan(seconds * 1000);
      }
      const nearest = Math.max(...all.filter(({ ms }) => ms <= seconds * 1000).map(({ ms }) => ms));
      expect(found.totalMs).toBe(nearest);
      expect(found.harm).toBeCloseTo(Math.min(...all.filter(({ ms }) => ms === nearest).map(({ harm }) => harm)), 9);
    }),
    { numRuns: 1000 },
  );
});

test('any plan: never past the target, and the total said is the total compiled', () => {
  fc.assert(
    fc.property(anyPlan, fc.integer({ min: 60, max: 7200 }), fc.constantFrom(5, 15, 60), (plan, seconds, grid) => {
      const found = fit(plan, options(seconds, { gridSeconds: grid as 5 }));
      fc.pre(found.kind !== 'refused');
      const after = withLengths(plan, found.lengths);
      expect(Plan.safeParse(after).error).toBeUndefined();
      expect(totalMs(after)).toBe(found.totalMs);
      if (found.kind === 'fits') expect(found.totalMs).toBeLessThanOrEqual(found.targetMs);
      for (const [i, step] of plan.steps.entries()) if (step.locked) expect(after.steps[i]).toBe(step);
    }),
  );
});

describe('when it cannot be', () => {
  const bolster = propRow('roundBolster', 'spine');
  const long = (how: FitOptions, ...steps: Step[]): Extract<Fit, { kind: 'tooLong' }> => {
    const found = fit(planOf(steps), how);
    if (found.kind !== 'tooLong') throw new Error(found.kind);
    return found;
  };
  /** The shortest a plan can be when a way is taken. */
  const shortestWith = (plan: Plan, how: FitOptions, ways: readonly Way[]): number => {
    let adjusted = how;
    let now = plan;
    for (const way of ways) {
      if (way.kind === 'floor') adjusted = { ...adjusted, lastRestSeconds: way.to };
      else if (way.kind === 'talk') adjusted = { ...adjusted, talkSeconds: way.to };
      else now = editedPlan(now, wayEdit(way, now)!);
    }
    const found = fit(now, { ...adjusted, target: { kind: 'length', seconds: 1 + adjusted.talkSeconds } });
    // A plan in which nothing is free any more is as long as it is.
    return (found.kind === 'refused' ? totalMs(now) : found.totalMs) + adjusted.talkSeconds * 1000;
  };

  test('the shortest, what it is made up of, and every way by itself', () => {
    const found = long(
      options(900),
      hold('Fold', 300, [240, 360]),
      each('Lean', 240, [180, 300]),
      hold('Kept', 240, null, { locked: true }),
      talkStep('t', 'Talk', 60),
      restStep('r', 'Rest', 240),
    );
    expect(found.totalMs).toBe((240 + 360 + 240 + 60 + 120) * 1000);
    expect(fitInWords(found)).toBe('It cannot be that short: with every length at its minimum it is 17:00, 2:00 over.');
    expect(makeUpInWords(found.madeUpOf, 'shortest')).toBe(
      '12:00 holds, rests and breath at their shortest, 4:00 what is locked, 1:00 talk.',
    );
    const wayTexts = found.ways.map(wayInWords);
    expect(wayTexts).toContain('Unlock Kept: up to 2:00 less.');
    expect(wayTexts).toContain('Remove Lean: 6:00 less at the shortest.');
    expect(wayTexts).toContain('Let Lean go down to 2:00; now it stops at 3:00.');
    expect(wayTexts).toContain('Hold Lean on both sides at once, if the position allows it: 3:00 less.');
    // A talk of a minute is not two.
    expect(wayTexts.filter((words) => words.startsWith('Remove Talk'))).toEqual([]);
    expect(found.pair).toBeNull();
  });

  /** Takes ways into a plan and its options, and fits it again. */
  const fitsWith = (plan: Plan, how: FitOptions, ways: readonly Way[]): boolean => {
    let [adjusted, now] = [how, plan];
    for (const way of ways) {
      if (way.kind === 'floor') adjusted = { ...adjusted, lastRestSeconds: way.to };
      else if (way.kind === 'talk') adjusted = { ...adjusted, talkSeconds: way.to };
      else now = Plan.parse(editedPlan(now, wayEdit(way, now)!));
    }
    const found = fit(now, adjusted);
    const target = adjusted.target.kind === 'length' ? adjusted.target.seconds - adjusted.talkSeconds : 0;
    if (found.kind !== 'refused') return found.kind === 'fits';
    // Nothing is free any more: it is as long as it is.
    const offMs = target * 1000 - totalMs(now);
    return offMs >= 0 && offMs < adjusted.gridSeconds * 1000;
  };

  test('holds in breaths go down by whole breaths, uneven sides are counted each by its own length', () => {
    const breaths = planOf([hold('a', 49, [42, 70], { breathSeconds: 7 })]);
    const down = fit(breaths, options(40));
    expect('ways' in down && down.ways.map(wayInWords)).toEqual(['Let a go down to 0:35; now it stops at 0:42.']);
    const sides = { kind: 'each', first: 'left', length: { kind: 'perSide', left: 20, right: 200 } } as const;
    const uneven = planOf([hold('a', 0, null, { sides })]);
    const up = fit(uneven, options(380));
    if (up.kind !== 'tooShort') throw new Error(up.kind);
    expect(up.ways.length).toBeGreaterThan(0);
    for (const way of up.ways) expect([way, fitsWith(uneven, options(380), [way])]).toEqual([way, true]);
  });

  test('every way that is offered is taken and fits, whatever the plan: in breaths, uneven, with breath, floor and talk', () => {
    const seconds = fc.integer({ min: 4, max: 40 }).map((n) => n * 10);
    const step = fc
      .record({
        kind: fc.constantFrom('hold', 'each', 'uneven', 'one', 'breaths', 'rest', 'breath'),
        now: seconds,
        other: seconds,
        ranged: fc.boolean(),
        locked: fc.constantFrom(false, false, false, true),
        props: fc.boolean(),
      })
      .map(({ kind, now, other, ranged, locked, props }): Step => {
        const range: [number, number] | null = ranged ? [Math.max(10, now - 60), now + 60] : null;
        const patch = { locked, setUp: props ? [bolster] : [], setupSeconds: null };
        if (kind === 'each') return each('e', now, range, patch);
        if (kind === 'rest') return { ...restStep('r', 'Rest', now), locked };
        if (kind === 'breath') return { ...breathStep([setOf('s', [cycleOf([4, 0, 5, 0])], 8)]), locked };
        if (kind === 'breaths') return hold('b', 49, ranged ? [42, 70] : null, { ...patch, breathSeconds: 7 });
        const sides: HoldStep['sides'] =
          kind === 'one'
            ? { kind: 'one', side: 'right', seconds: now }
            : { kind: 'each', first: 'left', length: { kind: 'perSide', left: now, right: other } };
        return hold(kind, now, range, kind === 'hold' ? patch : { ...patch, sides });
      });
    let taken = 0;
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 6 }),
        fc.constantFrom(0, 60, 100),
        fc.constantFrom(null, 120, 300),
        fc.double({ min: 0.1, max: 2.5, noNaN: true }),
        (steps, talkSeconds, lastRestSeconds, share) => {
          const plan = planOf(steps);
          const length = Math.max(1, Math.round((totalMs(plan) / 1000) * share)) + talkSeconds;
          fc.pre(length <= 21_600);
          const how = options(length, { talkSeconds, lastRestSeconds });
          const found = fit(plan, how);
          if (!('ways' in found)) return;
          for (const way of found.ways) {
            taken++;
            expect([wayInWords(way), fitsWith(plan, how, [way])]).toEqual([wayInWords(way), true]);
          }
          if ('pair' in found && found.pair)
            expect([found.pair, fitsWith(plan, how, found.pair)]).toEqual([found.pair, true]);
        },
      ),
      { numRuns: 500 },
    );
    // About four in five random plans offer one; far fewer would mean that nothing was tried.
    expect(taken).toBeGreaterThan(150);
  });

  test('every way that is told would do, and no step that would do by leaving it out is missed', () => {
    const step = fc.record({
      kind: fc.constantFrom('hold' as const, 'each' as const, 'rest' as const),
      least: fc.integer({ min: 4, max: 20 }),
      locked: fc.boolean(),
      props: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom(0, 60),
        fc.constantFrom(null, 120, 400),
        (rows, over, talkSeconds, lastRestSeconds) => {
          const plan = planOf(
            rows.map(({ kind, least, locked, props }, i): Step => {
              const patch = { locked: locked && i > 0, setUp: props ? [bolster] : [], setupSeconds: null };
              if (kind === 'hold') return hold(`h${i}`, least * 15 + 30, [least * 15, least * 15 + 60], patch);
              if (kind === 'each') return each(`e${i}`, least * 15 + 30, [least * 15, least * 15 + 60], patch);
              return { ...restStep('r', `r${i}`, least * 15), locked: patch.locked };
            }),
          );
          const how = options(1 + talkSeconds, { talkSeconds, lastRestSeconds });
          const least = fit(plan, how);
          fc.pre(least.kind === 'tooLong');
          const target = (least.totalMs - over * 15_000) / 1000 + talkSeconds;
          fc.pre(target > talkSeconds);
          const adjusted = options(target, { talkSeconds, lastRestSeconds });
          const found = fit(plan, adjusted);
          if (found.kind !== 'tooLong') throw new Error(found.kind);
          for (const way of found.ways) expect(shortestWith(plan, adjusted, [way])).toBeLessThanOrEqual(target * 1000);
          if (found.pair) expect(shortestWith(plan, adjusted, found.pair)).toBeLessThanOrEqual(target * 1000);
          const removed = found.ways.flatMap((way) => (way.kind === 'remove' ? [way.stepId] : []));
          const would = plan.steps.filter(({ id, name }) => {
            const way: Way = { kind: 'remove', stepId: id, name, byMs: 0, lostMs: 0 };
            return shortestWith(plan, adjusted, [way]) <= target * 1000 && fitsWith(plan, adjusted, [way]);
          });
          expect(removed.sort()).toEqual(would.map(({ id }) => id).sort());
        },
      ),
      { numRuns: 200 },
    );
  });

  test('where no single one does, the two that cost the least practice', () => {
    const found = long(
      options(200),
      hold('a', 120, [120, 240]),
      hold('b', 150, [150, 240]),
      hold('c', 200, [200, 240]),
    );
    expect(found.ways).toEqual([]);
    expect(found.pair?.map(wayInWords)).toEqual([
      'Remove a: 2:00 less at the shortest.',
      'Remove b: 2:30 less at the shortest.',
    ]);
    // 4:30 has to go; what the two lose is what is told, and no other two lose less.
    expect(found.pair!.reduce((sum, { byMs }) => sum + byMs, 0)).toBeGreaterThanOrEqual(found.overMs);
  });

  test('a twist is not offered on both sides at once', () => {
    const twist = builtInLibrary.position('seated-twist')!;
    const plan = planOf([holdFrom(twist, 'yin', 'x')]);
    const found = fitHolds({ plan, library: builtInLibrary }, options(60));
    expect('ways' in found && found.ways.some(({ kind }) => kind === 'together')).toBe(false);
  });

  test('too short: the longest, and what would fill it', () => {
    const one = hold('Lean', 0, [60, 120], { sides: { kind: 'one', side: 'left', seconds: 60 } });
    const found = fit(planOf([one, hold('Fold', 60, [60, 180])]), options(400));
    if (found.kind !== 'tooShort') throw new Error(found.kind);
    expect(fitInWords(found)).toBe('It cannot be that long: with every length at its maximum it is 5:00, 1:40 short.');
    expect(found.ways.map(wayInWords)).toEqual([
      'Let Lean go up to 3:45; now it stops at 2:00.',
      'Let Fold go up to 4:45; now it stops at 3:00.',
      'Hold Lean on both sides: 2:00 more at the longest.',
    ]);
  });
});

test('where sums get fine, a plan that lasts what is asked stays as it is: forty strokes at any rate, five holds', () => {
  for (let perMinute = 40; perMinute <= 120; perMinute++) {
    const strokes = breathStep([setOf('s', [strokesOf(40, perMinute)], 3)]);
    const holds = ['a', 'b', 'c', 'd', 'e'].map((name) => hold(name, 300, null));
    const plan = planOf([strokes, ...holds]);
    const found = fit(plan, options(totalMs(plan) / 1000));
    expect([perMinute, found]).toMatchObject([perMinute, { kind: 'fits', harm: 0, totalMs: totalMs(plan) }]);
  }
});

test('a range of whole breaths keeps both of its ends, however long a breath is', () => {
  for (let tenths = 20; tenths <= 120; tenths++) {
    for (const [least, most] of [
      [3, 30],
      [5, 24],
      [7, 41],
    ] as const) {
      const breathSeconds = tenths / 10;
      const length = (breaths: number): number => Math.round(breaths * tenths * 100) / 1000;
      const step = hold('a', length(least + 1), [length(least), length(most)], { breathSeconds });
      const [free] = freeLengths({ plan: planOf([step]), library: noLibrary }, options(60));
      const breaths = free!.choices.map(({ ms }) => ms / (tenths * 100));
      expect([tenths, breaths]).toEqual([tenths, Array.from({ length: most - least + 1 }, (_, i) => least + i)]);
    }
  }
});

describe('what a minute costs', () => {
  const plan = planOf([each('Lean', 180, [60, 300]), hold('Fold', 240, [120, 360]), restStep('r', 'Last rest', 480)], {
    classSeconds: 1080,
  });
  const price = (by: number, now = plan) =>
    priceOf({ plan: now, library: noLibrary }, 's0', by, usualFitOptions(now, noLibrary));

  test('another step that stands outside its range stays where it is', () => {
    const spare = planOf([hold('a', 300, null), hold('b', 150, [60, 120])], { classSeconds: 3600 });
    expect(priceOf({ plan: spare, library: noLibrary }, 's0', 30, options(3600))).toMatchObject({
      kind: 'costs',
      others: [],
      fromSpareMs: -30_000,
    });
    const short = planOf([hold('a', 300, null), hold('b', 20, [60, 120])], { classSeconds: 320 });
    expect(priceOf({ plan: short, library: noLibrary }, 's0', -30, options(320))).toMatchObject({
      kind: 'costs',
      others: [],
      fromSpareMs: 30_000,
    });
  });

  test('others give it where nothing is to spare', () => {
    const found = price(60);
    if (found.kind !== 'costs') throw new Error(found.reason);
    expect(found.totalMs).toBe(1080_000);
    expect(found.others.reduce((sum, { toMs, fromMs }) => sum + toMs - fromMs, 0)).toBe(-120_000);
    expect(priceInWords(plan, found, 60)).toBe('1:00 more here costs Last rest −1:30, Fold −0:30.');
  });

  test('what is to spare goes first', () => {
    const roomy = { ...plan, classSeconds: 1140 };
    expect(priceInWords(roomy, price(60, roomy), 60)).toMatch(/^1:00 more here costs 1:00 of the spare time, /);
    const roomier = { ...plan, classSeconds: 1500 };
    expect(priceInWords(roomier, price(60, roomier), 60)).toBe('1:00 more here costs 2:00 of the spare time.');
  });

  test('less here gives to others; what nobody can give is told', () => {
    const found = price(-60);
    if (found.kind !== 'costs') throw new Error(found.reason);
    expect(found.others.every(({ toMs, fromMs }) => toMs > fromMs)).toBe(true);
    expect(price(-300)).toMatchObject({ kind: 'none', reason: 'Lean cannot be so much shorter.' });
    expect(price(600)).toMatchObject({ kind: 'none', reason: expect.stringContaining('can give') });
    const talk = planOf([talkStep('t')]);
    expect(priceOf({ plan: talk, library: noLibrary }, 's0', 60, usualFitOptions(talk, noLibrary)).kind).toBe('none');
  });

  test('on any plan the totals hold and nobody changes the other way', () => {
    fc.assert(
      fc.property(smallPlan, fc.constantFrom(-60, -15, 15, 60), (any, by) => {
        const found = priceOf({ plan: any, library: noLibrary }, 's0', by, usualFitOptions(any, noLibrary));
        fc.pre(found.kind !== 'none');
        const after = withLengths(any, [...found.own, ...found.others]);
        expect(totalMs(after)).toBe(found.totalMs);
        expect(found.others.every(({ toMs, fromMs }) => (by > 0 ? toMs < fromMs : toMs > fromMs))).toBe(true);
        expect(found.totalMs).toBeLessThanOrEqual(Math.max(totalMs(any), any.classSeconds * 1000));
      }),
    );
  });
});

test('a fit that is taken is one edit, and sets the class where it was fitted to another length', () => {
  const plan = planOf([hold('a', 600, [60, 900])]);
  const found = fit(plan, options(300));
  const lengths = 'lengths' in found ? found.lengths : [];
  const edit = takeFit(lengths, 300);
  expect(editedPlan(plan, edit)).toMatchObject({ classSeconds: 300, steps: [{ sides: { seconds: 300 } }] });
  expect(editedPlan(plan, takeFit(lengths)).classSeconds).toBe(3600);
});

test.each([
  ['2026-11-26T18:30', 3600, '19:30'],
  ['2026-11-26T23:40', 1500, '00:05'],
  [null, 2700, '00:45'],
])(
  'a class that begins at %s and lasts %d seconds ends at %s, and fitting to that hour is fitting to its length',
  (startsAt, classSeconds, end) => {
    const plan = planOf([hold('a', 600, [60, 3600])], { startsAt, classSeconds });
    expect(classEndsAt(plan)).toBe(end);
    // A plan without a start ends as counted from midnight, and cannot be fitted to an end time.
    expect(fit(plan, options(1, { target: { kind: 'endsAt', time: end } }))).toMatchObject(
      startsAt === null
        ? { kind: 'refused', issues: [{ field: 'target.time' }] }
        : { kind: 'fits', totalMs: classSeconds * 1000 },
    );
  },
);
