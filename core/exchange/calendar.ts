import ICAL from 'ical.js';
import type { Ms } from '#core/numbers';
import { momentOnWall, wallAt, wallClock, zoneChanges, zoneOffset } from './zone';

/** A class as an event of a calendar. */
export interface ClassEvent {
  /** Stays the same for as long as it is this class. */
  uid: string;
  /** Grows with every change, so that a calendar takes the newest. */
  sequence: number;
  title: string;
  /** On the clock of the place, without a zone: `2026-11-26T18:30`. */
  startsAt: string;
  /** The zone of that clock, such as `Europe/Dublin`. */
  zone: string;
  /** When it was changed last. */
  changedMs: Ms;
  seconds: number;
  place: string;
  says: string;
  /** It does not take place; the event stays, so that calendars strike it out. */
  cancelled?: boolean;
  /** Reminds so many minutes before. */
  alarmMinutes?: number | undefined;
}

const pad = (n: number): string => String(n).padStart(2, '0');
/** An offset as RFC 5545 writes it in jCal: `+01:00`. */
const offsetText = (minutes: number): string =>
  `${minutes < 0 ? '-' : '+'}${pad(Math.floor(Math.abs(minutes) / 60))}:${pad(Math.abs(minutes) % 60)}`;
/** What the clock on the wall shows so many seconds after a moment by it, also where it is changed in between. */
const wallAfter = (zone: string, startsAt: string, seconds: number): string =>
  wallClock(zone, momentOnWall(zone, startsAt) + seconds * 1000);

// The package counts a line without the blank that begins it once it is folded; with it, a line has 75 octets (RFC 5545 3.1).
ICAL.foldLength = 74;

const YEAR_MS = 366 * 86_400_000;

/** The clocks of a zone from a year before the first to a year after the last of some moments, change by change. */
function zoneComponent(zone: string, fromMs: Ms, toMs: Ms): ICAL.Component {
  const component = new ICAL.Component('vtimezone');
  component.addPropertyWithValue('tzid', zone);
  const [startMs, endMs] = [fromMs - YEAR_MS, toMs + YEAR_MS];
  const first = zoneOffset(zone, startMs);
  const changes = zoneChanges(zone, startMs, endMs);
  const usual = Math.min(first, ...changes.map(({ to }) => to));
  for (const { atMs, from, to } of [{ atMs: startMs, from: first, to: first }, ...changes]) {
    const observance = new ICAL.Component(to > usual ? 'daylight' : 'standard');
    observance.addPropertyWithValue('dtstart', ICAL.Time.fromDateTimeString(wallAt(atMs, from)));
    observance.addPropertyWithValue('tzoffsetfrom', ICAL.UtcOffset.fromString(offsetText(from)));
    observance.addPropertyWithValue('tzoffsetto', ICAL.UtcOffset.fromString(offsetText(to)));
    component.addSubcomponent(observance);
  }
  return component;
}

function alarmOf(title: string, minutes: number): ICAL.Component {
  const alarm = new ICAL.Component('valarm');
  alarm.addPropertyWithValue('action', 'DISPLAY');
  alarm.addPropertyWithValue('description', title);
  alarm.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-60 * minutes));
  return alarm;
}

function eventOf(event: ClassEvent): ICAL.Component {
  const { zone } = event;
  const component = new ICAL.Component('vevent');
  const add = (name: string, value: string | number | ICAL.Time | ICAL.Duration): ICAL.Property =>
    component.addPropertyWithValue(name, value);
  const start = ICAL.Time.fromDateTimeString(`${event.startsAt}:00`);
  const end = ICAL.Time.fromDateTimeString(wallAfter(zone, event.startsAt, event.seconds));
  add('uid', event.uid);
  add('dtstamp', ICAL.Time.fromJSDate(new Date(event.changedMs), true));
  add('sequence', event.sequence);
  add('dtstart', start).setParameter('tzid', zone);
  add('dtend', end).setParameter('tzid', zone);
  add('summary', event.title);
  if (event.place) add('location', event.place);
  if (event.says) add('description', event.says);
  add('status', event.cancelled ? 'CANCELLED' : 'CONFIRMED');
  if (event.alarmMinutes !== undefined && !event.cancelled)
    component.addSubcomponent(alarmOf(event.title, event.alarmMinutes));
  return component;
}

/** Control characters that a calendar must not hold; a line break or a tab may stand in a text. */
const CONTROL = /(?![\n\t\u0080-\u009F])\p{Cc}/gu;
const plain = (text: string): string => text.replace(/\r\n?/g, '\n').replace(CONTROL, '');

/**
 * Classes as a calendar file (RFC 5545), each on the clock of its zone, whose changes of the clock the file holds. The
 * same classes give the same file. Throws a RangeError for a zone that is not known.
 */
export function calendarFile(events: readonly ClassEvent[]): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Zovrin//Classes//EN');
  calendar.addPropertyWithValue('calscale', 'GREGORIAN');
  for (const zone of [...new Set(events.map((event) => event.zone))].sort()) {
    const starts = events.filter((event) => event.zone === zone).map(({ startsAt }) => Date.parse(`${startsAt}:00Z`));
    calendar.addSubcomponent(zoneComponent(zone, Math.min(...starts), Math.max(...starts)));
  }
  for (const event of events) {
    const { title, place, says } = event;
    calendar.addSubcomponent(eventOf({ ...event, title: plain(title), place: plain(place), says: plain(says) }));
  }
  return `${calendar.toString()}\r\n`;
}
