import type { KeyOf, Read, Revised } from '#core/document';

/** What the server has of a document. */
export interface Saved {
  revision: number;
  updatedAt?: string | undefined;
}
export type Stored<T> = Saved & Revised<T>;

/** A document that the server has, and how it is read, asked for and sent. */
export interface DocumentSource<T, Initial extends T | undefined = undefined> {
  /** Its kind and its id: `person.ab12`. Names its drafts, its undo and the channel to other windows. */
  key: string;
  read: (value: unknown) => Read<T>;
  /** Reads what is kept in this browser, which may be unfinished; `read` where nothing is unfinished. */
  readUnfinished?: (value: unknown) => T | undefined;
  fetch: () => Promise<Stored<T>>;
  /** Sends it over a revision, from 0 if there was none. */
  send: (revision: number, document: T) => Promise<Saved>;
  /** What the server has now, where an error says that it was changed elsewhere. */
  conflictOf: (error: unknown) => Stored<T> | undefined;
  /** The value until it has loaded. */
  initial?: Initial;
  /** Identifies the things in its lists, if not by their id. */
  keyOf?: KeyOf;
  /** Whether it is saved a moment after each change, or only when that is asked for. */
  saves?: 'soon' | 'onRequest';
  /** How long after a change it is sent, in milliseconds; at once where it does not say. */
  saveAfterMs?: number;
  /** Called whenever the server has it. */
  onSaved?: (saved: Saved, document: T) => void;
  /** Keeps the version that was not chosen as a document of its own; rejects if it cannot. */
  keepCopy?: (document: T) => Promise<void>;
}
