import { newId } from '../client/new-id';
import { openTabs, tabName } from './tabs';
import { vault } from './vault';

/** The unacknowledged draft of an editor that no longer exists. */
interface Leftover {
  text: string;
  /** Removes it from this browser. */
  remove: () => void;
}

/** The drafts of one editor: one for each document, written at once and kept until the server has the document. */
export interface Drafts {
  /** Keeps the draft of a document. Returns whether the browser had room for it. */
  write(key: string, text: string): boolean;
  drop(key: string): void;
  /**
   * The drafts of a document that are nobody's any more: left by a closed or reloaded window, or by one who edited in
   * this window before. Those of other open windows are theirs.
   */
  leftovers(key: string): Promise<Leftover[]>;
  /** Leaves what is still kept to whoever opens the document next. */
  release(): void;
}

const PREFIX = 'zovrin.draft.';
/** Those who edit in this window now. */
const editing = new Set<string>();

/**
 * The storage keys of drafts below a beginning that are nobody's any more. They end with the window and who edited
 * there.
 */
async function abandoned(begins: string): Promise<string[]> {
  const [mine, open] = await Promise.all([tabName(), openTabs()]);
  return vault.keys(begins).filter((key) => {
    const [window = '', editor = ''] = key.split('.').slice(-2);
    return window === mine ? !editing.has(editor) : !open.has(window);
  });
}

/** The drafts of one more who edits in this window. */
export async function openDrafts(): Promise<Drafts> {
  const window = await tabName();
  const me = newId();
  editing.add(me);
  const keyOf = (key: string): string => `${PREFIX}${key}.${window}.${me}`;
  return {
    write: (key, text) => vault.write(keyOf(key), text),
    drop: (key) => vault.remove(keyOf(key)),
    async leftovers(key) {
      const names = await abandoned(`${PREFIX}${key}.`);
      return names.flatMap((name) => {
        const text = vault.read(name);
        return text === null ? [] : [{ text, remove: () => vault.remove(name) }];
      });
    },
    release: () => void editing.delete(me),
  };
}

/** The drafts of a kind of document that are nobody's now, as text. */
export async function waitingDrafts(kind: string): Promise<string[]> {
  const names = await abandoned(`${PREFIX}${kind}.`);
  return names.flatMap((name) => vault.read(name) ?? []);
}

/** Removes every draft of a document from this browser, whoever keeps it. */
export function removeDrafts(key: string): void {
  for (const name of vault.keys(`${PREFIX}${key}.`)) vault.remove(name);
}
