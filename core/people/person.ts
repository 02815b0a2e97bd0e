import { z } from 'zod';
import { BreathMeasure } from '#core/breath';
import { BREATH_TRAITS, TRAITS } from '#core/catalogue';
import { Flexibility, MAX_HEIGHT_CM, MIN_HEIGHT_CM } from '#core/body';
import {
  Id,
  oneOf,
  readDocument,
  text,
  words,
  type DocumentKind,
  type FieldIssue,
  type Migration,
  type Read,
} from '#core/document';
import { Day } from './dates';
import { PersonCondition } from './person-condition';

export const PERSON_FORMAT = 'zovrin-person';
const PERSON_VERSION = 3;
const MAX_MEASURES = 500;

const MAX_IN_MIND = 40;
const MAX_CONDITIONS = 60;
const MAX_NOTES = 1000;

/** What a position or technique demands of a body. */
export const STEP_TRAITS = [...TRAITS, ...BREATH_TRAITS] as const;
export type StepTrait = (typeof STEP_TRAITS)[number];

/** A reminder for someone, shown at every step with one of these demands. */
export const KeptInMind = z.strictObject({
  id: Id,
  words: words('What to keep in mind', 120),
  asks: z.array(oneOf('The area', STEP_TRAITS)).min(1, 'Choose at least one area.'),
});
export type KeptInMind = z.infer<typeof KeptInMind>;

/** A note with its day. */
export const DatedNote = z.strictObject({ id: Id, on: Day, words: words('A note', 2000) });
export type DatedNote = z.infer<typeof DatedNote>;

/**
 * Someone who is taught: the document that is stored and sent. Nothing of it but the name is needed. Measurings of the
 * breath and notes from the oldest to the newest.
 */
export const Person = z.strictObject({
  format: z.literal(PERSON_FORMAT, 'This is not a person.'),
  version: z.literal(PERSON_VERSION),
  /** A name, or initials. */
  name: words('A name', 80),
  birthDate: Day.nullable(),
  contact: text('Contact details', 300),
  emergency: text('The emergency contact', 300),
  note: text('A note', 2000),
  notes: z.array(DatedNote).max(MAX_NOTES, `At most ${MAX_NOTES} notes are kept for a person.`),
  conditions: z.array(PersonCondition).max(MAX_CONDITIONS, `At most ${MAX_CONDITIONS} conditions are kept.`),
  /** The day they were asked by the screening form; null if they were not. */
  askedOn: Day.nullable(),
  /** The day they agreed that it is kept. */
  consentOn: Day.nullable(),
  keepInMind: z.array(KeptInMind).max(MAX_IN_MIND, `At most ${MAX_IN_MIND} reminders are kept.`),
  /** For the figure: how tall, and three measured angles; null if they were not measured. */
  statureCm: z
    .number('A height is a number of centimetres.')
    .min(MIN_HEIGHT_CM, `A height is at least ${MIN_HEIGHT_CM} cm.`)
    .max(MAX_HEIGHT_CM, `A height is at most ${MAX_HEIGHT_CM} cm.`)
    .nullable(),
  flexibility: Flexibility.nullable(),
  breaths: z.array(BreathMeasure).max(MAX_MEASURES, `At most ${MAX_MEASURES} measurements are kept for a person.`),
});
export type Person = z.infer<typeof Person>;

/** Version 2: what to keep in mind for them. */
const fromVersion1: Migration = (person) => ({ keepInMind: [], ...person });

const NOTHING_TOLD = {
  birthDate: null,
  contact: '',
  emergency: '',
  notes: [],
  conditions: [],
  askedOn: null,
  consentOn: null,
  statureCm: null,
  flexibility: null,
};

/** Version 3: conditions, notes with their days, how to reach them, and the body for the figure. */
const fromVersion2: Migration = (person) => ({ ...NOTHING_TOLD, ...person });

const PERSON_DOCUMENT: DocumentKind<Person> = {
  format: PERSON_FORMAT,
  called: 'a person',
  version: PERSON_VERSION,
  migrations: { 1: fromVersion1, 2: fromVersion2 },
  schema: Person,
};

/** Reads a person from any value. Returns the person, or every invalid field with the reason. Never throws. */
export const readPerson = (value: unknown): Read<Person> => readDocument(PERSON_DOCUMENT, value);

/** Someone of whom only the name is known. */
export const newPerson = (name: string): Person => ({
  format: PERSON_FORMAT,
  version: PERSON_VERSION,
  name,
  note: '',
  ...NOTHING_TOLD,
  keepInMind: [],
  breaths: [],
});

/** What in a person names a day that has not come yet, field by field: a birth, since when something is, a note. */
export function daysToCome({ birthDate, conditions, notes }: Person, today: string): FieldIssue[] {
  const refused = (field: string, day: string | null, what: string): FieldIssue[] =>
    day !== null && day > today ? [{ field, reason: `${what} cannot be in the future.` }] : [];
  return [
    ...refused('birthDate', birthDate, 'A birth date'),
    ...conditions.flatMap(({ since }, i) => refused(`conditions.${i}.since`, since, 'The date of a condition')),
    ...notes.flatMap(({ on }, i) => refused(`notes.${i}.on`, on, 'The day of a note')),
  ];
}
