import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, recoverOf, retentionOf, setOf, strokesOf } from '#core/breath';
import { cuesAhead, foldRun, runState, type RunEvent } from '#core/run';
import { compileTimeline, DEFAULT_RULES, type TimelineRules } from '#core/timeline';
import { holdNamed, restStep, type HoldStep, type Plan } from '#core/plan';
import { plan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, propRow, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const started: RunEvent = { id: 'event-started', atMs: T0, kind: 'started' };
const breath = breathStep([setOf('a', [cycleOf([5, 0, 5, 0])], 6)], { setupSeconds: 10 });
const heard = (document: Plan, rules: TimelineRules = DEFAULT_RULES) => {
  const timeline = compileTimeline(document, noLibrary, rules);
  return cuesAhead(rules, foldRun(timeline, [started]), T0, timeline.totals.totalMs).flatMap((cue) =>
    cue.kind === 'tone' ? [] : [[(cue.atMs - T0) / 1000, cue.kind === 'bell' ? cue.bell : cue.text]],
  );
};

describe('tones of the breath', () => {
  const tones = (document: Plan, events: RunEvent[] = [], fromMs = 0) => {
    const timeline = compileTimeline(document, noLibrary);
    const run = foldRun(timeline, [started, ...events]);
    return cuesAhead(DEFAULT_RULES, run, T0 + fromMs, 3_600_000).flatMap((cue) =>
      cue.kind === 'tone' && cue.tone !== 'count' ? [[(cue.atMs - T0) / 1000, cue.tone, cue.lengthMs / 1000]] : [],
    );
  };

  test('a metronome ticks with every count of in, out and retention', () => {
    const two = breathStep([setOf('a', [cycleOf([2, 1, 3, 0])], 2)]);
    const timeline = compileTimeline(planOf(two), noLibrary);
    const ticks = cuesAhead(DEFAULT_RULES, foldRun(timeline, [started]), T0, 3_600_000).flatMap((cue) =>
      cue.kind === 'tone' && cue.tone === 'count' ? [(cue.atMs - T0) / 1000] : [],
    );
    expect(ticks).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
  });

  test('in rises, out falls, each as long as its phase', () => {
    const two = breathStep([setOf('a', [cycleOf([4, 2, 6, 0])], 1)]);
    expect(tones(planOf(two))).toEqual([
      [0, 'in', 4],
      [4, 'holdFull', 2],
      [6, 'out', 6],
    ]);
  });

  test('strokes keep their pace, pulses are spread over the hold', () => {
    const parts = [strokesOf(3, 60), retentionOf('empty', 4, { pulses: 2 })];
    expect(tones(planOf(breathStep([setOf('a', parts, 1)]))).map(([at, tone]) => [at, tone])).toEqual([
      [0, 'stroke'],
      [1, 'stroke'],
      [2, 'stroke'],
      [3, 'pulse'],
      [5, 'pulse'],
    ]);
  });

  const inside = {
    technique: 'even',
    name: 'Even breath',
    practice: { countSeconds: 1, sets: [setOf('a', [cycleOf([5, 0, 5, 0])], 1)] },
    settleSeconds: 30,
    fill: true,
  };
  const lying: HoldStep = {
    ...holdNamed('Legs up the wall', 'wall'),
    sides: { kind: 'together', seconds: 60 },
    setupSeconds: 0,
    enterSeconds: 0,
    leaveSeconds: 0,
    breath: inside,
  };

  test('a breath inside a hold sounds after settling, and goes on in a hold that is stretched', () => {
    expect(tones(planOf(lying)).map(([at]) => at)).toEqual([30, 35, 40, 45, 50, 55]);
    const stretched: RunEvent = { id: 'event-stretched', atMs: T0 + 40_000, kind: 'stretched', byMs: 30_000 };
    expect(tones(planOf(lying), [stretched], 41_000).map(([at]) => at)).toEqual([45, 50, 55, 60, 65, 70, 75, 80, 85]);
  });

  test('a hold of the breath that is as long as easy ends when the teacher ends it, and the practice goes on', () => {
    const parts = [retentionOf('empty', 20, { asLongAsEasy: true }), recoverOf(15)];
    const cut: RunEvent = { id: 'event-cut-hold', atMs: T0 + 12_000, kind: 'cut' };
    const plan = planOf(breathStep([setOf('a', parts, 1)]));
    const timeline = compileTimeline(plan, noLibrary);
    const state = runState(timeline, [started, cut], T0 + 13_000);
    expect([state.phase?.kind, state.intoMs]).toEqual(['recover', 1000]);
    expect(tones(plan, [cut], 12_000)).toEqual([[12, 'ease', 0.6]]);
  });
});

describe('bells', () => {
  test('begin and end a breath practice, and end a rest', () => {
    expect(heard(planOf(breath, restStep('r', 'Rest', 30)))).toEqual([
      [10, 'start'],
      [70, 'end'],
      [100, 'end'],
    ]);
  });

  test('a hold of stages has one beginning, one middle and one end', () => {
    const stages = [60, 100].map((s, i) => ({
      id: `s${i}`,
      name: '',
      length: { kind: 'fixed' as const, seconds: s },
      breathSeconds: null,
      position: null,
      setUp: null,
    }));
    const sides = { kind: 'together' as const, seconds: 160 };
    expect(heard(planOf({ ...workedHold, sides, stages }))).toEqual([
      [65, 'start'],
      [145, 'half'],
      [225, 'end'],
    ]);
  });

  test('a kind that the house does not want is not rung', () => {
    const quiet = {
      ...DEFAULT_RULES,
      bells: { ...DEFAULT_RULES.bells, start: false, half: false, switch: true, end: false },
    };
    expect(heard(planOf(workedHold), quiet)).toEqual([[285, 'switch']]);
  });

  test('asked in small pieces they are the same as asked at once', () => {
    fc.assert(
      fc.property(plan, fc.integer({ min: 150, max: 4000 }), (any, stepMs) => {
        const short = { ...any, steps: any.steps.slice(0, 2) };
        const timeline = compileTimeline(short, noLibrary);
        const run = foldRun(timeline, [started]);
        const all = cuesAhead(DEFAULT_RULES, run, T0, timeline.totals.totalMs).map(({ key }) => key);
        const pieces = new Set<string>();
        const end = Math.min(timeline.totals.totalMs, 400 * stepMs);
        for (let ms = 0; ms <= end; ms += stepMs) {
          for (const { key } of cuesAhead(DEFAULT_RULES, run, T0 + ms, stepMs)) pieces.add(key);
        }
        if (end === timeline.totals.totalMs) expect([...pieces].sort()).toEqual([...new Set(all)].sort());
      }),
      { numRuns: 40 },
    );
  });
});

describe('bells that are told apart', () => {
  const bolster = propRow('flatBolster', 'spine');
  const block = propRow('block', 'sacrum', { state: 'edge' });
  const staged: HoldStep = {
    ...workedHold,
    sides: { kind: 'together', seconds: 300 },
    setUp: [bolster, block],
    stages: [
      {
        id: 'a',
        name: 'raised',
        length: { kind: 'fixed', seconds: 120 },
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
        setUp: [bolster],
      },
    ],
  };
  const rung = (rules: TimelineRules) => {
    const timeline = compileTimeline(planOf(staged), noLibrary);
    return cuesAhead(rules, foldRun(timeline, [started]), T0, 3_600_000).flatMap((cue) =>
      cue.kind === 'bell' ? [[cue.bell, (cue.atMs - T0) / 1000]] : [],
    );
  };
  test('props as the set-up begins and as a stage takes something away; shortly before the end where that is wished', () => {
    const { bells } = DEFAULT_RULES;
    expect(rung(DEFAULT_RULES)).toEqual([
      ['props', 0],
      ['start', 65],
      ['props', 185],
      ['half', 215],
      ['end', 365],
    ]);
    expect(rung({ ...DEFAULT_RULES, bells: { ...bells, soon: true, props: false } })).toEqual([
      ['start', 65],
      ['half', 215],
      ['soon', 350],
      ['end', 365],
    ]);
  });
});
