import { editedPlan } from './apply-edit';
import type { PlanDetails, PlanEdit } from './edits';
import {
  moveStepTo,
  removeStep,
  replaceStep,
  restoreVersion,
  several,
  setDetails,
  setOrderPairs,
  takeOrder,
} from './make-edits';
import type { Plan } from './plan';

/** The steps of a plan that an edit has left in their places but changed, as they were. */
function changedSteps(before: Plan, after: Plan): PlanEdit[] {
  const now = new Map(after.steps.map((step) => [step.id, step]));
  return before.steps.flatMap((step) => (now.get(step.id) === step ? [] : [replaceStep(step.id, step)]));
}

/** The edit of several that undoes them: their inverses, the last first. */
function invertSeveral(plan: Plan, edits: readonly PlanEdit[]): PlanEdit {
  const inverses: PlanEdit[] = [];
  let now = plan;
  for (const edit of edits) {
    inverses.unshift(invertEdit(now, edit));
    now = editedPlan(now, edit);
  }
  return several(inverses);
}

/**
 * The edit that takes back another one: applied to the plan that `edit` leads to from `plan`, it gives `plan` again,
 * exactly. `edit` fits the plan. It is about what that edit changed and nothing else, so that it can be applied to a
 * plan that was changed elsewhere since.
 */
export function invertEdit(plan: Plan, edit: PlanEdit): PlanEdit {
  switch (edit.kind) {
    case 'several':
      return invertSeveral(plan, edit.edits);
    case 'setDetails': {
      const keys = Object.keys(edit.patch) as (keyof PlanDetails)[];
      return setDetails(Object.fromEntries(keys.map((key) => [key, plan[key]])));
    }
    case 'setOrderPairs':
      return setOrderPairs(plan.orderPairs);
    case 'addStep':
      return removeStep(edit.step.id);
    case 'duplicateStep':
      return removeStep(edit.as);
    case 'removeStep':
    case 'moveStep': {
      const at = plan.steps.findIndex(({ id }) => id === edit.step);
      const step = plan.steps[at];
      if (!step) return several([]);
      return edit.kind === 'moveStep' ? moveStepTo(edit.step, at) : { kind: 'addStep', step, at };
    }
    case 'takeOrder':
      return takeOrder(plan.steps.map(({ id }) => id));
    case 'takeFit': {
      const steps = changedSteps(plan, editedPlan(plan, edit));
      return several([...steps, setDetails({ classSeconds: plan.classSeconds })]);
    }
    case 'takeVariant': {
      const { steps, orderPairs, classSeconds } = plan;
      return { kind: 'takeVariant', name: edit.name, steps, orderPairs, classSeconds };
    }
    case 'restoreVersion':
      return restoreVersion(plan);
    default:
      return several(changedSteps(plan, editedPlan(plan, edit)));
  }
}
