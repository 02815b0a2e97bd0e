import type { Position } from '#core/catalogue';
import type { SetUp } from '#core/props';
import type { PlanEdit } from './edit';
import { holdFrom } from './new-step';
import type { Plan } from './plan';
import type { OtherSetUp, Step } from './step';

type Details = Omit<Plan, 'format' | 'version' | 'steps' | 'orderPairs'>;

/** Changes the plan's own fields: title, approach, group, length of the class and so on. */
export function setDetails(patch: Partial<Details>): PlanEdit {
  return {
    name: `change ${Object.keys(patch).join(', ')}`,
    merge: `details ${Object.keys(patch).join()}`,
    apply: (plan) => ({ ...plan, ...patch }),
  };
}

/** Takes a variant in the place of a plan: its steps, its length and what comes before what; whose class it is stays. */
export const takeVariant = (name: string, { steps, orderPairs, classSeconds }: Plan): PlanEdit => ({
  name: `take “${name}”`,
  apply: (plan) => ({ ...plan, steps, orderPairs, classSeconds }),
});

/** Puts a step in at a place in the order, from 0; past the end is the end. */
export function addStep(step: Step, at: number): PlanEdit {
  return { name: `add ${step.name}`, apply: (plan) => ({ ...plan, steps: plan.steps.toSpliced(at, 0, step) }) };
}

/** Takes a step out. A plan without that step stays as it is. */
export function removeStep(id: string): PlanEdit {
  return { name: 'delete step', apply: (plan) => ({ ...plan, steps: plan.steps.filter((step) => step.id !== id) }) };
}

/** Moves a step so that it has place `to` in the new order, from 0. A plan without that step stays as it is. */
export function moveStepTo(id: string, to: number): PlanEdit {
  return {
    name: 'move step',
    apply: (plan) => {
      const step = plan.steps.find((candidate) => candidate.id === id);
      if (!step) return plan;
      const others = plan.steps.filter((candidate) => candidate !== step);
      return { ...plan, steps: others.toSpliced(Math.max(0, to), 0, step) };
    },
  };
}

/** Puts a copy with a new id right after a step. */
export function duplicateStep(id: string, newId: string): PlanEdit {
  return {
    name: 'duplicate step',
    apply: (plan) => {
      const at = plan.steps.findIndex((step) => step.id === id);
      const step = plan.steps[at];
      return step ? { ...plan, steps: plan.steps.toSpliced(at + 1, 0, { ...step, id: newId }) } : plan;
    },
  };
}

/** Changes one step of a given kind; any other step, or a missing one, leaves the plan as it is. */
export function changeStep<K extends Step['kind']>(
  id: string,
  kind: K,
  name: string,
  change: (step: Extract<Step, { kind: K }>) => Extract<Step, { kind: K }>,
): PlanEdit {
  return {
    name,
    merge: `${name} ${id}`,
    apply: (plan) => ({
      ...plan,
      steps: plan.steps.map((step) =>
        step.id === id && step.kind === kind ? change(step as Extract<Step, { kind: K }>) : step,
      ),
    }),
  };
}

/** Changes what all kinds of step have: name, note, lock, weight, pin. */
export function setStepCommon(
  id: string,
  patch: Partial<Pick<Step, 'name' | 'note' | 'locked' | 'weight' | 'pinned'>>,
): PlanEdit {
  const what = Object.keys(patch).join(', ');
  return {
    name: `change ${what}`,
    merge: `${what} ${id}`,
    apply: (plan) => ({ ...plan, steps: plan.steps.map((step) => (step.id === id ? { ...step, ...patch } : step)) }),
  };
}

/** Says which steps come before which, whatever else an order is chosen for. */
export const setOrderPairs = (orderPairs: Plan['orderPairs']): PlanEdit => ({
  name: 'what comes before what',
  apply: (plan) => ({ ...plan, orderPairs }),
});

/** Gives some of the group another set-up in one step, or the same for all again (null). Talk and loosening have none. */
export function setOtherSetUp(id: string, otherSetUp: OtherSetUp | null): PlanEdit {
  return {
    name: otherSetUp ? 'split the group' : 'one set-up for all',
    merge: `other set-up ${id}`,
    apply: (plan) => ({
      ...plan,
      steps: plan.steps.map((step) => (step.id === id && 'otherSetUp' in step ? { ...step, otherSetUp } : step)),
    }),
  };
}

/** Changes the set-up of a hold, a breath or a rest. Talk and loosening have none. */
export function setSetUp(id: string, setUp: SetUp): PlanEdit {
  return {
    name: 'change set-up',
    merge: `set-up ${id}`,
    apply: (plan) => ({
      ...plan,
      steps: plan.steps.map((step) => (step.id === id && 'setUp' in step ? { ...step, setUp } : step)),
    }),
  };
}

/** Takes another set-up for the whole of a step: the stages of a hold keep no props of their own. */
export function takeSetUp(id: string, setUp: SetUp): PlanEdit {
  return {
    name: 'take another set-up',
    apply: (plan) => ({
      ...plan,
      steps: plan.steps.map((step) => {
        if (step.id !== id || !('setUp' in step)) return step;
        if (step.kind !== 'hold') return { ...step, setUp };
        return { ...step, setUp, stages: step.stages.map((stage) => ({ ...stage, setUp: null })) };
      }),
    }),
  };
}

/**
 * Puts another position in the place of a hold's own, with one of its set-ups. It is held as long as before where it has
 * the same sides, and as long as is usual where it has others.
 */
export function replacePosition(id: string, position: Position, setUp: SetUp): PlanEdit {
  return {
    name: `${position.names.english} instead`,
    apply: (plan) => ({
      ...plan,
      steps: plan.steps.map((step) => {
        if (step.id !== id || step.kind !== 'hold') return step;
        const fresh = holdFrom(position, plan.approach, id);
        const sides = fresh.sides.kind === step.sides.kind ? step.sides : fresh.sides;
        const { locked, weight, pinned, note } = step;
        return { ...fresh, sides, setUp, locked, weight, pinned, note };
      }),
    }),
  };
}
