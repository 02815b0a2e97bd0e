import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf } from '#core/breath';
import { cuesAhead, foldRun, type RunEvent } from '#core/run';
import { compileTimeline, DEFAULT_RULES, type HouseRules } from '#core/timeline';
import { restStep, type Plan } from '#core/plan';
import { plan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const started: RunEvent = { id: 'event-started', atMs: T0, kind: 'started' };
const breath = breathStep([setOf('a', [cycleOf([5, 0, 5, 0])], 6)], { setupSeconds: 10 });
const heard = (document: Plan, rules: HouseRules = DEFAULT_RULES) => {
  const timeline = compileTimeline(document, noLibrary, rules);
  return cuesAhead(timeline, rules, foldRun(timeline, [started]), T0, timeline.totals.totalMs).map((cue) => [
    (cue.atMs - T0) / 1000,
    cue.kind === 'bell' ? cue.bell : cue.text,
  ]);
};

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
    const quiet = { ...DEFAULT_RULES, bells: { start: false, half: false, switch: true, end: false } };
    expect(heard(planOf(workedHold), quiet)).toEqual([[285, 'switch']]);
  });

  test('asked in small pieces they are the same as asked at once', () => {
    fc.assert(
      fc.property(plan, fc.integer({ min: 150, max: 4000 }), (any, stepMs) => {
        const short = { ...any, steps: any.steps.slice(0, 2) };
        const timeline = compileTimeline(short, noLibrary);
        const run = foldRun(timeline, [started]);
        const all = cuesAhead(timeline, DEFAULT_RULES, run, T0, timeline.totals.totalMs).map(({ key }) => key);
        const pieces = new Set<string>();
        const end = Math.min(timeline.totals.totalMs, 400 * stepMs);
        for (let ms = 0; ms <= end; ms += stepMs) {
          for (const { key } of cuesAhead(timeline, DEFAULT_RULES, run, T0 + ms, stepMs)) pieces.add(key);
        }
        if (end === timeline.totals.totalMs) expect([...pieces].sort()).toEqual([...new Set(all)].sort());
      }),
      { numRuns: 40 },
    );
  });
});
