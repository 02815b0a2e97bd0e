import type { JournalEntry } from '#core/journal';
import { JournalConflict, ListJournalResponse, SavedDocument, StoredJournalEntry } from '#api';
import { ApiProblem, ask, tell } from './http';

const at = (id: string): string => `/journal/${encodeURIComponent(id)}`;

export const listJournal = async (): Promise<StoredJournalEntry[]> =>
  (await ask(ListJournalResponse, 'GET', '/journal')).entries;

export const readJournalEntryById = (id: string) => ask(StoredJournalEntry, 'GET', at(id));

export const createJournalEntry = (id: string, document: JournalEntry) =>
  ask(StoredJournalEntry, 'POST', '/journal', { id, document });

export const saveJournalEntry = (id: string, revision: number, document: JournalEntry) =>
  ask(SavedDocument, 'PUT', at(id), { revision, document });

export const deleteJournalEntry = (id: string) => tell('DELETE', at(id));

/** Both versions of a stale write, or undefined where the error is something else. */
export function journalConflictOf(error: unknown): JournalConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? JournalConflict.safeParse(error.body).data : undefined;
}
