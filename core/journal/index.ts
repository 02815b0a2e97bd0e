/** The journal: what was practised without a run. */
export {
  JOURNAL_FORMAT,
  JOURNAL_VERSION,
  JournalBreath,
  JournalEntry,
  JournalHold,
  MAX_LINES,
  newJournalEntry,
  readJournalEntry,
} from './entry';
