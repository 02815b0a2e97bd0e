import { copyOf, readEntry, type Library, type CustomEntry } from '#core/catalogue';
import type { FieldIssue } from '#core/document';
import type { Plan } from './plan';
import { readPlan } from './read';
import { selfContained } from './self-contained';
import type { Step } from './step';

/** A plan as it is in a file: the document, and the entries of a teacher's own library that it uses. */
export interface PlanFile {
  plan: Plan;
  entries: CustomEntry[];
}

export type ReadPlanFile = ({ ok: true } & PlanFile) | { ok: false; issues: FieldIssue[] };

export const MAX_FILE_ENTRIES = 200;

/** The step with the ids of the positions and techniques it is made from given by `to`. */
function withEntries(step: Step, to: (kind: CustomEntry['kind'], id: string) => string): Step {
  if (step.kind === 'hold') {
    const { breath } = step;
    return {
      ...step,
      position: to('position', step.position),
      breath: breath && { ...breath, technique: to('technique', breath.technique) },
    };
  }
  if (step.kind !== 'breath') return step;
  const { moves } = step;
  return {
    ...step,
    technique: to('technique', step.technique),
    moves: moves && { ...moves, position: to('position', moves.position) },
  };
}

/** The ids of all entries a plan is made from, each once. */
export function entriesOf({ steps }: Plan): string[] {
  const ids = new Set<string>();
  for (const step of steps) {
    withEntries(step, (_, id) => {
      ids.add(id);
      return id;
    });
  }
  return [...ids];
}

/**
 * Reads a plan file from anything: a plan, which may carry `entries`. Returns both, or every invalid field with the
 * reason, those of entries as `entries.0.…`. Never throws.
 */
export function readPlanFile(value: unknown): ReadPlanFile {
  if (typeof value !== 'object' || value === null || !('entries' in value)) {
    const read = readPlan(value);
    return read.ok ? { ok: true, plan: read.value, entries: [] } : read;
  }
  const { entries: carried, ...document } = value;
  const refuse = (field: string, reason: string): ReadPlanFile => ({ ok: false, issues: [{ field, reason }] });
  if (!Array.isArray(carried)) return refuse('entries', 'The entries of a plan are a list.');
  if (carried.length > MAX_FILE_ENTRIES) return refuse('entries', `A file has at most ${MAX_FILE_ENTRIES} entries.`);
  const plan = readPlan(document);
  const entries = carried.map(readEntry);
  const issues = [
    ...(plan.ok ? [] : plan.issues),
    ...entries.flatMap((read, i) =>
      read.ok
        ? []
        : read.issues.map(({ field, reason }) => ({
            field: ['entries', i, field].filter((p) => p !== '').join('.'),
            reason,
          })),
    ),
  ];
  if (!plan.ok || issues.length > 0) return { ok: false, issues };
  return { ok: true, plan: plan.value, entries: entries.flatMap((read) => (read.ok ? [read.value] : [])) };
}

/**
 * The document of a file: the plan with its positions' times written in, and the custom entries that it uses. Who
 * comes is no part of it.
 */
export function planFile(
  plan: Plan,
  library: Library,
  own: readonly CustomEntry[],
): Plan & { entries?: CustomEntry[] } {
  const used = entriesOf(plan);
  const entries = own.filter(({ entry }) => used.includes(entry.id));
  return {
    ...selfContained(plan, library),
    groupId: null,
    archived: false,
    ...(entries.length > 0 ? { entries } : {}),
  };
}

/** What is to become of the entries of a file in a library that may have some of them. */
export interface Adopted {
  plan: Plan;
  /** Those that are new here, to be stored. */
  fresh: CustomEntry[];
}

/**
 * Fits the entries of a file into a library. One that is here already, word for word, is used as it is; one whose id is
 * taken by something else comes under a new id, and the plan's steps follow it; the others come as they are.
 * `here` gives the entry an id stands for (`'built-in'` for one that ships), undefined if the id is free.
 */
export function adoptEntries(
  { plan, entries }: PlanFile,
  here: (id: string) => CustomEntry | 'built-in' | undefined,
  newId: () => string,
): Adopted {
  const renamed = new Map<string, string>();
  const fresh: CustomEntry[] = [];
  for (const carried of entries) {
    const { id } = carried.entry;
    const known = here(id) ?? fresh.find(({ entry }) => entry.id === id);
    if (known === undefined) fresh.push(carried);
    else if (JSON.stringify(known) !== JSON.stringify(carried)) {
      const other = newId();
      renamed.set(`${carried.kind} ${id}`, other);
      fresh.push(copyOf(carried, other));
    }
  }
  const steps = plan.steps.map((step) => withEntries(step, (kind, id) => renamed.get(`${kind} ${id}`) ?? id));
  return { plan: renamed.size > 0 ? { ...plan, steps } : plan, fresh };
}
