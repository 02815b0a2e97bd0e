import equal from 'fast-deep-equal';
import { MAX_UNDO, mergeChanges, rebase, record, startHistory, type History, type KeyOf } from '#core/document';

/** Which version counts where two windows changed the same thing. */
export type Resolution = 'mine' | 'theirs';

/** What this window has of a document, and how its versions are put together. */
export interface Here<T extends object> {
  history: History<T>;
  /** The version from which the changes here set out; undefined if the server never had one. */
  base: T | undefined;
  /** Versions that were sent and not answered: the server may have any of them. */
  unanswered: readonly T[];
  keyOf?: KeyOf | undefined;
  /** Reads a merged version; undefined for one that cannot be. */
  read: (value: unknown) => T | undefined;
}

/**
 * The history here, put onto what was saved elsewhere; undefined if the two cannot be merged. One of our own versions
 * whose answer was lost is no change of somebody else's.
 */
export function historyOnto<T extends object>(here: Here<T>, other: T): History<T> | undefined {
  const { history, base, unanswered, keyOf, read } = here;
  const from = unanswered.some((one) => equal(one, other)) ? other : base;
  if (from === undefined) return undefined;
  const onto = (version: T): T | undefined => mergeChanges(from, version, other, { keyOf, sent: unanswered });
  const merged = onto(history.now);
  const now = merged && read(merged);
  return now && rebase(history, equal(now, other) ? other : now, onto);
}

/**
 * The history after somebody has chosen: what only one of the two changed is kept of both, and where both changed the
 * same thing the chosen version counts. Undo leads to the version that was not chosen.
 */
export function historyAfter<T extends object>(here: Here<T>, other: T, choice: Resolution): History<T> {
  const { history, base, keyOf, read } = here;
  const merged = base && mergeChanges(base, history.now, other, { keyOf, prefer: choice });
  const next = (merged && read(merged)) ?? (choice === 'mine' ? history.now : other);
  return choice === 'mine'
    ? record(startHistory(other), { name: 'changes in this window' }, next)
    : record(history, { name: 'use the other version' }, next);
}

/**
 * The history of this page with the steps of an earlier visit before them, as they are on the document that was opened
 * (`from`). What was undone then can only be redone while nothing has been changed since.
 */
export function historyWithKept<T extends object>(
  { past, now, future, merge }: History<T>,
  kept: History<T>,
  from: T,
  keyOf: KeyOf | undefined,
): History<T> {
  const onto = (version: T): T | undefined => mergeChanges(kept.now, version, from, { keyOf });
  const before = equal(kept.now, from) ? kept : rebase(kept, from, onto);
  return {
    past: [...before.past, ...past].slice(-MAX_UNDO),
    now,
    future: past.length === 0 ? before.future : future,
    merge,
  };
}
