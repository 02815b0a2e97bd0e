import { readEntry, type CustomEntry } from '#core/catalogue';
import { readCourse, type Course } from '#core/course';
import { readPlace, type Place } from '#core/cupboard';
import type { FieldIssue } from '#core/document';
import { PERSON_FILE_FORMAT, readPersonFile, type Person } from '#core/people';
import { readCopiedSteps, readPlanFile, STEPS_FORMAT, type PlanFile, type Step } from '#core/plan';
import { MAX_OUTLINE } from './outline';
import { readPeopleTable, type PeopleTable } from './people-table';
import { readCalendar } from './read-calendar';

/** No file is read that is larger. */
export const MAX_FILE_BYTES = 20_000_000;

/** What a text that somebody brings along is. */
export type Recognised =
  | { kind: 'plan'; file: PlanFile }
  | { kind: 'steps'; steps: Step[] }
  | { kind: 'entry'; entry: CustomEntry }
  | { kind: 'place'; place: Place }
  | { kind: 'person'; person: Person }
  | { kind: 'course'; course: Course }
  /** Dates that plans can be given. */
  | { kind: 'calendar'; text: string; dates: number }
  /** A table in which people stand, one in each row. */
  | { kind: 'people'; table: PeopleTable }
  /** Captions of a class that was filmed or recorded. */
  | { kind: 'captions'; text: string }
  /** Words: an outline, or something that may be one. */
  | { kind: 'outline'; text: string }
  /** Something that cannot be taken, and why; where a field is wrong, which one. */
  | { kind: 'refused'; reason: string; issues: FieldIssue[] };

const refused = (reason: string, issues: FieldIssue[] = []): Recognised => ({ kind: 'refused', reason, issues });

type Read<T> = ({ ok: true } & T) | { ok: false; issues: FieldIssue[] };
/** What was read, or the refusal with all that is wrong with it. */
const readAs = <T>(called: string, read: Read<T>, take: (found: T) => Recognised): Recognised =>
  read.ok ? take(read) : refused(`This is ${called}, but it cannot be opened.`, read.issues);

const KINDS: Readonly<Record<string, (value: unknown, text: string) => Recognised>> = {
  'zovrin-plan': (value) =>
    readAs('a plan', readPlanFile(value), ({ plan, entries }) => ({ kind: 'plan', file: { plan, entries } })),
  'zovrin-entry': (value) =>
    readAs('a library entry', readEntry(value), (read) => ({ kind: 'entry', entry: read.value })),
  'zovrin-place': (value) => readAs('a place', readPlace(value), (read) => ({ kind: 'place', place: read.value })),
  'zovrin-course': (value) => readAs('a course', readCourse(value), (read) => ({ kind: 'course', course: read.value })),
  'zovrin-person': (value) =>
    readAs('a person', readPersonFile(value), (read) => ({ kind: 'person', person: read.value })),
  [PERSON_FILE_FORMAT]: (value) =>
    readAs('a person’s file', readPersonFile(value), (read) => ({ kind: 'person', person: read.value })),
  [STEPS_FORMAT]: (_, text) => {
    const steps = readCopiedSteps(text);
    return steps ? { kind: 'steps', steps } : refused('These are copied steps, but they cannot be read.');
  },
};

/** Documents that are Zovrin’s, but that belong to what they were saved with. */
const BELONG_ELSEWHERE: Readonly<Record<string, string>> = {
  'zovrin-group': 'a group: it names people by where they are stored',
  'zovrin-house': 'the settings of another Zovrin',
  'zovrin-journal': 'a journal entry: it belongs to a session that is stored elsewhere',
  'zovrin-variants': 'the variants of a plan: they belong to the plan they were made for',
};

function recogniseJson(text: string): Recognised {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return refused('This begins like a document, but it is damaged: it is not valid JSON.');
  }
  const format = typeof value === 'object' && value !== null && 'format' in value ? String(value.format) : '';
  const elsewhere = Object.hasOwn(BELONG_ELSEWHERE, format) ? BELONG_ELSEWHERE[format] : undefined;
  if (elsewhere !== undefined) return refused(`This is ${elsewhere}. It can only come back with a whole backup.`);
  const read = Object.hasOwn(KINDS, format) ? KINDS[format] : undefined;
  return read ? read(value, text) : refused('This is JSON, but no document of Zovrin.');
}

/** The first headings of the tables that are written here. */
export const OWN_TABLE = /^(?:step,name,part,|began,session,kind,|kind,pieces\r?\n)/u;

/** What a text begins with, for texts that are neither a document nor words. */
const OTHERS: readonly (readonly [RegExp, string])[] = [
  [OWN_TABLE, 'This is a table for a spreadsheet. A plan comes back as a plan file or as an outline.'],
  [/^PK\p{Cc}{2}/u, 'This is a ZIP file. If it is a backup of Zovrin, restore it in Settings, Backup.'],
  [/^\{"format":"zovrin-sealed-backup"/u, 'This is a backup under a passphrase. Restore it in Settings, Backup.'],
  [
    /^(?:<!doctype|<html|<\?xml|<svg)/iu,
    'This is a web page or another marked-up file. Copy the words out of it and paste them here.',
  ],
  [
    /^(?:%PDF|.PNG\r?\n|GIF8|\{\\rtf|\u00FF\u00D8)/u,
    'This is a document of another program. Copy the words out of it and paste them here.',
  ],
];

/** Captions of a film: WebVTT, or the times of SubRip, which may begin with a number. */
const CAPTIONS = /^WEBVTT|^(?:\d+\s*\r?\n)?\s*[\d:.,]+\s*-->\s*[\d:.,]+/u;
const BEGINNING = 200;

function recogniseCalendar(text: string): Recognised {
  const read = readCalendar(text, 'UTC');
  if (!read.ok) return refused(`This is a calendar file, but it cannot be read: ${read.reason}`);
  return read.dates.length > 0
    ? { kind: 'calendar', text, dates: read.dates.length }
    : refused('This is a calendar file, but there is no date in it.');
}

/**
 * Says what a text is by what is in it, whatever its file is called. Nothing is changed by it. Never throws.
 */
export function recognise(typed: string): Recognised {
  const text = typed.replace(/^\uFEFF/u, '').trim();
  if (text === '') return refused('There is nothing in it.');
  for (const [begins, reason] of OTHERS) if (begins.test(text)) return refused(reason);
  if (CAPTIONS.test(text.slice(0, BEGINNING))) return { kind: 'captions', text };
  if (/^BEGIN:VCALENDAR/iu.test(text)) return recogniseCalendar(text);
  if (/^[[{]/u.test(text)) return recogniseJson(text);
  if (/[\0\uFFFD]/u.test(text)) return refused('This is not a text: it cannot be read as words.');
  const people = readPeopleTable(text);
  if (people) return { kind: 'people', table: people };
  if (text.length > MAX_OUTLINE) return refused('This is too long for a plan: at most 200,000 characters.');
  return { kind: 'outline', text: typed };
}
