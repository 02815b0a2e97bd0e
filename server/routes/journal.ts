import type { Router } from 'express';
import type { JournalEntry } from '#core/journal';
import { JOURNAL, type StoredJournalEntry } from '#api';
import type { Store } from '../store/store';
import { createIn, documentRoutes, type DocumentResource } from './document-resource';

const MAX_ENTRIES = 20_000;

const JOURNAL_ENTRY: DocumentResource<JournalEntry> = {
  resource: JOURNAL,
  table: 'journal',
  titleOf: ({ title }) => title,
  max: MAX_ENTRIES,
  full: `The journal has ${MAX_ENTRIES} entries already. Delete some first.`,
};

/** Writes a journal entry; asked twice with the same, it is the same. */
export const createJournalEntry = (store: Store, id: string, entry: JournalEntry): Promise<StoredJournalEntry> =>
  createIn(JOURNAL_ENTRY, store, id, entry);

/** The journal: list, write, read, save with a revision, into the bin. */
export const journalRoutes = (store: Store): Router => documentRoutes(JOURNAL_ENTRY, store);
