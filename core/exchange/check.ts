import ICAL from 'ical.js';
import { compileTimeline } from '#core/timeline';
import { clockOfMs } from '#core/time';
import { type Library } from '#core/catalogue';
import type { FieldIssue } from '#core/document';
import type { Handout } from './handout';
import { readOutline, type NameIndex } from './outline';
import { OWN_TABLE, recognise } from './recognise';

/** What a file is, what is in it, and what is wrong with it. */
export interface CheckedFile {
  /** In one line. */
  what: string;
  /** What makes it unusable; empty if nothing does. */
  faults: string[];
  /** What it would be well to look at. */
  remarks: string[];
}

/** What a file is checked with. */
export interface CheckOptions {
  library: Library;
  index: NameIndex;
  /** The day it is checked on, `2026-11-26`. */
  today: string;
}

const counted = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;
const issueInWords = ({ field, reason }: FieldIssue): string => (field === '' ? reason : `${field}: ${reason}`);

function checkCalendar(text: string): CheckedFile {
  const what = 'a calendar file';
  try {
    const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
    const faults = events.flatMap((event, i) =>
      ['uid', 'dtstart', 'dtstamp']
        .filter((name) => !event.hasProperty(name))
        .map((name) => `event ${i + 1} has no ${name.toUpperCase()}`),
    );
    const long = text.split(/\r?\n/).findIndex((line) => new TextEncoder().encode(line).length > 75);
    const remarks = [
      ...(long < 0 ? [] : [`line ${long + 1} is longer than 75 octets`]),
      ...(/[^\r]\n/.test(text) ? ['its lines do not all end in CR LF'] : []),
    ];
    return { what: `${what} with ${counted(events.length, 'event')}`, faults, remarks };
  } catch (error) {
    return { what, faults: [(error as Error).message], remarks: [] };
  }
}

const TIMING =
  /^(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})[ \t]+-->[ \t]+(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})(?:[ \t].*)?$/;
const msOf = (hours = '0', minutes = '0', seconds = '0', ms = '0'): number =>
  ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number(ms);

function checkCaptions(text: string): CheckedFile {
  const lines = text.split(/\r\n|\r|\n/);
  let cues = 0;
  let before = 0;
  const faults: string[] = [];
  for (const [i, line] of lines.entries()) {
    if (!line.includes('-->')) continue;
    cues++;
    const match = TIMING.exec(line);
    if (!match) {
      faults.push(`line ${i + 1}: “${line}” is no timing; it looks like 00:01:05.000 --> 00:01:08.500`);
      continue;
    }
    const [from, to] = [msOf(match[1], match[2], match[3], match[4]), msOf(match[5], match[6], match[7], match[8])];
    if (to <= from) faults.push(`line ${i + 1}: the cue ends before it begins`);
    if (from < before) faults.push(`line ${i + 1}: the cue begins before the one above it`);
    before = from;
  }
  return { what: `captions with ${counted(cues, 'cue')}`, faults, remarks: [] };
}

/** The page for a student, by the data that stands in it. */
function checkHandout(text: string): CheckedFile {
  const what = 'a page for a student';
  const data = /<script[^>]* id="handout"[^>]*>([^]*?)<\/script>/u.exec(text)?.[1] ?? '';
  const elsewhere = /(?:src|href)="(?:https?:)?\/\/[^"]*"/u.exec(text)?.[0];
  const remarks = elsewhere === undefined ? [] : [`it asks for something from elsewhere: ${elsewhere}`];
  try {
    const { title, lengths } = JSON.parse(data) as Pick<Handout, 'title' | 'lengths'>;
    const longest = lengths.at(-1);
    return { what: `${what}, “${title}”, ${clockOfMs(longest?.totalMs ?? 0)}`, faults: [], remarks };
  } catch {
    return { what, faults: ['the steps in it cannot be read'], remarks };
  }
}

/** An e-mail file, by its headers. */
function checkEmail(text: string): CheckedFile {
  const headers = text.slice(0, Math.max(0, text.search(/\r?\n\r?\n/u))).replace(/\r?\n[ \t]+/gu, ' ');
  const missing = ['From', 'To', 'Date'].filter((name) => !new RegExp(`^${name}: `, 'mu').test(headers));
  const files = text.match(/^Content-Disposition: attachment/gmu)?.length ?? 0;
  const faults = missing.map((name) => `it has no ${name}`);
  const remarks = /[^\r]\n/u.test(text) ? ['its lines do not all end in CR LF'] : [];
  return { what: `an e-mail with ${counted(files, 'attachment')}`, faults, remarks };
}

/** Says what a text is and what is wrong with it. Never throws. */
export function checkFile(text: string, { library, index, today }: CheckOptions): CheckedFile {
  const body = text.replace(/^\uFEFF/u, '');
  if (/^BEGIN:VCALENDAR/iu.test(body.trimStart())) return checkCalendar(body.trimStart());
  if (body.startsWith('WEBVTT')) return checkCaptions(body);
  if (/^<!doctype html>/iu.test(body) && body.includes(' id="handout"')) return checkHandout(body);
  if (/^(?:From|To|Subject|Message-ID|Date): [^]*^MIME-Version: /mu.test(body.slice(0, 4000))) return checkEmail(body);
  if (OWN_TABLE.test(body)) {
    const rows = body.trim().split('\n').length - 1;
    return { what: `a table with ${counted(rows, 'row')}, for a spreadsheet`, faults: [], remarks: [] };
  }
  const found = recognise(text);
  switch (found.kind) {
    case 'refused':
      return {
        what: found.reason,
        faults: found.issues.length > 0 ? found.issues.map(issueInWords) : [found.reason],
        remarks: [],
      };
    case 'plan': {
      const { plan, entries } = found.file;
      const { totals, notes } = compileTimeline(plan, library);
      const own = entries.length > 0 ? ` and ${counted(entries.length, 'library entry', 'library entries')}` : '';
      return {
        what: `a plan, “${plan.title}”, with ${counted(plan.steps.length, 'step')}${own}, ${clockOfMs(totals.totalMs)} of ${clockOfMs(totals.targetMs)}`,
        faults: [],
        remarks: notes.map(({ stepIndex, message }) => `step ${stepIndex + 1}: ${message}`),
      };
    }
    case 'steps':
      return { what: counted(found.steps.length, 'copied step'), faults: [], remarks: [] };
    case 'entry':
      return { what: `a library entry, “${found.entry.entry.names.english}”`, faults: [], remarks: [] };
    case 'place':
      return { what: `a place, “${found.place.name}”`, faults: [], remarks: [] };
    case 'course':
      return {
        what: `a course, “${found.course.title}”, ${counted(found.course.weeks, found.course.unit)}`,
        faults: [],
        remarks: [],
      };
    // WebVTT is checked above, line by line; this is SubRip.
    case 'captions':
      return { what: `captions with ${counted(found.text.split('-->').length - 1, 'cue')}`, faults: [], remarks: [] };
    // A calendar is checked above, line by line.
    case 'calendar':
      return { what: `a calendar file with ${counted(found.dates, 'date')}`, faults: [], remarks: [] };
    case 'people':
      return { what: `a table of ${counted(found.table.rows.length, 'row')} with people`, faults: [], remarks: [] };
    case 'person':
      return { what: 'a person’s file: it holds health notes', faults: [], remarks: [] };
    case 'outline': {
      let ids = 0;
      const read = readOutline(text, {
        index,
        approach: 'restorative',
        where: null,
        today,
        newId: () => `line-${++ids}`,
      });
      const { totals } = compileTimeline(read.plan, library);
      const faults = read.plan.steps.length === 0 ? ['no line of it is a step: a name and a length'] : [];
      const remarks = read.lines.flatMap(({ line, kind, typed, questions }) => [
        ...(kind === 'note' ? [`line ${line + 1}: “${typed.trim()}” is kept as a note`] : []),
        ...questions.map(
          ({ about, choices, chosen }) =>
            `line ${line + 1}: ${about} Taken as ${choices.find(({ value }) => value === chosen)?.label ?? chosen}; or ${choices
              .filter(({ value }) => value !== chosen)
              .map(({ label }) => label)
              .join(', ')}`,
        ),
      ]);
      return {
        what: `an outline of a plan with ${counted(read.plan.steps.length, 'step')}, ${clockOfMs(totals.totalMs)}`,
        faults,
        remarks,
      };
    }
  }
}
