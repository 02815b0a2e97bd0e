import type { PlanEdit } from './edit';
import type { Plan } from './plan';

interface Entry {
  plan: Plan;
  /** Name of the edit that led away from this plan. */
  edit: string;
}

/** Undo as the list of earlier plans, redo as the list of undone ones. A value; nothing in it is written to. */
export interface History {
  past: readonly Entry[];
  plan: Plan;
  future: readonly Entry[];
  merge: string | undefined;
}

const MOST = 300;

export const startHistory = (plan: Plan): History => ({ past: [], plan, future: [], merge: undefined });

/** Adds the plan an edit led to. An edit with the merge key of the one before it joins that one. */
export function record(history: History, edit: PlanEdit, plan: Plan): History {
  const joins = edit.merge !== undefined && edit.merge === history.merge && history.past.length > 0;
  const past = joins ? history.past : [...history.past, { plan: history.plan, edit: edit.name }].slice(-MOST);
  return { past, plan, future: [], merge: edit.merge };
}

/** Ends merging: the next edit starts its own step of undo. */
export const seal = (history: History): History => ({ ...history, merge: undefined });

/** One step back, or the same history where there is none. */
export function undo(history: History): History {
  const last = history.past.at(-1);
  if (!last) return history;
  return {
    past: history.past.slice(0, -1),
    plan: last.plan,
    future: [{ plan: history.plan, edit: last.edit }, ...history.future],
    merge: undefined,
  };
}

/** One step forward again, or the same history where nothing was undone. */
export function redo(history: History): History {
  const [next, ...future] = history.future;
  if (!next) return history;
  return {
    past: [...history.past, { plan: history.plan, edit: next.edit }],
    plan: next.plan,
    future,
    merge: undefined,
  };
}
