import { JournalEntry, readJournalEntry } from '#core/journal';
import { resourceOf, type StoredDocument } from './documents';

/** The journal: what was practised without a session here. */
export const JOURNAL = resourceOf<JournalEntry>({
  noun: 'journal entry',
  path: '/journal',
  document: JournalEntry,
  read: readJournalEntry,
});
export type StoredJournalEntry = StoredDocument<JournalEntry>;
