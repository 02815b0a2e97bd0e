import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyEdit, Plan, restStep, setDetails, type HoldStep, type Step } from '#core/plan';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';
import { compileTimeline, remainingEdit } from './index';

/** A plan with its remaining step as long as it is to be. */
function filled(plan: Plan): Plan {
  const edit = remainingEdit(plan, noLibrary);
  const result = edit ? applyEdit(plan, edit) : { ok: true as const, plan };
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.plan;
}
const rest = (seconds: number): Step => ({ ...restStep('rest', 'Last rest', seconds), takesRemaining: true });
const messages = (plan: Plan) =>
  compileTimeline(plan, noLibrary)
    .notes.filter(({ kind }) => kind === 'remaining')
    .map(({ message }) => message);
const secondsOf = (plan: Plan, id: string) => {
  const step = plan.steps.find((one) => one.id === id);
  return step && 'seconds' in step ? step.seconds : undefined;
};

describe('what is left of the class', () => {
  // The worked hold is 610 s, of a class of 900 s; a talk of 60 s leaves 230.
  const plan = planOf(workedHold, talk('talk', 60), rest(100));

  test('is taken by the step that takes it, and follows the class and the other steps', () => {
    expect(secondsOf(filled(plan), 'rest')).toBe(230);
    expect(messages(filled(plan))).toEqual([]);
    const longer = applyEdit(plan, setDetails({ classSeconds: 1000 }));
    expect(longer.ok && secondsOf(filled(longer.plan), 'rest')).toBe(330);
    expect(remainingEdit(filled(plan), noLibrary)).toBeUndefined();
    expect(remainingEdit(planOf(workedHold, talk('talk', 60)), noLibrary)).toBeUndefined();
  });

  test('by a hold of two sides half each; never outside its range, and then that is said', () => {
    const last: HoldStep = { ...workedHold, id: 'last', takesRemaining: true, loosen: null };
    // 610 + 120 talk; the last: 40 + 2 × (25 + 20) + 15 = 145 without its sides; 900 - 875 = 25, twelve and a half each.
    const twice = planOf(workedHold, talk('talk', 120), last);
    const held = filled(twice).steps[2];
    expect(held?.kind === 'hold' && held.sides).toMatchObject({ length: { kind: 'even', seconds: 12 } });
    const ranged = planOf(workedHold, talk('talk', 120), { ...last, range: { min: 60, max: 240 } });
    const short = filled(ranged).steps[2];
    expect(short?.kind === 'hold' && short.sides).toMatchObject({ length: { seconds: 60 } });
    expect(messages(filled(ranged))).toEqual([
      'Nothing of the class is left for this step; it stays at its shortest, 1:00.',
    ]);
    const wide = filled({ ...ranged, classSeconds: 3600 });
    expect(messages(wide)[0]).toMatch(/^It is at its longest, 4:00; 37:25 of the class is still left\.$/);
  });

  test('two steps cannot both take it', () => {
    const two = { ...plan, steps: [rest(60), { ...rest(60), id: 'other' }] };
    expect(Plan.safeParse(two).error?.issues.map(({ message }) => message)).toEqual([
      'Only one step can take what is left of the class.',
    ]);
  });

  test('in any plan: the total is the class, or the step is at an end of its range', () => {
    fc.assert(
      fc.property(anyPlan, fc.integer({ min: 60, max: 7200 }), (given, classSeconds) => {
        const done = filled({ ...given, classSeconds, steps: [...given.steps, { ...rest(60), id: 'the-rest' }] });
        const { spareMs } = compileTimeline(done, noLibrary).totals;
        const seconds = secondsOf(done, 'the-rest')!;
        if (seconds > 1 && seconds < 3600) expect(Math.abs(spareMs)).toBeLessThan(1000);
        else expect(seconds === 1 ? spareMs <= 0 || spareMs < 1000 : spareMs >= 0).toBe(true);
      }),
    );
  });
});
