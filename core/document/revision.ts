import equal from 'fast-deep-equal';

/** A document with the number of times it was saved. */
export interface Revised<T> {
  revision: number;
  document: T;
}

/** What becomes of a save: it is stored, it was stored before, or it was made from a version that is no longer the latest. */
export type SaveOutcome = 'store' | 'storedBefore' | 'stale';

/**
 * Decides what becomes of a save over what is stored. A save that was stored and whose answer was lost comes again: it is
 * the same save, in whatever order its fields stand.
 */
export function outcomeOfSave(current: Revised<unknown>, sent: Revised<unknown>): SaveOutcome {
  if (current.revision === sent.revision) return 'store';
  const isSame = current.revision === sent.revision + 1 && equal(current.document, sent.document);
  return isSame ? 'storedBefore' : 'stale';
}
