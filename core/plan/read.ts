import { readDocument, type DocumentKind, type FieldIssue } from '#core/document';
import { PLAN_FORMAT, PLAN_VERSION, Plan } from './plan';

/** How plans are read. Version 1 is the first, so there is nothing to migrate yet. */
const PLAN_DOCUMENT: DocumentKind<Plan> = {
  format: PLAN_FORMAT,
  called: 'a plan',
  version: PLAN_VERSION,
  migrations: {},
  schema: Plan,
};

export type ReadPlan = { ok: true; plan: Plan } | { ok: false; issues: FieldIssue[] };

/**
 * Reads a plan from anything: a request, a file, the database. Older versions are migrated first.
 * Returns the plan, or every field that is wrong with the reason. Never throws.
 */
export function readPlan(value: unknown): ReadPlan {
  const read = readDocument(PLAN_DOCUMENT, value);
  return read.ok ? { ok: true, plan: read.value } : read;
}
