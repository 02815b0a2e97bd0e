/** The journal: practice without a recorded session. */
export { JournalBreath, JournalEntry, JournalHold, newJournalEntry, readJournalEntry } from './entry';
