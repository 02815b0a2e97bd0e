import { editedPlan, withLengths, type Plan, type PlanEdit, type Step } from '#core/plan';
import type { Ms } from '#core/numbers';
import { DEFAULT_RULES, totalsOfPlan } from '#core/timeline';
import { freeLengthsOf, type FreeLength } from './free';
import type { FitOptions } from './options';
import type { Planned } from './planned';

export type End = 'least' | 'most';

/**
 * How long plans are with every free length at its least (or most). Plans that share steps share what is worked out of
 * them.
 */
export function boundsOf(planned: Planned, options: FitOptions) {
  const { library, rules = DEFAULT_RULES } = planned;
  const freeOf = freeLengthsOf(options);
  const lengthsOf = (plan: Plan, adjusted: FitOptions): FreeLength[] => freeOf({ ...planned, plan }, adjusted);
  const at = (end: End, { choices }: FreeLength) => choices.at(end === 'least' ? 0 : -1)!;
  const compiledMs = (plan: Plan, free: readonly FreeLength[], end: End): Ms => {
    const chosen = free.map((one) => ({ stepId: one.stepId, what: one.what, to: at(end, one).value }));
    return totalsOfPlan(withLengths(plan, chosen), library, rules).totalMs;
  };
  const bringsProps = (step: Step | undefined): boolean =>
    step !== undefined &&
    (step.kind === 'hold' || step.kind === 'breath' || (step.kind === 'rest' && step.setUp !== null));
  /** The steps between which nothing of a change at one place is felt: from a set-up before it to one after it. */
  function around({ steps }: Plan, index: number): [from: number, until: number] {
    let [from, until] = [index - 1, index + 1];
    while (from > 0 && !bringsProps(steps[from])) from--;
    while (until < steps.length && !bringsProps(steps[until])) until++;
    return [Math.max(0, from), Math.min(steps.length, until + 1)];
  }
  const sumOf = (free: readonly FreeLength[], end: End): Ms =>
    free.reduce((sum, one) => sum + one.times * at(end, one).ms, 0);

  const now = lengthsOf(planned.plan, options);
  const nowMs = { least: compiledMs(planned.plan, now, 'least'), most: 0 };
  nowMs.most = nowMs.least + sumOf(now, 'most') - sumOf(now, 'least');
  /**
   * How long the plan is at its least and most after an edit of one of its steps. Only the steps around it are
   * compiled: what is brought and taken away elsewhere stays the same.
   */
  function after(edit: PlanEdit, stepId: string, adjusted: FitOptions = options): Record<End, Ms> {
    const { plan } = planned;
    const edited = editedPlan(plan, edit);
    const free = lengthsOf(edited, adjusted);
    const [from, until] = around(
      plan,
      plan.steps.findIndex(({ id }) => id === stepId),
    );
    const untilEdited = until + edited.steps.length - plan.steps.length;
    const part = (of: Plan, lengths: readonly FreeLength[], to: number): Ms => {
      const within = lengths.filter(({ stepIndex }) => stepIndex >= from && stepIndex < to);
      return compiledMs({ ...of, steps: of.steps.slice(from, to) }, within, 'least');
    };
    const outside = (lengths: readonly FreeLength[], to: number): Ms =>
      sumOf(
        lengths.filter(({ stepIndex }) => stepIndex < from || stepIndex >= to),
        'least',
      );
    const least =
      nowMs.least -
      part(plan, now, until) -
      outside(now, until) +
      part(edited, free, untilEdited) +
      outside(free, untilEdited);
    return { least, most: least + sumOf(free, 'most') - sumOf(free, 'least') };
  }
  return { now: nowMs, after, lengthsOf };
}
export type Bounds = ReturnType<typeof boundsOf>;
