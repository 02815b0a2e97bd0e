import { z } from 'zod';
import { BreathMeasure } from '#core/breath';
import { readDocument, text, words, type DocumentKind, type Read } from '#core/document';

export const PERSON_FORMAT = 'zovrin-person';
export const PERSON_VERSION = 1;
const MOST_MEASURES = 500;

/** Someone who is taught: the document that is stored and sent. Measurings of the breath from the oldest to the newest. */
export const Person = z.strictObject({
  format: z.literal(PERSON_FORMAT, 'This is not a person.'),
  version: z.literal(PERSON_VERSION),
  name: words('A name', 80),
  note: text('A note', 2000),
  breaths: z.array(BreathMeasure).max(MOST_MEASURES, `At most ${MOST_MEASURES} measurings are kept for a person.`),
});
export type Person = z.infer<typeof Person>;

const PERSON_DOCUMENT: DocumentKind<Person> = {
  format: PERSON_FORMAT,
  called: 'a person',
  version: PERSON_VERSION,
  migrations: {},
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
  breaths: [],
});
