import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clockTime, dayOf, longDayOf, shortDayOf, startInWords } from './dates';
import { localMoment, today, weekOf } from '../state/days';

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
