import type { Router } from 'express';
import { readJournalEntry, type JournalEntry } from '#core/journal';
import { ListJournalResponse, StoredJournalEntry } from '#api';
import type { Store } from '../store/store';
import { createIn, documentRoutes, type DocumentRoom } from './documents';

const MOST_ENTRIES = 20_000;

const JOURNAL: DocumentRoom<JournalEntry> = {
  table: 'journal',
  list: 'entries',
  noun: 'entry of the journal',
  titleOf: ({ title }) => title,
  read: readJournalEntry,
  schema: StoredJournalEntry,
  listSchema: ListJournalResponse,
  most: MOST_ENTRIES,
  full: `The journal has ${MOST_ENTRIES} entries already. Take some out first.`,
};

/** Writes an entry of the journal; asked twice with the same, it is the same. */
export const createJournalEntry = (store: Store, id: string, entry: JournalEntry): Promise<StoredJournalEntry> =>
  createIn(JOURNAL, store, id, entry);

/** The journal: list, write, read, save with a revision, into the bin. */
export const journalRoutes = (store: Store): Router => documentRoutes(JOURNAL, store);
