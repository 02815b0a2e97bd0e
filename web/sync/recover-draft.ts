import equal from 'fast-deep-equal';
import { mergeChanges, record, startHistory, type History, type KeyOf, type Revised } from '#core/document';
import type { Draft } from './draft';

/** A document as it is opened: with what was left of it in this browser. */
export interface RecoveredDraft<T> {
  history: History<T>;
  revision: number;
  /** The version of `revision`, where it is known. */
  base: T | undefined;
  unanswered: readonly T[];
  /** Whether it does not go together with what the server has: it stays as it was left until somebody has chosen. */
  isConflict: boolean;
}

interface How<T> {
  keyOf: KeyOf | undefined;
  /** Reads a document that may be unfinished; undefined if it is none. */
  read: (value: unknown) => T | undefined;
}

/** What a draft left, put together with a document; undefined where the two do not go together. */
function mergeDraft<T>(draft: Draft<T>, stored: Revised<T>, now: T, { keyOf, read }: How<T>): T | undefined {
  const isOwn = draft.unanswered.some((one) => equal(one, stored.document));
  const isLatest = draft.revision === stored.revision;
  const start = isOwn ? stored.document : (draft.base ?? (isLatest ? stored.document : undefined));
  const merged = start && mergeChanges(start, draft.document, now, { keyOf, sent: draft.unanswered });
  return merged && read(merged);
}

/**
 * Puts what was left in this browser, the earliest first, onto what the server has. Undefined if there is neither.
 * Where one of them does not go together with the rest, it is the document, and in conflict.
 */
export function recoverDraft<T>(
  stored: Revised<T> | undefined,
  left: readonly Draft<T>[],
  how: How<T>,
): RecoveredDraft<T> | undefined {
  if (!stored) {
    const last = left.at(-1);
    if (!last) return undefined;
    const { document, revision, base, unanswered } = last;
    return { history: startHistory(document), revision, base, unanswered, isConflict: false };
  }
  let history = startHistory(stored.document);
  for (const draft of left) {
    if (equal(draft.document, stored.document)) continue;
    const next = mergeDraft(draft, stored, history.now, how);
    if (next === undefined) {
      const { document, revision, base, unanswered } = draft;
      return { history: startHistory(document), revision, base, unanswered, isConflict: true };
    }
    if (!equal(next, history.now)) history = record(history, { name: 'changes kept from before' }, next);
  }
  return { history, revision: stored.revision, base: stored.document, unanswered: [], isConflict: false };
}
