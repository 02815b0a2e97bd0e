import type { Revised } from '#core/document';

/** A document with changes that the server has not acknowledged, as a window keeps it. */
export interface Draft<T> extends Revised<T> {
  /**
   * The version of `revision`, from which the changes set out; undefined if there was none yet, or it is not known.
   */
  base: T | undefined;
  /** Versions that were sent and not answered: the server may have stored one of them. */
  unanswered: T[];
  editedAt: number;
}

/** Writes a draft as text. */
export const draftText = <T>(draft: Draft<T>): string => JSON.stringify(draft);

/** Reads a draft of any version; `read` gives a document of it, or undefined for what is none. Never throws. */
export function readDraft<T>(text: string, read: (value: unknown) => T | undefined): Draft<T> | undefined {
  try {
    const { revision, document, base, unanswered, editedAt } = JSON.parse(text) as Record<string, unknown>;
    const value = read(document);
    if (value === undefined || typeof revision !== 'number') return undefined;
    const sent = (Array.isArray(unanswered) ? unanswered : []).flatMap((one: unknown) => {
      const version = read(typeof one === 'string' ? JSON.parse(one) : one);
      return version === undefined ? [] : [version];
    });
    return {
      revision,
      document: value,
      base: base === undefined ? undefined : read(base),
      unanswered: sent,
      editedAt: typeof editedAt === 'number' ? editedAt : 0,
    };
  } catch {
    return undefined;
  }
}
