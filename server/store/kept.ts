import { readEntry } from '#core/catalogue';
import { readClassPeople } from '#core/caution';
import { readCourse } from '#core/course';
import { readPlace } from '#core/cupboard';
import { readVariants } from '#core/jobs';
import { readJournalEntry } from '#core/journal';
import { readGroup, readPerson } from '#core/people';
import { readSettings } from '#core/settings';
import type { StoredKind } from '#api';
import type { Models } from './models';
import { readStored } from './stored';
import { storedPlan } from './stored-plans';

/** A kind of row with a document: where it is kept, and how it is read. */
interface Kept {
  table: Exclude<keyof Models, 'revisions' | 'events' | 'clocks' | 'locks' | 'feeds'>;
  read: (text: string) => unknown;
  /** Whether it has a bin of its own. */
  deletable: boolean;
  /** Whether it is about people, and behind the lock. */
  isOfPeople: boolean;
  /** What is left of one where nothing about people is wanted; undefined where that is nothing. */
  withoutPeople?: (text: string) => string;
}
const document = (noun: string, read: Parameters<typeof readStored>[2]) => (text: string) =>
  readStored(noun, text, read);

/** Every kind of document that is stored. Of a run, the document is its plan; its events stand in rows of their own. */
export const KEPT: Readonly<Record<StoredKind, Kept>> = {
  plan: { table: 'plans', read: storedPlan, deletable: true, isOfPeople: false },
  variants: { table: 'variants', read: document('set of variants', readVariants), deletable: false, isOfPeople: false },
  run: { table: 'runs', read: storedPlan, deletable: true, isOfPeople: true },
  entry: { table: 'entries', read: document('entry', readEntry), deletable: true, isOfPeople: false },
  person: { table: 'people', read: document('person', readPerson), deletable: true, isOfPeople: true },
  group: { table: 'groups', read: document('group', readGroup), deletable: true, isOfPeople: true },
  class: { table: 'classPeople', read: document('class', readClassPeople), deletable: false, isOfPeople: true },
  place: { table: 'places', read: document('place', readPlace), deletable: true, isOfPeople: false },
  course: {
    ...{ table: 'courses', read: document('course', readCourse), deletable: true, isOfPeople: true },
    withoutPeople: (text) => JSON.stringify({ ...(JSON.parse(text) as object), aim: null, notes: [] }),
  },
  journal: { table: 'journal', read: document('journal entry', readJournalEntry), deletable: true, isOfPeople: true },
  settings: { table: 'house', read: document('settings', readSettings), deletable: false, isOfPeople: false },
};
