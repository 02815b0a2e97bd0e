import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clockTime, dateStyleOf, dayOf, longDayOf, setDateStyle, shortDayOf, startInWords, weekOf } from './dates';
import { pickerPattern, readClock, readDay, readMoment, typedDay, typedMoment } from './typed-dates';
import { localMoment, today } from '../state/days';

const BRITISH = { locale: 'en-GB', hour12: false, firstDay: 1 } as const;
const AMERICAN = { locale: 'en-US', hour12: true, firstDay: 0 } as const;
afterEach(() => setDateStyle(BRITISH));

const DAY_MS = 86_400_000;
const moment = fc.integer({ min: Date.UTC(2020, 0, 1), max: Date.UTC(2035, 0, 1) });

describe('days and times on the clock of this place', () => {
  test('in words, short and long', () => {
    const ms = new Date('2026-11-26T19:02').getTime();
    expect([dayOf(ms), longDayOf(ms), clockTime(ms), shortDayOf(ms)]).toEqual([
      'Thu 26 Nov',
      'Thursday 26 November',
      '19:02',
      '26 Nov',
    ]);
    expect([startInWords('2026-11-26T19:02'), startInWords(null)]).toEqual(['Thursday 26 November, 19:02', '']);
    expect(clockTime(new Date('2026-11-26T00:05').getTime())).toBe('00:05');
  });

  test('a day without a time is that day, wherever it is read', () => {
    fc.assert(
      fc.property(moment, (ms) => {
        const day = localMoment(new Date(ms)).slice(0, 10);
        expect(shortDayOf(day)).toBe(shortDayOf(ms));
      }),
    );
    expect(today()).toBe(localMoment(new Date()).slice(0, 10));
  });

  test('a moment is written as it is read again, to the minute', () => {
    fc.assert(
      fc.property(moment, (ms) => {
        const back = new Date(localMoment(new Date(ms))).getTime();
        // The hour that comes twice in autumn is written alike both times.
        expect([0, 60 * 60_000]).toContain(Math.floor(ms / 60_000) * 60_000 - back);
      }),
    );
  });

  test('a week begins with a Monday, goes to the Sunday after it, and sorts as it follows', () => {
    expect([
      weekOf(new Date('2026-11-23T00:00').getTime()),
      weekOf(new Date('2026-11-29T23:59').getTime()),
      weekOf(new Date('2026-11-30T00:00').getTime()),
      weekOf(new Date('2027-01-01T08:00').getTime()),
    ]).toEqual(['2026-11-23', '2026-11-23', '2026-11-30', '2026-12-28']);
    fc.assert(
      fc.property(moment, (ms) => {
        const monday = new Date(`${weekOf(ms)}T12:00`);
        expect(monday.getDay()).toBe(1);
        expect(Math.abs(ms - monday.getTime() - 3 * DAY_MS)).toBeLessThanOrEqual(4 * DAY_MS);
        expect(weekOf(ms) <= weekOf(ms + 7 * DAY_MS)).toBe(true);
      }),
    );
  });
});

describe('as people write dates where they live', () => {
  test('in the United States: the month first, a clock of twelve hours, weeks from Sunday', () => {
    setDateStyle(AMERICAN);
    const ms = new Date('2026-11-26T19:02').getTime();
    expect([dayOf(ms), clockTime(ms), shortDayOf('2026-11-26')]).toEqual(['Thu, Nov 26', '7:02 PM', 'Nov 26']);
    expect(weekOf(new Date('2026-11-28T23:59').getTime())).toBe('2026-11-22');
    expect([typedDay('2026-11-26'), typedMoment('2026-11-26T18:30'), pickerPattern()]).toEqual([
      '11/26/2026',
      '11/26/2026 6:30 PM',
      'mm/dd/yy',
    ]);
  });

  test.each([
    ['en-GB', BRITISH],
    ['en-US', AMERICAN],
    ['de-DE', { locale: 'en-DE', hour12: false, firstDay: 1 }],
    ['fr', { locale: 'en-FR', hour12: false, firstDay: 1 }],
  ])('a device that speaks %s', (language, expected) => {
    // Node may not know how weeks begin everywhere: then they begin on Mondays.
    const { firstDay, ...rest } = dateStyleOf(language);
    expect(rest).toEqual({ locale: expected.locale, hour12: expected.hour12 });
    expect([expected.firstDay, 1]).toContain(firstDay);
  });

  test.each([
    ['26/11/2026', '2026-11-26'],
    ['26/11/26', '2026-11-26'],
    ['6.1.2027', '2027-01-06'],
    ['26 Nov 2026', '2026-11-26'],
    ['26 november 2026', '2026-11-26'],
    ['Nov 26, 2026', '2026-11-26'],
    ['2026-11-26', '2026-11-26'],
    ['31/02/2026', undefined],
    ['soon', undefined],
    ['', undefined],
  ])('“%s” is read as the day %s', (text, day) => expect(readDay(text)).toBe(day));

  test('the same figures are another day where the month comes first', () => {
    setDateStyle(AMERICAN);
    expect([readDay('6/1/2027'), readDay('26/11/2026')]).toEqual(['2027-06-01', undefined]);
  });

  test.each([
    ['18:30', '18:30'],
    ['6:30 pm', '18:30'],
    ['6pm', '18:00'],
    ['7.05', '07:05'],
    ['9', '09:00'],
    ['25:00', undefined],
    ['later', undefined],
  ])('“%s” is read as the time %s', (text, time) => expect(readClock(text)).toBe(time));

  test.each([
    ['26/11/2026 18:30', '2026-11-26T18:30'],
    ['26 Nov 2026, 6:30 pm', '2026-11-26T18:30'],
    ['2026-11-26T18:30', '2026-11-26T18:30'],
    ['26/11/2026', undefined],
    ['18:30', undefined],
  ])('“%s” is read as the moment %s', (text, moment) => expect(readMoment(text)).toBe(moment));

  test('any moment is read again as it was written, in either order and on either clock', () => {
    fc.assert(
      fc.property(moment, fc.constantFrom(BRITISH, AMERICAN), (ms, style) => {
        setDateStyle(style);
        const when = localMoment(new Date(ms));
        expect(readMoment(typedMoment(when))).toBe(when);
        expect(readDay(typedDay(when.slice(0, 10)))).toBe(when.slice(0, 10));
      }),
    );
  });
});
