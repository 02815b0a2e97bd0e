/** The journal: what was practised without a run. */
export { JournalBreath, JournalEntry, JournalHold, newJournalEntry, readJournalEntry } from './entry';
