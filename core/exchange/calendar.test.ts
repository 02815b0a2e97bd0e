import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { calendarFile as fileOf, type ClassEvent } from './index';

const evening: Omit<ClassEvent, 'zone' | 'changedMs'> = {
  uid: 'plan-1@zovrin',
  sequence: 3,
  title: 'Evening; for tired legs, slowly',
  startsAt: '2026-11-26T18:30',
  seconds: 3600,
  place: 'Wrackline Hall, low room',
  says: '1. Talk 1:00\n2. Twist 3:30 each side \\ blanket',
};
const STAMP = Date.UTC(2026, 10, 30, 12);
const calendarFile = (
  events: readonly Omit<ClassEvent, 'zone' | 'changedMs'>[],
  zone: string,
  changedMs: number,
): string => fileOf(events.map((event) => ({ ...event, zone, changedMs })));
const ZONES = ['Europe/Berlin', 'America/New_York', 'Asia/Kolkata', 'Australia/Lord_Howe', 'America/Sao_Paulo', 'UTC'];

/** A strict reader of lines, after RFC 5545 3.1: CR LF, at most 75 octets, folded with one blank. */
function linesOf(file: string): string[] {
  expect(file.endsWith('\r\n')).toBe(true);
  const physical = file.slice(0, -2).split('\r\n');
  for (const line of physical) {
    expect(line).not.toMatch(/[\r\n]/);
    expect([line, Buffer.byteLength(line) <= 75]).toEqual([line, true]);
    expect(Buffer.from(line).toString()).toBe(line);
  }
  return physical.reduce<string[]>((lines, line) => {
    if (line.startsWith(' ')) return [...lines.slice(0, -1), (lines.at(-1) ?? '') + line.slice(1)];
    return [...lines, line];
  }, []);
}
const unescaped = (text: string): string =>
  text.replace(/\\([\\;,nN])/g, (_, mark: string) => (mark.toLowerCase() === 'n' ? '\n' : mark));
const valueOf = (lines: readonly string[], name: string): string =>
  unescaped(lines.find((line) => line.startsWith(`${name}:`))?.slice(name.length + 1) ?? '');

const clocks = new Map(
  ZONES.map((zone) => [
    zone,
    new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' }),
  ]),
);
/** What the clocks of a zone show, as Swedish has it: `2026-11-26 18:30`. */
const shown = (zone: string, atMs: number): string => clocks.get(zone)!.format(atMs).replace(' ', 'T');

/** The moments at which a zone’s clocks show a time, found by asking every quarter of an hour of two days. */
function momentsShowing(zone: string, wall: string): number[] {
  const about = Date.parse(`${wall}:00Z`);
  const moments: number[] = [];
  for (let atMs = about - 86_400_000; atMs <= about + 86_400_000; atMs += 900_000)
    if (shown(zone, atMs) === wall) moments.push(atMs);
  return moments;
}

/** When the package thinks that the first event of a file begins and ends, by the zone that stands in the file. */
function readBack(file: string): { startMs: number; endMs: number; event: ICAL.Event } {
  const calendar = new ICAL.Component(ICAL.parse(file) as unknown[]);
  const zone = new ICAL.Timezone(calendar.getFirstSubcomponent('vtimezone')!);
  const event = new ICAL.Event(calendar.getFirstSubcomponent('vevent')!);
  const msOf = (time: ICAL.Time): number => {
    const placed = time.clone();
    placed.zone = zone;
    return placed.toUnixTime() * 1000;
  };
  return { startMs: msOf(event.startDate), endMs: msOf(event.endDate), event };
}

describe('a calendar file', () => {
  test('says by hand what an evening is', () => {
    const lines = linesOf(calendarFile([{ ...evening, alarmMinutes: 30 }], 'Europe/Berlin', STAMP));
    expect(lines.slice(0, 2)).toEqual(['BEGIN:VCALENDAR', 'VERSION:2.0']);
    expect(lines).toContain('DTSTART;TZID=Europe/Berlin:20261126T183000');
    expect(lines).toContain('DTEND;TZID=Europe/Berlin:20261126T193000');
    expect(lines).toContain('SUMMARY:Evening\\; for tired legs\\, slowly');
    expect(lines).toContain('DTSTAMP:20261130T120000Z');
    expect(lines).toContain('SEQUENCE:3');
    expect(lines).toContain('TRIGGER:-PT30M');
    expect(valueOf(lines, 'DESCRIPTION')).toBe(evening.says);
  });

  test('a long description is folded so that no line, with its blank, has more than 75 octets', () => {
    const says = 'Rest – on the “long” bolster, slowly; '.repeat(40);
    const lines = linesOf(calendarFile([{ ...evening, says }], 'Europe/Berlin', STAMP));
    expect(valueOf(lines, 'DESCRIPTION')).toBe(says);
  });

  test('a class that does not take place keeps its UID, is cancelled, and reminds of nothing', () => {
    const lines = linesOf(calendarFile([{ ...evening, cancelled: true, alarmMinutes: 30 }], 'UTC', STAMP));
    expect(lines).toContain('STATUS:CANCELLED');
    expect(lines).toContain('UID:plan-1@zovrin');
    expect(lines).not.toContain('BEGIN:VALARM');
  });

  test('whatever is written in it is folded by octets, escaped, and read back', () => {
    const text = fc.string({ unit: 'grapheme', maxLength: 200 });
    fc.assert(
      fc.property(text, text, (title, says) => {
        const file = calendarFile([{ ...evening, title: `T${title}`, says: `S${says}` }], 'Europe/Berlin', STAMP);
        const lines = linesOf(file);
        const clean = (typed: string) =>
          [...typed.replace(/\r\n?/g, '\n')]
            .filter((mark) => mark === '\n' || mark === '\t' || !/\p{Cc}/u.test(mark) || mark >= '\u0080')
            .join('');
        expect(valueOf(lines, 'SUMMARY')).toBe(clean(`T${title}`));
        expect(valueOf(lines, 'DESCRIPTION')).toBe(clean(`S${says}`));
        expect(readBack(file).event.summary).toBe(clean(`T${title}`));
      }),
      { numRuns: 60 },
    );
  });

  test('begins at its hour in every zone, on both sides of both changes of the clock', () => {
    const day = fc.constantFrom(
      '2026-03-28',
      '2026-03-29',
      '2026-10-25',
      '2026-11-01',
      '2026-03-08',
      '2026-04-05',
      '2027-07-14',
      '2026-10-04',
    );
    const hour = fc.integer({ min: 0, max: 23 });
    fc.assert(
      fc.property(fc.constantFrom(...ZONES), day, hour, fc.constantFrom('00', '15', '30'), (zone, on, h, minute) => {
        const startsAt = `${on}T${String(h).padStart(2, '0')}:${minute}`;
        const moments = momentsShowing(zone, startsAt);
        // An hour that the clocks leave out has no moment, and one that they show twice has two.
        if (moments.length !== 1) return;
        const { startMs, endMs } = readBack(calendarFile([{ ...evening, startsAt }], zone, STAMP));
        expect([zone, startsAt, startMs]).toEqual([zone, startsAt, moments[0]]);
        const ends = momentsShowing(zone, shown(zone, endMs));
        if (ends.length === 1) expect(endMs - startMs).toBe(3_600_000);
      }),
      { numRuns: 60 },
    );
  });

  test('a class over the night of the change is as long as it is', () => {
    const lines = linesOf(
      calendarFile([{ ...evening, startsAt: '2026-03-29T01:30', seconds: 7200 }], 'Europe/Berlin', STAMP),
    );
    expect(lines).toContain('DTEND;TZID=Europe/Berlin:20260329T043000');
  });

  test('a zone that nobody knows is refused; no class at all is an empty calendar', () => {
    expect(() => calendarFile([evening], 'Atlantis/Harbour', STAMP)).toThrow(RangeError);
    expect(linesOf(calendarFile([], 'UTC', STAMP))).not.toContain('BEGIN:VEVENT');
  });

  test('classes at places in different zones each begin at their own hour', () => {
    const away = { ...evening, uid: 'plan-2@zovrin', zone: 'America/New_York', changedMs: STAMP };
    const file = fileOf([{ ...evening, zone: 'Europe/Berlin', changedMs: STAMP }, away]);
    const lines = linesOf(file);
    expect(lines.filter((line) => line.startsWith('TZID:'))).toEqual(['TZID:America/New_York', 'TZID:Europe/Berlin']);
    expect(lines.filter((line) => line.startsWith('DTSTART;'))).toEqual([
      'DTSTART;TZID=Europe/Berlin:20261126T183000',
      'DTSTART;TZID=America/New_York:20261126T183000',
    ]);
  });
});
