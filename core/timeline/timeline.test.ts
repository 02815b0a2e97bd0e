import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sideSeconds, type Plan, type Stage } from '#core/plan';
import { compileTimeline, DEFAULT_RULES, phaseIndexAt, type Timeline } from '#core/timeline';
import { toMs } from '#core/numbers';
import { plan } from '../../tests/support/arbitraries';
import { cycleOf, setOf } from '#core/breath';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';
import { splitStages } from './stages';

const compile = (document: Plan, rules = DEFAULT_RULES): Timeline => compileTimeline(document, noLibrary, rules);
const row = (kind: 'blanket' | 'block', side: 'left' | 'centre', count = 1) => ({
  id: `${kind}-${side}`,
  kind,
  state: kind === 'block' ? 'flat' : 'basic',
  lie: 'lengthwise' as const,
  place: 'hip' as const,
  side,
  count,
  mirror: true,
  optional: false,
  why: '',
});

describe('the worked example', () => {
  const timeline = compile(planOf(workedHold));

  test('is 10:10 in all, 7:20 of it in the hold, 72.1 %', () => {
    expect(timeline.totals.totalMs).toBe(610_000);
    expect(timeline.totals.holdMs).toBe(440_000);
    expect((100 * timeline.totals.holdMs) / timeline.totals.totalMs).toBeCloseTo(72.1, 1);
    expect(timeline.totals.spareMs).toBe(290_000);
  });

  test('unfolds to the millisecond', () => {
    expect(timeline.phases.map(({ kind, side, startMs, endMs }) => [kind, side, startMs, endMs])).toEqual([
      ['setup', 'none', 0, 40_000],
      ['enter', 'left', 40_000, 65_000],
      ['hold', 'left', 65_000, 285_000],
      ['leave', 'left', 285_000, 305_000],
      ['switch', 'none', 305_000, 320_000],
      ['enter', 'right', 320_000, 345_000],
      ['hold', 'right', 345_000, 565_000],
      ['leave', 'right', 565_000, 585_000],
      ['loosen', 'none', 585_000, 610_000],
    ]);
  });

  test('bells at the start, half-way, the switch and the end', () => {
    expect(timeline.bells.map(({ kind, atMs }) => [kind, atMs])).toEqual([
      ['start', 65_000],
      ['half', 175_000],
      ['switch', 285_000],
      ['start', 345_000],
      ['half', 455_000],
      ['end', 565_000],
    ]);
  });
});

describe('what unfolds', () => {
  test('a rebound after each side, or one after both', () => {
    const kinds = (rebound: typeof workedHold.rebound) =>
      compile(planOf({ ...workedHold, rebound }))
        .phases.map(({ kind }) => kind)
        .join(' ');
    expect(kinds({ kind: 'afterEach', seconds: 30 })).toBe(
      'setup enter hold leave rebound switch enter hold leave rebound loosen',
    );
    expect(kinds({ kind: 'afterBoth', seconds: 30 })).toBe(
      'setup enter hold leave switch enter hold leave rebound loosen',
    );
  });

  test('a release after each side, after its rest, or one after both', () => {
    const step = { ...workedHold, rebound: { kind: 'afterEach' as const, seconds: 30 } };
    const shake = { seconds: 25, text: 'rock the pelvis' };
    const after = (when: 'afterEach' | 'afterBoth') =>
      compile(planOf({ ...step, loosen: { when, ...shake } })).phases.map(({ kind, startMs }) => [
        kind,
        startMs / 1000,
      ]);
    // 40 + 25 + 220 + 20 = 305: rest to 335, release to 360, change to 375; then 265 + 30 + 25.
    expect(after('afterEach').slice(4)).toEqual([
      ['rebound', 305],
      ['loosen', 335],
      ['switch', 360],
      ['enter', 375],
      ['hold', 400],
      ['leave', 620],
      ['rebound', 640],
      ['loosen', 670],
    ]);
    expect(after('afterBoth').filter(([kind]) => kind === 'loosen')).toEqual([['loosen', 645]]);
  });

  test('a prompt after so many breaths: of what the hold is measured in, of the breath inside it, or ten a minute', () => {
    const prompts = [
      { id: 'p', at: { kind: 'afterBreaths' as const, breaths: 3 }, text: 'soften', on: 'first' as const },
    ];
    const at = (patch: Partial<typeof workedHold>) =>
      compile(planOf({ ...workedHold, prompts, ...patch })).prompts.map(({ atMs }) => atMs - 65_000);
    const inside = {
      technique: 'even',
      name: 'Even',
      // In 4, out 6: ten seconds a breath, once the body has settled for 30 s.
      practice: { countSeconds: 1, sets: [setOf('s', [cycleOf([4, 0, 6, 0])], 5)] },
      settleSeconds: 30,
      fill: true,
    };
    expect(at({ breathSeconds: 8 })).toEqual([24_000]);
    expect(at({ breath: inside })).toEqual([60_000]);
    expect(at({})).toEqual([18_000]);
    expect(at({ breathSeconds: 8, breath: inside })).toEqual([24_000]);
  });

  test('a difference between the sides that is intended is no oddity', () => {
    const uneven = {
      ...workedHold,
      sides: {
        kind: 'each' as const,
        first: 'left' as const,
        length: { kind: 'perSide' as const, left: 300, right: 240 },
      },
    };
    const kinds = (unevenIntended: boolean) =>
      compile(planOf({ ...uneven, unevenIntended })).notes.map(({ kind }) => kind);
    expect(kinds(false)).toContain('uneven');
    expect(kinds(true)).not.toContain('uneven');
    expect(compile(planOf({ ...uneven, unevenIntended: true })).totals).toMatchObject({
      leftMs: 300_000,
      rightMs: 240_000,
    });
  });

  test('set-up is 8 s and 6 s a prop, at most 120 s, unless the step has its own figure', () => {
    const setupOf = (count: number, setupSeconds: number | null = null) =>
      compile(planOf({ ...workedHold, setUp: [row('block', 'centre', count)], setupSeconds })).phases[0]?.endMs;
    expect(setupOf(3)).toBe(26_000);
    expect(setupOf(12)).toBe(80_000);
    expect(setupOf(12, 15)).toBe(15_000);
    const many = {
      ...workedHold,
      setupSeconds: null,
      setUp: ['head', 'knees'].map((place) => ({ ...row('blanket', 'centre', 12), place: place as 'head' })),
    };
    const capped = compile(planOf(many));
    expect(capped.phases[0]?.endMs).toBe(120_000);
    expect(capped.notes.map(({ kind }) => kind)).toContain('setupCapped');
  });

  test('a blanket under the left hip lies under the right hip on the second side, moved at the switch', () => {
    const { phases } = compile(planOf({ ...workedHold, setUp: [row('blanket', 'left')] }));
    const sideHeld = (side: string) => phases.find((p) => p.kind === 'hold' && p.side === side)?.props[0]?.side;
    expect([sideHeld('left'), sideHeld('right')]).toEqual(['left', 'right']);
    const change = phases.find((p) => p.kind === 'switch');
    expect(change?.kind === 'switch' && change.moves.map(({ action }) => action)).toEqual(['move']);
  });

  test('the same set-up in the next step costs no move', () => {
    const setUp = [row('blanket', 'centre')];
    const { steps } = compile(planOf({ ...workedHold, setUp }, { ...workedHold, id: 'again', setUp }));
    expect(steps.map(({ propMoves }) => propMoves)).toEqual([1, 0]);
  });

  test('a set-up with stages: a block leaves during the hold', () => {
    const stages: Stage[] = [
      {
        id: 'a',
        name: 'on two blocks',
        length: { kind: 'fixed', seconds: 60 },
        breathSeconds: null,
        position: null,
        setUp: null,
      },
      {
        id: 'b',
        name: 'lower',
        length: { kind: 'share', weight: 1 },
        breathSeconds: null,
        position: null,
        setUp: [row('block', 'centre', 1)],
      },
    ];
    const { phases } = compile(planOf({ ...workedHold, setUp: [row('block', 'centre', 2)], stages }));
    const held = phases.filter((p) => p.kind === 'hold').map((p) => [p.side, p.endMs - p.startMs, p.props[0]?.count]);
    expect(held).toEqual([
      ['left', 60_000, 2],
      ['left', 160_000, 1],
      ['right', 60_000, 2],
      ['right', 160_000, 1],
    ]);
  });

  test('the house says which side is first, and a hold may say otherwise', () => {
    const firstOf = (first: 'house' | 'left' | 'right') => {
      const step = {
        ...workedHold,
        sides: { kind: 'each' as const, first, length: { kind: 'even' as const, seconds: 60 } },
      };
      return compile(planOf(step), { ...DEFAULT_RULES, firstSide: 'right' }).phases.find((p) => p.kind === 'hold')
        ?.side;
    };
    expect([firstOf('house'), firstOf('left')]).toEqual(['right', 'left']);
  });

  test('oddities come back as notes on the step, in words', () => {
    const step = {
      ...workedHold,
      sides: {
        kind: 'each' as const,
        first: 'left' as const,
        length: { kind: 'perSide' as const, left: 270, right: 230 },
      },
      range: { min: 60, max: 240 },
      strength: 9,
      prompts: [{ id: 'p', at: { kind: 'after' as const, seconds: 250 }, text: 'soften', on: 'every' as const }],
    };
    const { notes, prompts } = compile(planOf(step));
    expect(notes.map(({ kind }) => kind)).toEqual([
      'unknownPosition',
      'uneven',
      'outsideRange',
      'strong',
      'promptOutside',
    ]);
    expect(notes[1]?.message).toBe('Second side is 0:40 shorter.');
    expect(prompts).toHaveLength(1);
  });
});

describe('stages', () => {
  const fixed = (seconds: number): Stage => ({
    id: 's',
    name: '',
    length: { kind: 'fixed', seconds },
    breathSeconds: null,
    position: null,
    setUp: null,
  });
  const share = (weight: number): Stage => ({
    id: 's',
    name: '',
    length: { kind: 'share', weight },
    breathSeconds: null,
    position: null,
    setUp: null,
  });

  test('fixed ones take theirs, sharing ones the remainder; whole seconds where the hold is whole seconds', () => {
    expect(splitStages([fixed(60), share(1), share(2)], 100_000).lengths).toEqual([60_000, 13_000, 27_000]);
    // Ninety seconds of stages in a minute and a quarter.
    expect(splitStages([fixed(37), fixed(53), fixed(62)], 75_000).lengths).toEqual([18_000, 26_000, 31_000]);
    expect(splitStages([share(1), share(1)], 1500).lengths).toEqual([750, 750]);
    expect(splitStages([fixed(60), fixed(30)], 100_000)).toEqual({
      lengths: [60_000, 40_000],
      overMs: 0,
      shortMs: 10_000,
    });
    expect(splitStages([fixed(150), fixed(50)], 100_000)).toEqual({
      lengths: [75_000, 25_000],
      overMs: 100_000,
      shortMs: 0,
    });
  });

  test('what is odd about both sides alike is said once', () => {
    const { notes } = compile(planOf({ ...workedHold, stages: [fixed(300)] }));
    expect(notes.filter(({ kind }) => kind === 'stagesLong')).toHaveLength(1);
  });

  test('they always add up to the hold', () => {
    const stage = fc.oneof(
      fc.integer({ min: 1, max: 300 }).map(fixed),
      fc.double({ min: 0.1, max: 9, noNaN: true }).map(share),
    );
    fc.assert(
      fc.property(
        fc.array(stage, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 1000, max: 600_000 }),
        (stages, holdMs) => {
          const { lengths } = splitStages(stages, holdMs);
          expect(lengths.reduce((a, b) => a + b, 0)).toBe(holdMs);
          expect(Math.min(...lengths)).toBeGreaterThanOrEqual(0);
          if (holdMs % 1000 === 0 && holdMs >= 1000 * stages.length)
            expect(lengths.map((ms) => ms % 1000)).toEqual(lengths.map(() => 0));
        },
      ),
    );
  });
});

describe('properties of every plan', () => {
  test('whole milliseconds, no gaps, no overlaps; phases belong to their steps', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const { phases, steps } = compile(any);
        let at = 0;
        for (const [i, phase] of phases.entries()) {
          expect(phase.index).toBe(i);
          expect(phase.startMs).toBe(at);
          expect(Number.isInteger(phase.endMs) && phase.endMs > at).toBe(true);
          at = phase.endMs;
        }
        for (const span of steps) {
          for (let i = span.firstPhase; i < span.endPhase; i++) expect(phases[i]?.stepIndex).toBe(span.stepIndex);
        }
        expect(steps.map(({ stepId }) => stepId)).toEqual(any.steps.map(({ id }) => id));
      }),
    );
  });

  test('totals equal the sum of phases', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const { phases, totals, steps } = compile(any);
        const sum = phases.reduce((ms, { startMs, endMs }) => ms + endMs - startMs, 0);
        expect(totals.totalMs).toBe(sum);
        expect(totals.holdMs + totals.breathMs + totals.restMs + totals.betweenMs).toBe(sum);
        expect(totals.leftMs + totals.rightMs + totals.bothMs).toBe(totals.holdMs);
        expect(steps.reduce((ms, { startMs, endMs }) => ms + endMs - startMs, 0)).toBe(sum);
        expect(totals.spareMs).toBe(toMs(any.classSeconds) - sum);
      }),
    );
  });

  test('swapping the first side keeps the total and both sides', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const left = compile(any, { ...DEFAULT_RULES, firstSide: 'left' }).totals;
        const right = compile(any, { ...DEFAULT_RULES, firstSide: 'right' }).totals;
        for (const key of ['totalMs', 'leftMs', 'rightMs'] as const) {
          const plainly = any.steps.every((s) => s.kind !== 'hold' || s.setUp.length === 0) || key !== 'totalMs';
          if (plainly) expect(right[key]).toBe(left[key]);
        }
      }),
    );
  });

  test('with set-ups of its own time, or props that do not change sides, swapping keeps the total too', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const timed = {
          ...any,
          steps: any.steps.map((s) =>
            s.kind === 'hold' || s.kind === 'breath' || s.kind === 'rest' ? { ...s, setupSeconds: 30 } : s,
          ),
        } as Plan;
        const totals = (['left', 'right'] as const).map(
          (firstSide) => compile(timed, { ...DEFAULT_RULES, firstSide }).totals.totalMs,
        );
        expect(totals[0]).toBe(totals[1]);
      }),
    );
  });

  test('every side gets what the plan says; an even hold the same on both', () => {
    fc.assert(
      fc.property(plan, (any) => {
        for (const span of compile(any).steps) {
          const step = any.steps[span.stepIndex];
          if (step?.kind !== 'hold' || step.sides.kind === 'together') continue;
          const { left, right } = sideSeconds(step.sides);
          expect([span.leftMs, span.rightMs]).toEqual([toMs(left), toMs(right)]);
          if (step.sides.kind !== 'one' && step.sides.length.kind === 'even') expect(span.leftMs).toBe(span.rightMs);
        }
      }),
    );
  });

  test('the phase found at a moment is the one that holds then', () => {
    fc.assert(
      fc.property(plan, fc.nat({ max: 4_000_000 }), (any, atMs) => {
        const { phases, totals } = compile(any);
        const found = phases[phaseIndexAt(phases, atMs)];
        if (phases.length === 0) expect(found).toBeUndefined();
        else if (atMs < totals.totalMs) expect(found && found.startMs <= atMs && atMs < found.endMs).toBe(true);
        else expect(found).toBe(phases.at(-1));
      }),
    );
  });
});

test('an empty plan is an empty timeline', () => {
  expect(compile(planOf())).toMatchObject({ phases: [], steps: [], totals: { totalMs: 0, spareMs: 900_000 } });
  expect(compile(planOf(talk('a', 60))).totals.betweenMs).toBe(60_000);
});
