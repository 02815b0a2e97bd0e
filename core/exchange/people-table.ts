import Papa from 'papaparse';
import { conditionsLike, nearestConditions, type Condition } from '#core/caution';
import type { FieldIssue } from '#core/document';
import { IN_WORDS, namesake, newPerson, Person, personCondition } from '#core/people';

/** What a column of a table of people can hold. */
export const COLUMN_MEANINGS = [
  'name',
  'firstName',
  'lastName',
  'birthDate',
  'contact',
  'emergency',
  'conditions',
  'note',
  'group',
  'nothing',
] as const;
export type ColumnMeaning = (typeof COLUMN_MEANINGS)[number];

/** A column: its heading, the first thing that stands in it, and what it most likely holds. */
interface TableColumn {
  heading: string;
  sample: string;
  likely: ColumnMeaning;
}
/** A table of people as it was read; each row has a cell for every column. */
export interface PeopleTable {
  columns: TableColumn[];
  rows: string[][];
}

/** Words in headings, plain and in small letters, in the order in which they are tried. Ours, and of German lists. */
const HEADINGS: readonly (readonly [ColumnMeaning, RegExp])[] = [
  ['emergency', /emergency|notfall|next of kin/],
  ['firstName', /^(?:first|given|fore)[ _-]?names?$|^vorname$/],
  ['lastName', /^(?:last|family|sur)[ _-]?names?$|^nachname$|^familienname$/],
  ['name', /^(?:full[ _-]?)?names?$|^(?:student|participant|person|client|teilnehmer)/],
  ['birthDate', /birth|born|^dob$|geburt/],
  ['contact', /e-?mail|phone|mobile|contact|telefon|handy|kontakt/],
  ['conditions', /condition|health|medical|injur|diagnos|complaint|beschwerden|gesundheit|erkrankung/],
  ['group', /group|class|course|gruppe|kurs/],
  ['note', /note|remark|comment|bemerkung|notiz/],
];
const plain = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').trim().toLowerCase();
const meaningOf = (heading: string): ColumnMeaning =>
  HEADINGS.find(([, words]) => words.test(plain(heading)))?.[0] ?? 'nothing';

/** What only people have. */
const OF_PEOPLE: ReadonlySet<ColumnMeaning> = new Set([
  'firstName',
  'lastName',
  'birthDate',
  'contact',
  'emergency',
  'conditions',
  'group',
]);

const MAX_ROWS = 2000;

/**
 * Reads a text as a table of people: rows divided by commas, semicolons or tabs, under headings of which one says that it
 * holds names. Gives undefined where it is none. Never throws.
 */
export function readPeopleTable(text: string): PeopleTable | undefined {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/u, ''), { skipEmptyLines: false });
  const [headings = [], ...rest] = data;
  if (headings.length < 2 || !rest.some((row) => row.some((cell) => cell.trim() !== ''))) return undefined;
  const likely = headings.map(meaningOf);
  const holdsNames = likely.some((one) => one === 'name' || one === 'firstName' || one === 'lastName');
  // Steps have names too: something must say that these are people.
  if (!holdsNames || !likely.some((one) => OF_PEOPLE.has(one))) return undefined;
  // A sentence with a comma in it is no heading.
  if (headings.some((heading) => heading.trim().length > 60)) return undefined;
  const rows = rest.slice(0, MAX_ROWS).map((row) => headings.map((_, i) => (row[i] ?? '').trim()));
  const columns = headings.map((heading, i) => ({
    heading: heading.trim() || `column ${i + 1}`,
    sample: rows.find((row) => row[i] !== '')?.[i] ?? '',
    likely: likely[i] ?? 'nothing',
  }));
  return { columns, rows };
}

/** A condition that stands in a row, in the words of the table, and what it may be. */
export interface AskedCondition {
  /** Unlike that of any other in the table. */
  id: string;
  words: string;
  /** The conditions it may be, the likest first, by their ids. */
  choices: string[];
  /** Whether it is called by one of the names of the first choice. */
  sure: boolean;
}
/** Keeps a condition in the words it stands in, or leaves it out. */
export const KEEP_WORDS = IN_WORDS;
export const LEAVE_OUT = 'leave-out';

/** Somebody in a table: who they are, what is asked about them, and what is wrong with their row. */
export interface PersonRow {
  id: string;
  /** The row of the table they stand in; the headings are the first. */
  line: number;
  person: Person;
  conditions: AskedCondition[];
  group: string;
  issues: FieldIssue[];
  /** Who else has this name: somebody who is here already, by their id, or one further up in the table. */
  same: { kind: 'here'; id: string } | { kind: 'above'; line: number } | null;
}

/** What a table is read with. */
export interface PeopleOptions {
  conditions: readonly Condition[];
  here: readonly { id: string; name: string }[];
  /** `2026-11-26`. */
  today: string;
  /** Reads a date as it is typed here; undefined where it is none. */
  readDay: (typed: string) => string | undefined;
}

const NOBODY_HAS = /^(?:-+|–|no|none|nothing|n\/?a|keine?|nichts|ok)$/i;
const CHOICES = 3;
const MAX_NAME = 80;

function askedCondition(id: string, words: string, conditions: readonly Condition[]): AskedCondition {
  const isCalled = ({ name, terms, alsoCalled }: Condition): boolean =>
    [name, ...terms.split(', '), ...alsoCalled].some((one) => plain(one) === plain(words));
  const called = conditions.filter(isCalled);
  const like = [...called, ...conditionsLike(words, conditions), ...nearestConditions(words, conditions)];
  const choices = [...new Set(like.map((one) => one.id))].slice(0, CHOICES);
  return { id, words, choices, sure: called.length === 1 };
}

/** A date in any of the forms that cannot be mistaken, or as it is typed here. */
function dayOf(typed: string, { readDay }: PeopleOptions): string | undefined {
  const [, day, month, year] = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(typed) ?? [];
  if (day !== undefined && month !== undefined && year !== undefined)
    return `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  if (/^\d{4}-\d\d-\d\d$/.test(typed)) return typed;
  return /\d{4}/.test(typed) ? readDay(typed) : undefined;
}

/**
 * The people in a table, by what its columns mean. Rows without a name are left out. What is wrong with a row is said and
 * left empty in it; conditions are asked back, and are not yet in the person.
 */
export function peopleIn(table: PeopleTable, meanings: readonly ColumnMeaning[], options: PeopleOptions): PersonRow[] {
  const people: PersonRow[] = [];
  for (const [index, row] of table.rows.entries()) {
    const cells = (meaning: ColumnMeaning): string[] => row.filter((cell, i) => meanings[i] === meaning && cell !== '');
    const joined = (meaning: ColumnMeaning, by = ', '): string => cells(meaning).join(by);
    const name = (joined('name', ' ') || [joined('firstName', ' '), joined('lastName', ' ')].join(' '))
      .trim()
      .replace(/\s+/g, ' ');
    if (name === '') continue;
    const line = index + 2;
    const issues: FieldIssue[] = [];
    /** A field as it can be kept; where it cannot, it is left as it is for someone new, and that is said. */
    const kept = <K extends 'name' | 'birthDate' | 'contact' | 'emergency' | 'note'>(
      field: K,
      value: Person[K],
    ): Person[K] => {
      const [issue] = Person.shape[field].safeParse(value).error?.issues ?? [];
      if (!issue) return value;
      issues.push({ field, reason: issue.message });
      return newPerson(name.slice(0, MAX_NAME))[field];
    };
    const birth = joined('birthDate');
    const day = birth === '' ? null : dayOf(birth, options);
    if (day === undefined) issues.push({ field: 'birthDate', reason: `“${birth}” is not a date.` });
    if (typeof day === 'string' && day > options.today)
      issues.push({ field: 'birthDate', reason: 'A birth date cannot be in the future.' });
    const person: Person = {
      ...newPerson(kept('name', name)),
      birthDate: day === undefined || day === null || day > options.today ? null : kept('birthDate', day),
      contact: kept('contact', joined('contact')),
      emergency: kept('emergency', joined('emergency')),
      note: kept('note', joined('note', '\n')),
    };
    const parts = cells('conditions')
      .flatMap((cell) => cell.split(/[,;/\n]|\band\b|\bund\b/u))
      .map((part) => part.trim())
      .filter((part) => part !== '' && !NOBODY_HAS.test(part));
    const known = namesake(name, options.here);
    const above = people.find((one) => plain(one.person.name) === plain(name));
    people.push({
      id: `row-${line}`,
      line,
      person,
      conditions: parts.map((part, i) => askedCondition(`row-${line}-${i}`, part.slice(0, 120), options.conditions)),
      group: joined('group'),
      issues,
      same: known ? { kind: 'here', id: known.id } : above ? { kind: 'above', line: above.line } : null,
    });
  }
  return people;
}

/** What a condition of a row is taken as, where nothing else was decided: the likest, or its own words. */
export const takenAs = ({ choices }: AskedCondition): string => choices[0] ?? KEEP_WORDS;

/**
 * Somebody with the conditions that were decided, by the ids of the conditions asked. The words of the table are kept as
 * a note beside a condition that is called otherwise.
 */
export function withConditions(
  { person, conditions }: PersonRow,
  decided: Readonly<Record<string, string>>,
  newId: () => string,
): Person {
  const taken = conditions.flatMap((found) => {
    const as = decided[found.id] ?? takenAs(found);
    if (as === LEAVE_OUT) return [];
    if (as === KEEP_WORDS) return [personCondition(newId(), IN_WORDS, found.words)];
    return [{ ...personCondition(newId(), as), note: found.sure ? '' : found.words }];
  });
  const once = taken.filter(
    (one, i) => one.condition === IN_WORDS || taken.findIndex(({ condition }) => condition === one.condition) === i,
  );
  return { ...person, conditions: once };
}

/** Somebody who is here with what a table says besides: empty fields are filled, and conditions added. */
export function filledIn(here: Person, from: Person): Person {
  const has = new Set(here.conditions.map(({ condition }) => condition));
  const fresh = from.conditions.filter(({ condition }) => condition === IN_WORDS || !has.has(condition));
  return {
    ...here,
    birthDate: here.birthDate ?? from.birthDate,
    contact: here.contact || from.contact,
    emergency: here.emergency || from.emergency,
    note: here.note || from.note,
    conditions: [...here.conditions, ...fresh],
  };
}
