import { z } from 'zod';
import { Id, readDocument, seconds, text, words, type DocumentKind, type Read } from '#core/document';

const JOURNAL_FORMAT = 'zovrin-journal';
const JOURNAL_VERSION = 1;
const MAX_LINES = 200;
const MAX_SECONDS = 4 * 3600;

const Strength = z
  .number('Intensity is a number.')
  .min(0, 'Intensity goes from 0 to 10.')
  .max(10, 'Intensity goes from 0 to 10.')
  .nullable();
const Held = (what: string) => seconds(what, 0, MAX_SECONDS);

/** A hold that was practised: seconds on each side, or of both at once. `position` may name a library entry. */
export const JournalHold = z.strictObject({
  id: Id,
  position: Id.nullable(),
  name: words('A name', 120),
  left: Held('The left side'),
  right: Held('The right side'),
  both: Held('The hold'),
  strength: Strength,
});
export type JournalHold = z.infer<typeof JournalHold>;

/** A breath that was practised. */
export const JournalBreath = z.strictObject({
  id: Id,
  technique: Id.nullable(),
  name: words('A name', 120),
  seconds: Held('The breath'),
  rounds: z.int('Rounds are counted whole.').min(0).max(10_000).nullable(),
  breathsPerMinute: z
    .number('Breaths a minute are a number.')
    .min(0.2, 'At least 0.2 breaths a minute.')
    .max(60, 'At most 60 breaths a minute.')
    .nullable(),
  longestRetention: seconds('The longest retention', 0, 600).nullable(),
});
export type JournalBreath = z.infer<typeof JournalBreath>;

/** A practice without a recorded session: alone, or taught elsewhere. */
export const JournalEntry = z.strictObject({
  format: z.literal(JOURNAL_FORMAT, 'This is not a journal entry.'),
  version: z.literal(JOURNAL_VERSION),
  title: words('A title', 120),
  /** Practised alone, taught elsewhere, or taught here without the clock. */
  where: z.enum(['alone', 'elsewhere', 'here']),
  group: text('A group', 120),
  /** The local moment it began, `2026-11-24T06:40`. */
  beganAt: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'A day and a time are needed.'),
  /** How long it took in total. */
  seconds: seconds('The length', 0, 24 * 3600),
  holds: z.array(JournalHold).max(MAX_LINES, `At most ${MAX_LINES} holds.`),
  breaths: z.array(JournalBreath).max(MAX_LINES, `At most ${MAX_LINES} breaths.`),
  /** People who were there, by their ids. */
  people: z.array(Id).max(500),
  note: text('A note', 4000),
});
export type JournalEntry = z.infer<typeof JournalEntry>;

const JOURNAL_DOCUMENT: DocumentKind<JournalEntry> = {
  format: JOURNAL_FORMAT,
  called: 'a journal entry',
  version: JOURNAL_VERSION,
  migrations: {},
  schema: JournalEntry,
};

/** Reads an entry from any value. Returns it, or every invalid field with the reason. Never throws. */
export const readJournalEntry = (value: unknown): Read<JournalEntry> => readDocument(JOURNAL_DOCUMENT, value);

/** An empty entry with the moment it began. */
export const newJournalEntry = (beganAt: string): JournalEntry => ({
  format: JOURNAL_FORMAT,
  version: JOURNAL_VERSION,
  title: 'Practised alone',
  where: 'alone',
  group: '',
  beganAt,
  seconds: 0,
  holds: [],
  breaths: [],
  people: [],
  note: '',
});
