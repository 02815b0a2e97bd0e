import type { FieldIssue } from './issues';
import { fieldIssues } from './issues';
import { Plan } from './plan';

/**
 * A named change of a plan: a pure function from one plan to the next.
 * Edits with the same `merge` key, one after the other, are one step of undo (typing in one field, say).
 */
export interface PlanEdit {
  name: string;
  merge?: string;
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
