import { toMs } from '#core/numbers';
import { fieldIssues, type FieldIssue } from '#core/document';
import { readPlanEdit, type ChosenLength, type PlanEdit, type StepLength } from './edits';
import { errorOfEdited, type Plan } from './plan';
import { isTwoSided, mapSides, sideSeconds, withEven, withSideSeconds, withSidesKind } from './sides';
import type { HoldStep, Step } from './step';

/** An edit of one step that is in the plan. */
type StepEdit = Exclude<Extract<PlanEdit, { step: string }>, { kind: 'removeStep' | 'moveStep' | 'duplicateStep' }>;

/** Something with what a patch gives it. A value that is undefined is none, and changes nothing. */
function patched<T extends object>(target: T, patch: { readonly [K in keyof T]?: T[K] | undefined }): T {
  const given = Object.fromEntries(Object.entries(patch).filter(([, value]) => value !== undefined));
  return { ...target, ...given };
}

/** A step with one of its lengths changed; a step that has no such length stays as it is. */
function withLength(step: Step, what: StepLength, to: number): Step {
  if (step.kind === 'hold' && what.kind === 'hold')
    return { ...step, sides: withSideSeconds(step.sides, what.side, to) };
  if (step.kind === 'rest' && what.kind === 'rest') return { ...step, seconds: to };
  if (step.kind === 'breath' && what.kind === 'breath') {
    const sets = step.practice.sets.map((set, i) => (i === what.set ? { ...set, rounds: to } : set));
    return { ...step, practice: { ...step.practice, sets } };
  }
  return step;
}

/** A plan with chosen lengths. Steps that none of them is of are the same objects. */
export const withLengths = (plan: Plan, chosen: readonly ChosenLength[]): Plan => ({
  ...plan,
  steps: plan.steps.map((step) =>
    chosen.reduce((now, { stepId, what, to }) => (stepId === step.id ? withLength(now, what, to) : now), step),
  ),
});

/** A hold with a usual range that has room for the lengths it has. */
function withUsualRange(step: HoldStep): HoldStep {
  const { range, rangeIsUsual, sides } = step;
  if (!range || !rangeIsUsual) return step;
  const { left, right } = sideSeconds(sides);
  const held = [left, right].filter((seconds) => seconds > 0);
  const [min, max] = [Math.min(range.min, ...held), Math.max(range.max, ...held)];
  return min === range.min && max === range.max ? step : { ...step, range: { min, max } };
}

/** A hold after an edit: a usual range moves with its lengths, and a range that is given is the teacher's own. */
function editedHold(step: HoldStep, edit: StepEdit): HoldStep {
  const edited = holdAfter(step, edit);
  if (edit.kind !== 'setHold') return withUsualRange(edited);
  const givesRange = edit.patch.range !== undefined && edit.patch.rangeIsUsual === undefined;
  return givesRange ? { ...edited, rangeIsUsual: false } : edited;
}

/** A hold after an edit of its lengths or sides. */
function holdAfter(step: HoldStep, edit: StepEdit): HoldStep {
  const { sides } = step;
  switch (edit.kind) {
    case 'setHold':
      return patched(step, edit.patch);
    case 'setHoldSeconds':
      return { ...step, sides: withSideSeconds(sides, edit.side, edit.seconds) };
    case 'setBreathSeconds': {
      const { breathSeconds } = edit;
      if (breathSeconds === null) return { ...step, breathSeconds };
      const before = step.breathSeconds;
      // A number of breaths stays that number; a length that was typed by the clock stays to the second.
      const inBreaths = (seconds: number): number => {
        const breaths = before === null ? NaN : toMs(seconds) / toMs(before);
        return Number.isInteger(breaths) ? breaths * breathSeconds : seconds;
      };
      return { ...step, breathSeconds, sides: mapSides(sides, inBreaths) };
    }
    case 'setEven':
      return isTwoSided(sides) ? { ...step, sides: { ...sides, length: withEven(sides.length, edit.even) } } : step;
    case 'setFirstSide':
      return isTwoSided(sides) ? { ...step, sides: { ...sides, first: edit.first } } : step;
    case 'setOnlySide':
      return sides.kind === 'one' ? { ...step, sides: { ...sides, side: edit.side } } : step;
    case 'setSidesKind':
      return { ...step, sides: withSidesKind(sides, edit.sides) };
    case 'replacePosition': {
      const { locked, weight, pinned, takesRemaining, note } = step;
      const kept = edit.by.sides.kind === sides.kind ? sides : edit.by.sides;
      return { ...edit.by, id: step.id, sides: kept, locked, weight, pinned, takesRemaining, note };
    }
    default:
      return step;
  }
}

function editedStep(step: Step, edit: StepEdit): Step {
  switch (edit.kind) {
    case 'replaceStep':
      return { ...edit.by, id: step.id };
    case 'setStep':
      return patched<Step>(step, edit.patch);
    case 'setSeconds':
      return 'seconds' in step ? { ...step, seconds: edit.seconds } : step;
    case 'setBreath':
      return step.kind === 'breath' ? patched(step, edit.patch) : step;
    case 'setSetUp':
      return 'setUp' in step ? ({ ...step, setUp: edit.setUp } as Step) : step;
    case 'takeSetUp':
      if (!('setUp' in step)) return step;
      if (step.kind !== 'hold') return { ...step, setUp: edit.setUp };
      return { ...step, setUp: edit.setUp, stages: step.stages.map((stage) => ({ ...stage, setUp: null })) };
    case 'setOtherSetUp':
      return 'otherSetUp' in step ? { ...step, otherSetUp: edit.otherSetUp } : step;
    default:
      return step.kind === 'hold' ? editedHold(step, edit) : step;
  }
}

function reordered(plan: Plan, stepIds: readonly string[]): Plan {
  const byId = new Map(plan.steps.map((step) => [step.id, step]));
  const named = stepIds.flatMap((id) => byId.get(id) ?? []);
  return { ...plan, steps: [...named, ...plan.steps.filter((step) => !named.includes(step))] };
}

/**
 * A plan after an edit, not checked: a pure function. What the edit does not speak of are the same objects. An edit
 * that is about something the plan has not leaves it as it is; `misfit` says why.
 */
export function editedPlan(plan: Plan, edit: PlanEdit): Plan {
  const { steps } = plan;
  switch (edit.kind) {
    case 'several':
      return edit.edits.reduce(editedPlan, plan);
    case 'setDetails':
      return patched(plan, edit.patch);
    case 'setOrderPairs':
      return { ...plan, orderPairs: edit.orderPairs };
    case 'addStep':
      return { ...plan, steps: steps.toSpliced(edit.at, 0, edit.step) };
    case 'removeStep':
      return { ...plan, steps: steps.filter(({ id }) => id !== edit.step) };
    case 'moveStep': {
      const step = steps.find(({ id }) => id === edit.step);
      return step ? { ...plan, steps: steps.filter((one) => one !== step).toSpliced(edit.to, 0, step) } : plan;
    }
    case 'duplicateStep': {
      const at = steps.findIndex(({ id }) => id === edit.step);
      const step = steps[at];
      return step ? { ...plan, steps: steps.toSpliced(at + 1, 0, { ...step, id: edit.as }) } : plan;
    }
    case 'takeFit':
      return { ...withLengths(plan, edit.lengths), classSeconds: edit.classSeconds ?? plan.classSeconds };
    case 'takeOrder':
      return reordered(plan, edit.stepIds);
    case 'takeVariant':
      return { ...plan, steps: edit.steps, orderPairs: edit.orderPairs, classSeconds: edit.classSeconds };
    case 'restoreVersion':
      return edit.plan;
    default:
      return { ...plan, steps: steps.map((step) => (step.id === edit.step ? editedStep(step, edit) : step)) };
  }
}

const TWO_SIDED: ReadonlySet<PlanEdit['kind']> = new Set(['setEven', 'setFirstSide']);
const OF_HOLDS: ReadonlySet<PlanEdit['kind']> = new Set([
  'setHold',
  'setHoldSeconds',
  'setBreathSeconds',
  'setEven',
  'setFirstSide',
  'setOnlySide',
  'setSidesKind',
  'replacePosition',
]);

/** Why an edit of a step does not fit that step; undefined if it does. */
function misfitOfStep(step: Step, edit: Extract<PlanEdit, { step: string }>): string | undefined {
  const not = (what: string): string => `“${step.name}” is not ${what}.`;
  if (OF_HOLDS.has(edit.kind) && step.kind !== 'hold') return not('a hold');
  if (edit.kind === 'setBreath' && step.kind !== 'breath') return not('a breath');
  if (edit.kind === 'setSeconds' && !('seconds' in step)) return not('a rest, a release or a talk');
  const isAboutProps = edit.kind === 'setSetUp' || edit.kind === 'takeSetUp' || edit.kind === 'setOtherSetUp';
  if (isAboutProps && !('setUp' in step)) return `“${step.name}” has no set-up.`;
  if (step.kind !== 'hold') return undefined;
  if (TWO_SIDED.has(edit.kind) && !isTwoSided(step.sides)) return not('held on both sides');
  return edit.kind === 'setOnlySide' && step.sides.kind !== 'one' ? not('held on one side only') : undefined;
}

/**
 * Why an edit does not fit a plan: what it is about is not there any more, or is something else by now. Undefined if
 * it fits. Of several edits, the first that does not fit after those before it.
 */
function misfit(plan: Plan, edit: PlanEdit): string | undefined {
  if (edit.kind === 'several') {
    let now = plan;
    for (const one of edit.edits) {
      const reason = misfit(now, one);
      if (reason !== undefined) return reason;
      now = editedPlan(now, one);
    }
    return undefined;
  }
  if (edit.kind === 'takeFit') {
    const missing = edit.lengths.some(({ stepId }) => !plan.steps.some(({ id }) => id === stepId));
    return missing ? 'A step that was fitted is no longer in the plan.' : undefined;
  }
  if (!('step' in edit) || typeof edit.step !== 'string') return undefined;
  const step = plan.steps.find(({ id }) => id === edit.step);
  return step ? misfitOfStep(step, edit as Extract<PlanEdit, { step: string }>) : 'This step is no longer in the plan.';
}

export type EditResult = { ok: true; plan: Plan } | { ok: false; issues: FieldIssue[] };

/**
 * Applies an edit. The result is a plan that the schema accepts; or why the edit does not fit, or the fields that would
 * be wrong with the reasons, and then nothing has changed: plans are values and are never written to. Steps an edit
 * leaves alone are the same objects afterwards, so that only what changed is drawn again.
 */
export function applyEdit(plan: Plan, edit: PlanEdit): EditResult {
  const reason = misfit(plan, edit);
  if (reason !== undefined) return { ok: false, issues: [{ field: 'edit', reason }] };
  const edited = editedPlan(plan, edit);
  const error = errorOfEdited(edited);
  if (error) return { ok: false, issues: fieldIssues(error) };
  // A later edit can hide what an earlier one did wrong; such a list could be applied but never read back.
  const read = edit.kind === 'several' ? readPlanEdit(edit) : undefined;
  return read?.ok === false ? read : { ok: true, plan: edited };
}
