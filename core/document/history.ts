/**
 * A change from one version to the next. Changes with the same `merge` key, one after the other, are one step of undo.
 */
export interface Change {
  name: string;
  merge?: string;
  /** The change as data, where its kind of document has edits. */
  edit?: unknown;
}

export interface Entry<T> {
  version: T;
  /** Name of the change that led away from this version. */
  change: string;
  edit?: unknown;
}

/** Undo as the list of earlier versions, redo as the list of undone ones. Immutable. */
export interface History<T> {
  past: readonly Entry<T>[];
  now: T;
  future: readonly Entry<T>[];
  merge: string | undefined;
}

/** How many steps can be undone. */
export const MAX_UNDO = 200;

const entryOf = <T>(version: T, change: string, edit: unknown): Entry<T> => ({
  version,
  change,
  ...(edit === undefined ? {} : { edit }),
});

export const startHistory = <T>(now: T): History<T> => ({ past: [], now, future: [], merge: undefined });

/** Adds the version a change led to. A change with the merge key of the one before it joins that one. */
export function record<T>(history: History<T>, change: Change, now: T): History<T> {
  const joins = change.merge !== undefined && change.merge === history.merge && history.past.length > 0;
  const past = joins
    ? history.past
    : [...history.past, entryOf(history.now, change.name, change.edit)].slice(-MAX_UNDO);
  return { past, now, future: [], merge: change.merge };
}

/** Ends merging: the next change starts its own step of undo. */
export const seal = <T>(history: History<T>): History<T> => ({ ...history, merge: undefined });

/** One step back, or the same history where there is none. */
export function undo<T>(history: History<T>): History<T> {
  const last = history.past.at(-1);
  if (!last) return history;
  return {
    past: history.past.slice(0, -1),
    now: last.version,
    future: [entryOf(history.now, last.change, last.edit), ...history.future],
    merge: undefined,
  };
}

/** One step forward again, or the same history where nothing was undone. */
export function redo<T>(history: History<T>): History<T> {
  const [next, ...future] = history.future;
  if (!next) return history;
  return {
    past: [...history.past, entryOf(history.now, next.change, next.edit)],
    now: next.version,
    future,
    merge: undefined,
  };
}

/**
 * The history as it would have been had something else been so from the start: `onto` gives each version with it, or
 * undefined where the two do not go together. Undo and redo reach as far as they do.
 */
export function rebase<T>(history: History<T>, now: T, onto: (version: T) => T | undefined): History<T> {
  const asFar = (entries: readonly Entry<T>[]): Entry<T>[] => {
    const reached: Entry<T>[] = [];
    for (const { version, change, edit } of entries) {
      const moved = onto(version);
      if (moved === undefined) break;
      reached.push(entryOf(moved, change, edit));
    }
    return reached;
  };
  return {
    past: asFar([...history.past].reverse()).reverse(),
    now,
    future: asFar(history.future),
    merge: undefined,
  };
}
