import ICAL from 'ical.js';
import { wallClock } from './zone';

/** A date in a calendar file: something that happens once. */
export interface CalendarDate {
  /** Unlike that of every other date in the file. */
  id: string;
  uid: string;
  title: string;
  /** On the clock of its place: `2026-11-26T18:30`; null for a whole day, which has no time. */
  startsAt: string | null;
  /** The day: `2026-11-26`. */
  day: string;
  seconds: number;
  place: string;
  cancelled: boolean;
}

/** The dates of a calendar file in their order, or why it cannot be read. */
export type ReadCalendar = { ok: true; dates: CalendarDate[]; more: boolean } | { ok: false; reason: string };

/** Of what repeats, so many dates are listed, and of a file so many in all. */
const MAX_REPEATS = 60;
const MAX_DATES = 500;

/** What the clock at the place shows; one that is given in UTC, what the clock here shows. */
function wallOf(time: ICAL.Time, zone: string): string {
  const isUtc = time.zone.tzid === 'UTC' || time.zone.tzid === 'Z';
  return (isUtc ? wallClock(zone, time.toUnixTime() * 1000) : time.toString()).slice(0, 16);
}

interface Occurrence {
  startDate: ICAL.Time;
  endDate: ICAL.Time;
  item: ICAL.Event;
}

function occurrencesOf(event: ICAL.Event): Occurrence[] {
  if (!event.isRecurring()) return [{ startDate: event.startDate, endDate: event.endDate, item: event }];
  const found: Occurrence[] = [];
  const times = event.iterator();
  for (
    let next = times.next() as ICAL.Time | null;
    next && found.length < MAX_REPEATS;
    next = times.next() as ICAL.Time | null
  ) {
    found.push(event.getOccurrenceDetails(next));
  }
  return found;
}

const textOf = (event: ICAL.Event, name: string): string => {
  const value = event.component.getFirstPropertyValue(name);
  return typeof value === 'string' ? value.trim() : '';
};

function dateOf({ startDate, endDate, item }: Occurrence, zone: string): CalendarDate {
  const wall = startDate.isDate ? null : wallOf(startDate, zone);
  const day = wall?.slice(0, 10) ?? startDate.toString().slice(0, 10);
  const seconds = startDate.isDate ? 0 : Math.max(0, endDate.subtractDateTz(startDate).toSeconds());
  return {
    id: `${item.uid} ${startDate.toString()}`,
    uid: item.uid,
    title: textOf(item, 'summary'),
    startsAt: wall,
    day,
    seconds,
    place: textOf(item, 'location'),
    cancelled: textOf(item, 'status').toUpperCase() === 'CANCELLED',
  };
}

/** The events of a calendar, each with the dates on which it is otherwise than usual. */
function eventsIn(calendar: ICAL.Component): ICAL.Event[] {
  const components = calendar.getAllSubcomponents('vevent').filter((one) => one.hasProperty('dtstart'));
  const isException = (one: ICAL.Component): boolean => one.hasProperty('recurrence-id');
  const uidOf = (one: ICAL.Component): unknown => one.getFirstPropertyValue('uid');
  const whole = components.filter((one) => !isException(one));
  const known = new Set(whole.map(uidOf));
  return [
    ...whole.map((one) => {
      const exceptions = components.filter((other) => isException(other) && uidOf(other) === uidOf(one));
      return new ICAL.Event(one, { exceptions });
    }),
    // A single date of something that repeats elsewhere.
    ...components.filter((one) => isException(one) && !known.has(uidOf(one))).map((one) => new ICAL.Event(one)),
  ];
}

/**
 * Reads the dates of a calendar file (RFC 5545). What repeats is listed date by date, sixty at most. A time is the one on
 * the clock of its place, as it stands in the file; one in UTC is read by the clock of `zone`. Never throws.
 */
export function readCalendar(text: string, zone: string): ReadCalendar {
  try {
    const parsed = ICAL.parse(text) as unknown[];
    const calendars = (typeof parsed[0] === 'string' ? [parsed] : parsed) as unknown[][];
    const dates = calendars
      .flatMap((one) => eventsIn(new ICAL.Component(one)))
      .flatMap((event) => occurrencesOf(event).map((occurrence) => dateOf(occurrence, zone)))
      .sort((one, other) => (one.startsAt ?? one.day).localeCompare(other.startsAt ?? other.day));
    return { ok: true, dates: dates.slice(0, MAX_DATES), more: dates.length > MAX_DATES };
  } catch (error) {
    return { ok: false, reason: (error as Error).message };
  }
}
