import equal from 'fast-deep-equal';

/** A document with the number of times it was saved. */
export interface Revised<T> {
  revision: number;
  document: T;
}

/** The outcome of a save: it is stored, it was stored before, or it was made from an outdated version. */
export type SaveOutcome = 'store' | 'storedBefore' | 'stale';

/**
 * Decides the outcome of a save. A save whose answer was lost is sent again: it counts as the same save, whatever the
 * order of its fields.
 */
export function outcomeOfSave(current: Revised<unknown>, sent: Revised<unknown>): SaveOutcome {
  if (current.revision === sent.revision) return 'store';
  const isSame = current.revision === sent.revision + 1 && equal(current.document, sent.document);
  return isSame ? 'storedBefore' : 'stale';
}
