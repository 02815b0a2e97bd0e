import { describe, expect, test } from '@jest/globals';
import { cycleOf, ownPaceOf, recoverOf, retentionOf, setOf, strokesOf, type BreathSet } from '#core/breath';
import {
  editedPlan,
  emptyPlan,
  readPlan,
  setBreathSeconds,
  sideSeconds,
  type BreathMoves,
  type HoldBreath,
  type HoldStep,
} from '#core/plan';
import { breathInHold, compileTimeline, DEFAULT_RULES, type Timeline } from '#core/timeline';
import { breathStep, noLibrary, planOf, workedHold } from '../../tests/support/examples';

const even = (rounds: number): BreathSet => setOf('a', [cycleOf([4, 0, 4, 0])], rounds);
const summary = ({ phases }: Timeline) => phases.map(({ kind, side, startMs }) => [kind, side, startMs / 1000]);

describe('all kinds of parts', () => {
  test('unfold in order and count as breath', () => {
    const parts = [ownPaceOf(2, 8), strokesOf(30, 60), retentionOf('empty', 12, { pulses: 10 }), recoverOf(15)];
    const timeline = compileTimeline(planOf(breathStep([setOf('a', parts, 1, { restSeconds: 5 })])), noLibrary);
    expect(summary(timeline)).toEqual([
      ['ownPace', 'none', 0],
      ['strokes', 'none', 16],
      ['retention', 'none', 46],
      ['recover', 'none', 58],
      ['quiet', 'none', 73],
    ]);
    expect(timeline.totals).toMatchObject({ breathMs: 73_000, restMs: 5000 });
  });
});

describe('a counted series', () => {
  const moves = (sides: BreathMoves['sides']): BreathMoves => ({
    position: 'nowhere',
    into: 'in',
    outOf: 'out',
    sides,
    first: 'right',
  });
  const series = (sides: BreathMoves['sides'], rounds: number) =>
    compileTimeline(
      planOf(breathStep([setOf('a', [cycleOf([4, 4, 6, 0])], rounds)], { moves: moves(sides) })),
      noLibrary,
    );

  test('on one side and then on the other, with the change of sides between', () => {
    expect(summary(series('each', 1))).toEqual([
      ['in', 'right', 0],
      ['holdFull', 'right', 4],
      ['out', 'right', 8],
      ['switch', 'none', 14],
      ['in', 'left', 29],
      ['holdFull', 'left', 33],
      ['out', 'left', 37],
    ]);
  });

  test('sides in turn, in every round', () => {
    const kinds = summary(series('inTurn', 2)).filter(([kind]) => kind === 'in');
    expect(kinds).toEqual([
      ['in', 'right', 0],
      ['in', 'left', 14],
      ['in', 'right', 28],
      ['in', 'left', 42],
    ]);
  });

  test('both sides get the same, and every breath has a number of its own', () => {
    for (const sides of ['each', 'inTurn'] as const) {
      const { phases } = series(sides, 3);
      const lengthOf = (side: string) =>
        phases.filter((phase) => phase.side === side).reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0);
      expect(lengthOf('left')).toBe(42_000);
      expect(lengthOf('right')).toBe(42_000);
      const cycles = phases.flatMap((phase) => (phase.kind === 'in' ? [phase.cycle] : []));
      expect(new Set(cycles).size).toBe(6);
    }
    expect(series('together', 3).phases.every(({ side }) => side === 'both')).toBe(true);
    expect(series('each', 1).notes.map(({ kind }) => kind)).toContain('unknownPosition');
  });
});

describe('a breath inside a hold', () => {
  const inside: HoldBreath = {
    technique: 'even',
    name: 'Even breath',
    practice: { countSeconds: 1, sets: [even(1)] },
    settleSeconds: 30,
    fill: true,
  };
  const hold: HoldStep = { ...workedHold, breath: inside };

  test('begins on each side when the body has settled, and ends with a whole cycle', () => {
    const { breaths, totals } = compileTimeline(planOf(hold), noLibrary);
    expect(totals.totalMs).toBe(610_000);
    // 190 s after settling: 23 cycles of 8 s are 184 s.
    expect(breaths.map(({ side, turn, startMs, endMs }) => [side, turn, startMs, endMs])).toEqual([
      ['left', 0, 95_000, 279_000],
      ['right', 1, 375_000, 559_000],
    ]);
    expect(breaths[0]?.phases.filter(({ kind }) => kind === 'in')).toHaveLength(23);
  });

  test('a longer hold only adds breaths at the end', () => {
    const [short, long] = [breathInHold(inside, 220_000), breathInHold(inside, 250_000)];
    expect(long.slice(0, short.length)).toEqual(short);
    expect(long.length).toBeGreaterThan(short.length);
  });

  test('where not one breath fits, that is said', () => {
    const { breaths, notes } = compileTimeline(
      planOf({ ...hold, breath: { ...inside, settleSeconds: 215 } }),
      noLibrary,
    );
    expect(breaths).toEqual([]);
    expect(notes.map(({ message }) => message)).toContain(
      'Even breath does not fit: there is not one whole breath after 3:35 of settling.',
    );
  });
});

describe('a hold measured in breaths', () => {
  const lengths = (breaths: (number | null)[], step: HoldStep = workedHold) => {
    const plan = breaths.reduce(
      (before, seconds) => editedPlan(before, setBreathSeconds(step.id, seconds)),
      planOf(step),
    );
    const [after] = plan.steps as [HoldStep];
    return { ...sideSeconds(after.sides), breathSeconds: after.breathSeconds };
  };

  test('keeps a length to the second when the unit changes, and a number of breaths when a breath is longer', () => {
    // 220 s were typed: they stay to the second while they are no whole breaths; 55 breaths of 4 s are 55 of 8 s.
    expect(lengths([6])).toEqual({ left: 220, right: 220, breathSeconds: 6 });
    expect(lengths([6, 8])).toEqual({ left: 220, right: 220, breathSeconds: 8 });
    expect(lengths([4, 8])).toEqual({ left: 440, right: 440, breathSeconds: 8 });
    expect(lengths([4, 8, null])).toEqual({ left: 440, right: 440, breathSeconds: null });
    const twist: HoldStep = { ...workedHold, sides: { kind: 'together', seconds: 2 } };
    expect(lengths([6], twist).left).toBe(2);
  });
});

test('a plan of the first version is read as one of the second', () => {
  const without = (step: object, ...keys: string[]) =>
    Object.fromEntries(Object.entries(step).filter(([key]) => !keys.includes(key)));
  const oldHold = without(workedHold, 'breathSeconds', 'breath');
  const oldBreath = without(breathStep([even(3)]), 'moves');
  const cycle = { kind: 'cycle', in: 4, holdFull: 0, out: 4, holdEmpty: 0, inThrough: 'nose', outThrough: 'nose' };
  const oldSet = { id: 'a', label: '', parts: [cycle], rounds: 3, restSeconds: 0, eyes: 'free', hands: '' };
  const old = {
    ...emptyPlan('Example'),
    version: 1,
    classSeconds: 900,
    steps: [oldHold, { ...oldBreath, practice: { countSeconds: 1, sets: [oldSet] } }],
  };
  const read = readPlan(old);
  expect(read).toEqual({ ok: true, value: planOf(workedHold, breathStep([even(3)])) });
  if (read.ok) expect(compileTimeline(read.value, noLibrary, DEFAULT_RULES).totals.totalMs).toBe(634_000);
});
