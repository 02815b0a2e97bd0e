import { describe, expect, test } from '@jest/globals';
import { toMs, toSeconds, type Ms, type Seconds } from './units';

describe('units of time', () => {
  test.each([
    [0, 0],
    [1, 1000],
    [0.0004, 0],
    [0.0005, 1],
    [3.999, 3999],
    [14_400, 14_400_000],
  ])('%d s are %d ms', (seconds, ms) => {
    expect(toMs(seconds)).toBe(ms);
  });

  test('whole milliseconds come back as they were', () => {
    for (const ms of [0, 1, 999, 1001, 86_399_999]) expect(toMs(toSeconds(ms))).toBe(ms);
  });

  test('one unit in the place of the other does not compile', () => {
    const held: Seconds = 90;
    const began: Ms = 90_000;
    // @ts-expect-error Milliseconds are no seconds. The type check fails on this line should they ever be.
    toMs(began);
    // @ts-expect-error Seconds are no milliseconds.
    toSeconds(held);
    expect([toMs(held), toSeconds(began)]).toEqual([began, held]);
  });
});
