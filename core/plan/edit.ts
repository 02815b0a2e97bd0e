import { fieldIssues, type Change, type FieldIssue } from '#core/document';
import { Plan } from './plan';

/** A named change of a plan: a pure function from one plan to the next. */
export interface PlanEdit extends Change {
  apply(plan: Plan): Plan;
}

export type EditResult = { ok: true; plan: Plan } | { ok: false; issues: FieldIssue[] };

/**
 * Applies an edit. The result is a plan that the schema accepts, or the fields that would be wrong with the reasons,
 * and then nothing has changed: plans are values and are never written to. Steps an edit leaves alone are the same objects
 * afterwards, so that only what changed is drawn again.
 */
export function applyEdit(plan: Plan, edit: PlanEdit): EditResult {
  const edited = edit.apply(plan);
  const parsed = Plan.safeParse(edited);
  return parsed.success ? { ok: true, plan: edited } : { ok: false, issues: fieldIssues(parsed.error) };
}
