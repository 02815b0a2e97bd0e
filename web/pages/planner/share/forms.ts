import {
  breathCountsOf,
  calendarFile,
  captionsOf,
  chaptersOf,
  classEvent,
  csv,
  planTable,
  webVtt,
  writeOutline,
  type NameIndex,
} from '#core/exchange';
import type { CustomEntry, Library } from '#core/catalogue';
import type { Ms } from '#core/numbers';
import { planFile, type Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import type { ShareForm, Written } from '../../../widgets/share/written';

/** The forms a plan can be handed over in. */
export const SHARE_FORMS = [
  { value: 'file', label: 'Plan file', says: 'Everything in it, to be opened again here or elsewhere.' },
  {
    value: 'handout',
    label: 'Page for a student',
    says: 'One file that opens on a phone without a network, and leads through the steps at home.',
  },
  {
    value: 'outline',
    label: 'Outline',
    says: 'Plain text, a line for each step, for a message or a notebook. Import reads it back as a plan.',
  },
  { value: 'calendar', label: 'Calendar file', says: 'The class as an event, with its steps as the description.' },
  { value: 'table', label: 'Table', says: 'Every stretch of the class with its time, for a spreadsheet (CSV).' },
  { value: 'captions', label: 'Captions', says: 'What is said, line by line, for a film of the class (WebVTT).' },
  { value: 'chapters', label: 'Chapters', says: 'A chapter for each step, for a film of the class (WebVTT).' },
  { value: 'counts', label: 'Breath counts', says: 'Every count of the breath, as a track of its own (WebVTT).' },
  { value: 'sound', label: 'Sound', says: 'The bells and tones of the class as one file, to play while it is led.' },
  {
    value: 'letter',
    label: 'Letter',
    says: 'An e-mail with the page for a student and the class as a calendar file.',
  },
] as const satisfies readonly ShareForm[];
export type Form = (typeof SHARE_FORMS)[number]['value'];

export interface ShareOptions {
  /** How much later the class begins in a film than the film does; below zero, earlier. */
  offsetMs: Ms;
  /** A byte order mark, which some spreadsheets need. */
  withMark: boolean;
  /** Reminds so many minutes before; not at all, if it is null. */
  alarmMinutes: number | null;
  /** The class does not take place: calendars that have it strike it out. */
  cancelled: boolean;
  /** The notes of the steps go into an outline. */
  withNotes: boolean;
}

/** What a plan is handed over from. */
export interface Shared {
  id: string;
  revision: number;
  plan: Plan;
  timeline: Timeline;
  library: Library;
  names: NameIndex;
  own: readonly CustomEntry[];
  /** The zone of the clock on the wall, such as `Europe/Dublin`, and the moment it is now. */
  zone: string;
  nowMs: Ms;
}

const VTT = { ending: '.vtt', type: 'text/vtt' };

/** The forms that are written at once; a page for a student is drawn first, a sound file and a letter are made when asked
 * for. */
export type WrittenForm = Exclude<Form, 'handout' | 'sound' | 'letter'>;

function calendarOf(shared: Shared, { alarmMinutes, cancelled }: ShareOptions): Written | { missing: string } {
  const { plan, nowMs: changedMs, ...about } = shared;
  const alarm = alarmMinutes === null ? {} : { alarmMinutes };
  const event = classEvent(plan, { ...about, changedMs, cancelled, ...alarm });
  return event
    ? { text: calendarFile([event]), ending: '.ics', type: 'text/calendar' }
    : { missing: 'The class has no date yet. Give it one under its title, and it can go into a calendar.' };
}

/** A plan in a form, ready to be copied or saved; or why it cannot be had in this form, in words. */
export function writtenAs(form: WrittenForm, shared: Shared, options: ShareOptions): Written | { missing: string } {
  const { plan, timeline, library, names, own } = shared;
  const { offsetMs, withMark, withNotes } = options;
  switch (form) {
    case 'file': {
      const text = `${JSON.stringify(planFile(plan, library, own), null, 2)}\n`;
      return { text, ending: '.zovrin.json', type: 'application/json' };
    }
    case 'outline': {
      const { text, missing } = writeOutline(plan, library, names, { notes: withNotes });
      return { text, notInIt: missing, ending: '.txt', type: 'text/plain' };
    }
    case 'calendar':
      return calendarOf(shared, options);
    case 'table':
      return { text: csv(planTable(plan, timeline, library), withMark), ending: '.csv', type: 'text/csv' };
    case 'captions':
      return { text: webVtt(plan.title, captionsOf(plan, timeline, library, offsetMs)), ...VTT };
    case 'chapters':
      return { text: webVtt(plan.title, chaptersOf(plan, timeline, offsetMs)), ...VTT };
    case 'counts': {
      const counts = breathCountsOf(timeline, offsetMs);
      if (counts.length === 0) return { missing: 'Nothing in this plan is counted.' };
      return { text: webVtt(plan.title, counts), ...VTT };
    }
  }
}
