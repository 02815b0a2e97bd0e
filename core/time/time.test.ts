import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { toMs } from '#core/numbers';
import {
  clockOfMs,
  clockOfSeconds,
  editableClock,
  inBreaths,
  parseBreaths,
  parseDuration,
  signedClockOfMs,
  spokenMs,
} from '#core/time';

const read = (text: string): number | string => {
  const parsed = parseDuration(text);
  return parsed.ok ? parsed.seconds : parsed.reason;
};

describe('reading what people type', () => {
  test.each([
    ['5', 300],
    ['4,5', 270],
    ['4.5', 270],
    ['.5', 30],
    ['0', 0],
    ['1', 60],
    ['20', 1200],
    ['20.5', 20.5],
    ['21', 21],
    ['30', 30],
    ['90', 90],
    ['270', 270],
    ['5s', 5],
    ['5 sec', 5],
    ['0:05', 5],
    ['5:00', 300],
    ['2m', 120],
  ])('in a hold, %s is %d seconds: a small number alone counts minutes', (text, seconds) => {
    expect(parseDuration(text, 'minutes')).toEqual({ ok: true, seconds });
  });

  test.each([
    ['60', 3600],
    ['75', 4500],
    ['90', 5400],
    ['360', 21_600],
    ['3600', 3600],
    ['1:15', 75],
    ['1:15:00', 4500],
    ['45 min', 2700],
  ])('for a class, “%s” is %i seconds', (text, seconds) => {
    expect(parseDuration(text, 'classMinutes')).toEqual({ ok: true, seconds });
  });

  test.each([
    ['4:30', 270],
    ['4m30', 270],
    ['4m 30s', 270],
    ['4 min 30 sec', 270],
    ['4.5 min', 270],
    ['4,5 min', 270],
    ['270', 270],
    ['90s', 90],
    ['1:05:00', 3900],
    ['1h05', 3900],
    ['1 hour', 3600],
    ['2 minutes', 120],
    [':40', 40],
    ['75:00', 4500],
    ['0:00.5', 0.5],
    ['12.25', 12.25],
    ['3′20″', 200],
    ['  5 M  ', 300],
    ['0', 0],
  ])('%s is %d seconds', (text, seconds) => {
    expect(read(text)).toBe(seconds);
  });

  test.each([
    ['', /Type a time/],
    ['soon', /not a time/],
    ['4:75', /seconds go up to 59/],
    ['1:75:00', /minutes go up to 59/],
    ['-3:00', /below zero/],
    ['−3:00', /below zero/],
    ['4:3:2:1', /not a time/],
    ['30s 4m', /not a time/],
    ['4m 75', /up to 59/],
    ['4 fortnights', /not a time/],
    ['1e3', /not a time/],
    ['9'.repeat(60), /too long/],
  ])('%j is refused with a reason', (text, reason) => {
    expect(read(text)).toMatch(reason);
  });

  test('never throws and never gives a length that is not a storable number', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const parsed = parseDuration(text);
        if (parsed.ok) {
          expect(Number.isFinite(parsed.seconds)).toBe(true);
          expect(parsed.seconds).toBeGreaterThanOrEqual(0);
        } else expect(parsed.reason.length).toBeGreaterThan(10);
      }),
    );
  });

  test('what a field shows reads back as the same length, to the millisecond', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4 * 3600_000 }), (ms) => {
        expect(toMs(read(editableClock(ms / 1000)) as number)).toBe(ms);
      }),
    );
  });
});

describe('showing time', () => {
  test.each([
    [270, '4:30'],
    [3900, '1:05:00'],
    [0, '0:00'],
    [59.6, '1:00'],
    [7, '0:07'],
  ])('%d seconds are shown as %s', (seconds, text) => {
    expect(clockOfSeconds(seconds)).toBe(text);
  });

  test('a session is shown in minutes until a hundred of them', () => {
    expect(clockOfMs(73 * 60_000 + 56_000)).toBe('73:56');
    expect(clockOfMs(100 * 60_000)).toBe('1:40:00');
  });

  test('differences carry their sign, and none that rounds to nothing does', () => {
    expect(signedClockOfMs(12_000)).toBe('+0:12');
    expect(signedClockOfMs(-40_000)).toBe('−0:40');
    expect(signedClockOfMs(300)).toBe('0:00');
    expect(signedClockOfMs(-300)).toBe('0:00');
  });

  test('a screen reader hears units', () => {
    expect(spokenMs(270_000)).toBe('4 minutes 30 seconds');
    expect(spokenMs(3_661_000)).toBe('1 hour 1 minute 1 second');
    expect(spokenMs(0)).toBe('0 seconds');
  });
});

describe('a length told in breaths', () => {
  test.each([
    ['4', 24],
    ['4 breaths', 24],
    ['1 breath', 6],
    ['12br', 72],
    [' 3 Breaths ', 18],
    ['0', 0],
    ['', undefined],
    ['4:30', undefined],
    ['4 min', undefined],
    ['-2', undefined],
    ['2.5 breaths', undefined],
    ['99999', undefined],
  ])('%s is, with breaths of six seconds, %s seconds', (typed, seconds) => {
    expect(parseBreaths(typed, 6)).toBe(seconds);
  });

  test('only a whole number of breaths is told so, and is read again as the same length', () => {
    expect([inBreaths(24, 6), inBreaths(6, 6), inBreaths(25, 6), inBreaths(0, 6)]).toEqual([
      '4 breaths',
      '1 breath',
      undefined,
      undefined,
    ]);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), fc.integer({ min: 500, max: 60_000 }), (breaths, breathMs) => {
        const breathSeconds = breathMs / 1000;
        const seconds = (breaths * breathMs) / 1000;
        expect(parseBreaths(inBreaths(seconds, breathSeconds) ?? '', breathSeconds)).toBe(seconds);
      }),
    );
  });
});
