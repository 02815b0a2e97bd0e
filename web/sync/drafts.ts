import { kept } from './safe-storage';
import { openTabs, tabName } from './tabs';

/** A document with edits the server has not acknowledged yet. */
export interface Draft<T> {
  /** The revision it was made from. */
  revision: number;
  document: T;
  /** Versions that were sent without an answer: the server may have stored one of them. */
  unanswered: string[];
  editedAt: number;
}

/** Where the drafts of one kind of document are kept in this browser, one for each document and tab. */
export interface Drafts<T> {
  /** Keeps the unacknowledged document of this tab. Gives whether the browser had room for it. */
  keep(id: string, draft: Omit<Draft<T>, 'editedAt'>): Promise<boolean>;
  drop(id: string): Promise<void>;
  /**
   * The newest draft of a document that this tab left, or that a tab left which is no longer open, and forgets where it
   * was: whoever takes it keeps it from now on. Drafts of other open tabs are theirs.
   */
  take(id: string): Promise<Draft<T> | undefined>;
  /** The drafts that could be taken, the newest first, each with its document's id. */
  waiting(): Promise<{ id: string; draft: Draft<T> }[]>;
}

/** Drafts under a prefix of keys; `read` gives the document, or undefined for what is none. */
export function draftsOf<T>(prefix: string, read: (value: unknown) => T | undefined): Drafts<T> {
  const keyOf = (id: string, tab: string): string => `${prefix}${id}.${tab}`;

  function parse(text: string | null): Draft<T> | undefined {
    try {
      const { revision, document, unanswered, editedAt } = JSON.parse(text ?? '') as Record<string, unknown>;
      const value = read(document);
      if (value === undefined || typeof revision !== 'number' || typeof editedAt !== 'number') return undefined;
      return Array.isArray(unanswered)
        ? { revision, document: value, unanswered: unanswered.map(String), editedAt }
        : undefined;
    } catch {
      return undefined;
    }
  }

  /** The keys below a beginning whose tab is this one or gone, with what is kept there. */
  async function orphaned(begins: string) {
    const [mine, open] = await Promise.all([tabName(), openTabs()]);
    return kept.keys(begins).flatMap((key) => {
      const tab = key.slice(key.lastIndexOf('.') + 1);
      if (tab !== mine && open.has(tab)) return [];
      return [{ key, id: key.slice(prefix.length, key.lastIndexOf('.')), draft: parse(kept.read(key)) }];
    });
  }

  return {
    keep: async (id, draft) =>
      kept.write(keyOf(id, await tabName()), JSON.stringify({ ...draft, editedAt: Date.now() })),
    drop: async (id) => kept.remove(keyOf(id, await tabName())),
    async take(id) {
      const left = await orphaned(keyOf(id, ''));
      for (const { key } of left) kept.remove(key);
      return left.flatMap(({ draft }) => draft ?? []).sort((a, b) => b.editedAt - a.editedAt)[0];
    },
    async waiting() {
      const left = await orphaned(prefix);
      return left
        .flatMap(({ id, draft }) => (draft ? [{ id, draft }] : []))
        .sort((a, b) => b.draft.editedAt - a.draft.editedAt);
    },
  };
}
