import { z } from 'zod';
import { BreathMeasure } from '#core/breath';
import { BREATH_TRAITS, TRAITS } from '#core/catalogue';
import { Id, oneOf, readDocument, text, words, type DocumentKind, type Migration, type Read } from '#core/document';

export const PERSON_FORMAT = 'zovrin-person';
export const PERSON_VERSION = 2;
const MOST_MEASURES = 500;

const MOST_IN_MIND = 40;

/** What a position or technique asks of a body. */
export const ASKS = [...TRAITS, ...BREATH_TRAITS] as const;
export type Ask = (typeof ASKS)[number];

/** What the teacher keeps in mind for somebody, wherever a step asks one of these things of the body. */
export const KeptInMind = z.strictObject({
  id: Id,
  words: words('What to keep in mind', 120),
  asks: z.array(oneOf('What a step asks', ASKS)).min(1, 'Say at least one thing a step asks of the body.'),
});
export type KeptInMind = z.infer<typeof KeptInMind>;

/** Someone who is taught: the document that is stored and sent. Measurings of the breath from the oldest to the newest. */
export const Person = z.strictObject({
  format: z.literal(PERSON_FORMAT, 'This is not a person.'),
  version: z.literal(PERSON_VERSION),
  name: words('A name', 80),
  note: text('A note', 2000),
  keepInMind: z.array(KeptInMind).max(MOST_IN_MIND, `At most ${MOST_IN_MIND} things are kept in mind.`),
  breaths: z.array(BreathMeasure).max(MOST_MEASURES, `At most ${MOST_MEASURES} measurings are kept for a person.`),
});
export type Person = z.infer<typeof Person>;

/** Version 2: what to keep in mind for them. */
const fromVersion1: Migration = (person) => ({ keepInMind: [], ...person });

const PERSON_DOCUMENT: DocumentKind<Person> = {
  format: PERSON_FORMAT,
  called: 'a person',
  version: PERSON_VERSION,
  migrations: { 1: fromVersion1 },
  schema: Person,
};

/** Reads a person from anything. Returns the person, or every field that is wrong with the reason. Never throws. */
export const readPerson = (value: unknown): Read<Person> => readDocument(PERSON_DOCUMENT, value);

/** Someone of whom only the name is known. */
export const newPerson = (name: string): Person => ({
  format: PERSON_FORMAT,
  version: PERSON_VERSION,
  name,
  note: '',
  keepInMind: [],
  breaths: [],
});

/** A name as its first letters, for where others can read it: `Ines Harrowgate` becomes `IH`. */
export const initials = (name: string): string =>
  name
    .split(/[\s-]+/)
    .map((word) => word.charAt(0).toUpperCase())
    .filter((letter) => /\p{L}|\p{N}/u.test(letter))
    .slice(0, 3)
    .join('') || '?';
