import type { OwnEntry } from '#core/catalogue';
import { EntryConflict, ListEntriesResponse, StoredEntry } from '#api';
import { ApiProblem, ask, tell } from './http';

const at = (id: string): string => `/entries/${encodeURIComponent(id)}`;

export const listEntries = async (): Promise<StoredEntry[]> =>
  (await ask(ListEntriesResponse, 'GET', '/entries')).entries;

export const createEntry = (document: OwnEntry) => ask(StoredEntry, 'POST', '/entries', { document });

export const saveEntry = (revision: number, document: OwnEntry) =>
  ask(StoredEntry, 'PUT', at(document.entry.id), { revision, document });

export const deleteEntry = (id: string) => tell('DELETE', at(id));

/** Both versions of a stale write of an entry, or undefined where the error is something else. */
export function entryConflictOf(error: unknown): EntryConflict | undefined {
  if (!(error instanceof ApiProblem) || error.status !== 409) return undefined;
  return EntryConflict.safeParse(error.body).data;
}
