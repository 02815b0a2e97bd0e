import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf } from '#core/breath';
import { holdNamed, restStep, type BreathMoves } from '#core/plan';
import { cuesAhead, foldRun, runState, stateAt, type RunEvent } from '#core/run';
import { compileTimeline, DEFAULT_RULES, type TimelineRules, type Timeline } from '#core/timeline';
import { builtInLibrary, POSITIONS, TEMPLATES } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, propRow, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${made++}`, atMs: T0 + seconds * 1000 }) as RunEvent;
const started = at(0, { kind: 'started' });
const all: TimelineRules = {
  ...DEFAULT_RULES,
  bells: { start: true, half: true, soon: true, switch: true, end: true, props: true },
};
const moves = (patch: Partial<BreathMoves> = {}): BreathMoves => ({
  position: 'lift',
  into: 'in',
  outOf: 'out',
  sides: 'each',
  first: 'left',
  ...patch,
});
const series = (patch: Partial<BreathMoves>, rounds = 2) =>
  breathStep([setOf('a', [cycleOf([3, 0, 3, 0])], rounds)], { moves: moves(patch) });

const onPlan = (timeline: Timeline): string[] => timeline.bells.map(({ atMs, kind }) => `${atMs / 1000} ${kind}`);
const onStage = (timeline: Timeline, rules: TimelineRules, ...events: RunEvent[]): string[] => {
  const run = foldRun(timeline, [started, ...events]);
  const from = run.cursor.clockMs;
  return cuesAhead(rules, run, from, timeline.totals.totalMs + 1).flatMap((cue) =>
    cue.kind === 'bell' ? [`${(cue.atMs - T0) / 1000} ${cue.bell}`] : [],
  );
};

describe('one set of bells', () => {
  test('the end of a practice is rung before the quiet breathing after it', () => {
    const step = breathStep([setOf('a', [cycleOf([5, 0, 5, 0])], 3)], { afterSeconds: 60 });
    const timeline = compileTimeline(planOf(step), noLibrary, all);
    expect(onStage(timeline, all)).toEqual(['0 start', '30 end']);
    expect(onPlan(timeline)).toEqual(['0 start', '30 end']);
  });

  test('between the sides of a breath the change is rung, once', () => {
    const timeline = compileTimeline(planOf(series({})), noLibrary, all);
    const change = timeline.phases.find(({ kind }) => kind === 'switch')!;
    const end = change.endMs / 1000 + 12;
    expect(onStage(timeline, all)).toEqual(['0 start', '12 switch', `${end} end`]);
    expect(onPlan(timeline)).toEqual(onStage(timeline, all));
  });

  test('every template, and whatever is planned, rings on the stage what it rings on the plan', () => {
    for (const { plan } of TEMPLATES) {
      const timeline = compileTimeline(plan, builtInLibrary, all);
      expect(onStage(timeline, all).toSorted()).toEqual(onPlan(timeline).toSorted());
    }
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const timeline = compileTimeline(plan, noLibrary, all);
        expect(onStage(timeline, all).toSorted()).toEqual(onPlan(timeline).toSorted());
      }),
      { numRuns: 200 },
    );
  });

  test('stages that begin with something to move, and the last quarter of a minute, ring on the plan as well', () => {
    const share = { kind: 'share' as const, weight: 1 };
    const stages = [
      { id: 'one', name: 'upright', length: share, breathSeconds: null, position: null, setUp: null },
      {
        id: 'two',
        name: 'folded',
        length: share,
        breathSeconds: null,
        position: null,
        setUp: [propRow('blanket', 'knees')],
      },
    ];
    const hold = { ...holdNamed('Fold', 'fold'), stages, setupSeconds: 0, enterSeconds: 0, leaveSeconds: 0 };
    const timeline = compileTimeline(planOf({ ...hold, sides: { kind: 'together', seconds: 100 } }), noLibrary, all);
    expect(onPlan(timeline)).toEqual(['0 start', '50 half', '50 props', '85 soon', '100 end']);
  });

  test('a hold that was left open and jumped past mutes nothing that comes later', () => {
    const share = { kind: 'share' as const, weight: 1 };
    const stages = ['one', 'two'].map((id) => ({
      id,
      name: id,
      length: share,
      breathSeconds: null,
      position: null,
      setUp: null,
    }));
    const timeline = compileTimeline(
      planOf({ ...workedHold, stages, loosen: null }, restStep('rest', 'Rest', 60)),
      noLibrary,
      all,
    );
    const [, second] = timeline.phases.filter(({ kind }) => kind === 'hold');
    const past = [at(70, { kind: 'opened', open: true }), at(80, { kind: 'jumped', phase: second!.index })];
    expect(onStage(timeline, all, ...past)).toContain('190 switch');
  });
});

describe('one side after the other', () => {
  const noChange = { ...noLibrary, position: () => ({ ...POSITIONS[0]!, switchSeconds: 0 }) };
  const timeline = compileTimeline(planOf(series({}), talk('end', 60)), noChange, all);

  test('with a change of no length, a cut on the left ends the left', () => {
    expect(timeline.phases.some(({ kind }) => kind === 'switch')).toBe(false);
    const state = runState(timeline, [started, at(4, { kind: 'cut' })], T0 + 4000);
    expect(state.phase).toMatchObject({ kind: 'in', side: 'right' });
    expect(state).toMatchObject({ groupMs: 12_000 });
  });
});

describe('after all was led', () => {
  const timeline = compileTimeline(planOf(talk('a', 60)), noLibrary, all);
  test.each([
    ['a pause', [at(90, { kind: 'paused' }), at(200, { kind: 'resumed' })]],
    ['a gap that is left out', [at(200, { kind: 'missed', fromMs: T0 + 80_000 })]],
    ['a note', [at(90, { kind: 'noted', text: 'cold' })]],
  ])('%s does not move the expected end', (_, events) => {
    const run = foldRun(timeline, [started, ...events]);
    expect(stateAt(run, T0 + 300_000)).toMatchObject({ status: 'over', expectedEndMs: T0 + 60_000, lateMs: 0 });
  });
});
