import { fieldIssues, type FieldIssue } from './issues';
import { PLAN_FORMAT, PLAN_VERSION, Plan } from './plan';

type Document = Record<string, unknown>;

/** Turns a document of version n into one of version n + 1. */
export type Migration = (document: Document) => Document;

/** Migrations by the version they start from. Version 1 is the first, so there are none yet. */
const MIGRATIONS: Readonly<Record<number, Migration>> = {};

export type ReadPlan = { ok: true; plan: Plan } | { ok: false; issues: FieldIssue[] };

const refuse = (field: string, reason: string): ReadPlan => ({ ok: false, issues: [{ field, reason }] });

/**
 * Brings a document up to `target`, one numbered migration after the other.
 * Throws a RangeError where a migration is missing; the caller has checked that the version is known.
 */
export function migrate(document: Document, migrations: Readonly<Record<number, Migration>>, target: number): Document {
  let current = document;
  for (let version = Number(document.version); version < target; version++) {
    const step = migrations[version];
    if (!step) throw new RangeError(`No migration from version ${version}.`);
    current = { ...step(current), version: version + 1 };
  }
  return current;
}

/**
 * Reads a plan from anything: a request, a file, the database. Older versions are migrated first.
 * Returns the plan, or every field that is wrong with the reason. Never throws.
 */
export function readPlan(value: unknown): ReadPlan {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return refuse('', 'This is not a plan.');
  const document = value as Document;
  if (document.format !== PLAN_FORMAT) return refuse('format', `A plan has the format “${PLAN_FORMAT}”.`);
  const version = document.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refuse('version', 'A plan has a version, a whole number from 1.');
  }
  if (version > PLAN_VERSION) {
    return refuse('version', `This plan has version ${version}; this Zovrin reads up to version ${PLAN_VERSION}.`);
  }
  const parsed = Plan.safeParse(migrate(document, MIGRATIONS, PLAN_VERSION));
  return parsed.success ? { ok: true, plan: parsed.data } : { ok: false, issues: fieldIssues(parsed.error) };
}
