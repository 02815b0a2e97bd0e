import { z } from 'zod';
import { JournalEntry } from '#core/journal';
import { storedOf } from './documents';
import { Unreadable } from './unreadable';

/** An entry of the journal, as stored. */
export const StoredJournalEntry = storedOf(JournalEntry);
export type StoredJournalEntry = z.infer<typeof StoredJournalEntry>;

export const ListJournalResponse = z.object({ entries: z.array(StoredJournalEntry), unreadable: Unreadable });

/** A stale write: the entry as it is now, and what was sent, so that neither is lost. */
export const JournalConflict = z.object({ current: StoredJournalEntry, yours: JournalEntry });
export type JournalConflict = z.infer<typeof JournalConflict>;
