import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { breathProgram, breathWithin, phasesOfPractice, phasesWithin } from '#core/breath';
import { emptyPlan, MAX_PHASES, phasesOfStep, Plan, readPlan, type Step } from '#core/plan';
import { breathInHold, compileTimeline } from '#core/timeline';
import { plan as anyPlan, practice as anyPractice } from '../../tests/support/arbitraries';
import { finestBreath, noLibrary } from '../../tests/support/examples';

describe('how many phases there are', () => {
  test('in a practice: as many as it unfolds into', () => {
    fc.assert(
      fc.property(anyPractice, (practice) => {
        expect(phasesOfPractice(practice)).toBe(breathProgram(practice).length);
      }),
    );
  });

  test('in a practice inside a hold: never fewer than it has there', () => {
    fc.assert(
      fc.property(anyPractice, fc.boolean(), fc.integer({ min: 1000, max: 3_600_000 }), (practice, fill, budgetMs) => {
        expect(phasesWithin(practice, fill, budgetMs)).toBeGreaterThanOrEqual(
          breathWithin(practice, fill, budgetMs).length,
        );
      }),
    );
  });

  test('in a plan: never fewer than it compiles into, breaths inside holds included', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const timeline = compileTimeline(plan, noLibrary);
        const counted = plan.steps.reduce((sum, step) => sum + phasesOfStep(step), 0);
        const inside = plan.steps.reduce((sum, step) => {
          if (step.kind !== 'hold' || !step.breath) return sum;
          const { sides } = step;
          const lengths =
            'seconds' in sides
              ? [sides.seconds]
              : sides.length.kind === 'even'
                ? [sides.length.seconds, sides.length.seconds]
                : [sides.length.left, sides.length.right];
          return lengths.reduce((all, seconds) => all + breathInHold(step.breath!, seconds * 1000).length, sum);
        }, 0);
        expect(counted).toBeGreaterThanOrEqual(timeline.phases.length + inside);
      }),
    );
  });
});

describe('a plan with more than can be led', () => {
  const planOf = (steps: Step[]) => ({ ...emptyPlan('Fine'), steps });
  test('is refused at the step in which it becomes too much, with the numbers and what to do', () => {
    // Each has 7,200 phases: the second is one too many.
    const read = readPlan(planOf(['a', 'b', 'c'].map(finestBreath)));
    expect(read).toMatchObject({ ok: false, issues: [{ field: 'steps.1.practice.sets' }] });
    expect(read.ok ? '' : read.issues[0]!.reason).toBe(
      'Up to here the plan has 14,412 breaths, holds and changes, each timed on its own; at most 12,000 can be led. Remove some rounds.',
    );
    expect(Plan.safeParse(planOf(['a'].map(finestBreath))).success).toBe(true);
  });

  test('a breath on each side counts twice', () => {
    const b = finestBreath('b');
    const moves = { position: 'x', into: 'in', outOf: 'out', sides: 'each', first: 'left' } as const;
    expect(Plan.safeParse(planOf([{ ...b, moves }])).success).toBe(false);
  });

  test('an hour of the finest breath in each of two hundred steps is refused before anything is unfolded', () => {
    const steps = Array.from({ length: 200 }, (_, i) => finestBreath(`s${i}`));
    const read = readPlan(planOf(steps));
    expect(read.ok).toBe(false);
    expect(steps.reduce((sum, step) => sum + phasesOfStep(step), 0)).toBeGreaterThan(MAX_PHASES * 100);
  });
});
