import type { HoldSides, Plan, PlanEdit, Step } from '#core/plan';
import type { Seconds } from '#core/numbers';
import type { Chosen, Fittable } from './planned';

function withSide(sides: HoldSides, side: 'even' | 'left' | 'right', seconds: Seconds): HoldSides {
  if (sides.kind === 'together' || sides.kind === 'one') return { ...sides, seconds };
  const { length } = sides;
  if (length.kind === 'even' || side === 'even') return { ...sides, length: { kind: 'even', seconds } };
  return { ...sides, length: { ...length, [side]: seconds } };
}

/** A step with one of its lengths changed; a step that has no such length stays as it is. */
export function withLength(step: Step, what: Fittable, to: number): Step {
  if (step.kind === 'hold' && what.kind === 'hold') return { ...step, sides: withSide(step.sides, what.side, to) };
  if (step.kind === 'rest' && what.kind === 'rest') return { ...step, seconds: to };
  if (step.kind === 'breath' && what.kind === 'breath') {
    const sets = step.practice.sets.map((set, i) => (i === what.set ? { ...set, rounds: to } : set));
    return { ...step, practice: { ...step.practice, sets } };
  }
  return step;
}

/** A plan with chosen lengths. Steps that none of them is of are the same objects. */
export const withLengths = (plan: Plan, chosen: readonly Chosen[]): Plan => ({
  ...plan,
  steps: plan.steps.map((step) =>
    chosen.reduce((now, { stepId, what, to }) => (stepId === step.id ? withLength(now, what, to) : now), step),
  ),
});

/** Takes a fit into a plan, as one step of undo; the class becomes as long as it was fitted to, where that is given. */
export const takeFit = (chosen: readonly Chosen[], classSeconds: Seconds | null = null): PlanEdit => ({
  name: 'fit to the hour',
  apply: (plan) => ({ ...withLengths(plan, chosen), classSeconds: classSeconds ?? plan.classSeconds }),
});
