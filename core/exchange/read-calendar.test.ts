import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { calendarFile } from './calendar';
import { planOfUid } from './class-event';
import { readCalendar, type CalendarDate } from './read-calendar';

const inCalendar = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Hall//Diary//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]): string[] => ['BEGIN:VEVENT', 'DTSTAMP:20261101T080000Z', ...lines, 'END:VEVENT'];
function datesOf(text: string, zone = 'Europe/Berlin'): CalendarDate[] {
  const read = readCalendar(text, zone);
  if (!read.ok) throw new Error(read.reason);
  return read.dates;
}

describe('dates from a calendar file', () => {
  test('a single evening on the clock of its place', () => {
    const text = inCalendar(
      ...event(
        'UID:a',
        'DTSTART;TZID=America/New_York:20261126T183000',
        'DURATION:PT1H15M',
        'SUMMARY:Choir\\, late',
        'LOCATION:Low room',
      ),
    );
    expect(datesOf(text)).toEqual([
      {
        id: 'a 2026-11-26T18:30:00',
        uid: 'a',
        title: 'Choir, late',
        startsAt: '2026-11-26T18:30',
        day: '2026-11-26',
        seconds: 4500,
        place: 'Low room',
        cancelled: false,
      },
    ]);
  });

  test('one in UTC is read by the clock here, on both sides of a change of the clock', () => {
    const text = inCalendar(
      ...event('UID:a', 'DTSTART:20261024T163000Z', 'DTEND:20261024T173000Z', 'SUMMARY:Before'),
      ...event('UID:b', 'DTSTART:20261026T173000Z', 'DTEND:20261026T183000Z', 'SUMMARY:After'),
    );
    expect(datesOf(text).map(({ startsAt }) => startsAt)).toEqual(['2026-10-24T18:30', '2026-10-26T18:30']);
  });

  test('what repeats is listed date by date, without those left out, and with those that were moved or cancelled', () => {
    const text = inCalendar(
      ...event(
        'UID:weekly',
        'DTSTART;TZID=Europe/Berlin:20261103T180000',
        'DTEND;TZID=Europe/Berlin:20261103T190000',
        'RRULE:FREQ=WEEKLY;COUNT=5',
        'EXDATE;TZID=Europe/Berlin:20261110T180000',
        'SUMMARY:Potters',
      ),
      ...event(
        'UID:weekly',
        'RECURRENCE-ID;TZID=Europe/Berlin:20261117T180000',
        'DTSTART;TZID=Europe/Berlin:20261118T193000',
        'DTEND;TZID=Europe/Berlin:20261118T203000',
        'SUMMARY:Potters\\, moved',
      ),
      ...event(
        'UID:weekly',
        'RECURRENCE-ID;TZID=Europe/Berlin:20261124T180000',
        'DTSTART;TZID=Europe/Berlin:20261124T180000',
        'DTEND;TZID=Europe/Berlin:20261124T190000',
        'STATUS:CANCELLED',
        'SUMMARY:Potters',
      ),
    );
    expect(datesOf(text).map(({ startsAt, title, cancelled }) => [startsAt, title, cancelled])).toEqual([
      ['2026-11-03T18:00', 'Potters', false],
      ['2026-11-18T19:30', 'Potters, moved', false],
      ['2026-11-24T18:00', 'Potters', true],
      ['2026-12-01T18:00', 'Potters', false],
    ]);
    expect(new Set(datesOf(text).map(({ id }) => id)).size).toBe(4);
  });

  test('one that never ends is listed for a while, and a whole day has no time', () => {
    const daily = inCalendar(...event('UID:d', 'DTSTART:20261103T060000', 'RRULE:FREQ=DAILY', 'SUMMARY:Breath'));
    expect(datesOf(daily)).toHaveLength(60);
    const whole = inCalendar(...event('UID:w', 'DTSTART;VALUE=DATE:20261224', 'SUMMARY:Hall closed'));
    expect(datesOf(whole)).toMatchObject([{ startsAt: null, day: '2026-12-24', seconds: 0 }]);
  });

  test('what is no calendar is refused with its reason, and nothing is thrown', () => {
    expect(readCalendar('BEGIN:VCALENDAR\r\nBEGIN:VEVENT', 'UTC')).toMatchObject({ ok: false });
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        readCalendar(`BEGIN:VCALENDAR\r\n${text}`, 'UTC');
      }),
    );
  });

  test('our own files come back: the same title, place, hour and length, and the plan they were made from', () => {
    const zone = fc.constantFrom('Europe/Berlin', 'America/New_York', 'Asia/Kolkata', 'UTC');
    const title = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
      .map((one) => `T${one}`.replace(/\p{Cc}/gu, ' ').trim());
    fc.assert(
      fc.property(
        zone,
        title,
        fc.integer({ min: 1, max: 28 }),
        fc.integer({ min: 0, max: 23 }),
        (of, name, day, hour) => {
          const startsAt = `2026-06-${String(day).padStart(2, '0')}T${String(hour).padStart(2, '0')}:15`;
          const made = {
            uid: 'plan-7@zovrin',
            sequence: 2,
            title: name,
            startsAt,
            zone: of,
            changedMs: 0,
            seconds: 4500,
          };
          const [date] = datesOf(calendarFile([{ ...made, place: 'Low room', says: 'x', cancelled: true }]), of);
          expect(date).toMatchObject({ title: name, startsAt, seconds: 4500, place: 'Low room', cancelled: true });
          expect(planOfUid(date!.uid)).toBe('plan-7');
        },
      ),
      { numRuns: 60 },
    );
    expect(planOfUid('a@elsewhere')).toBeUndefined();
  });
});
