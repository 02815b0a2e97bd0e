import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { realClock, rehearsalClock } from './session-clock';

beforeEach(() => void jest.useFakeTimers({ now: 1_800_000_000_000 }));
afterEach(() => void jest.useRealTimers());

test('a rehearsal goes faster, and at another speed goes on from where it is', () => {
  const clock = rehearsalClock(10);
  const start = clock.now();
  jest.advanceTimersByTime(3000);
  expect(clock.now() - start).toBe(30_000);
  clock.setSpeed(60);
  expect(clock.now() - start).toBe(30_000);
  jest.advanceTimersByTime(1000);
  expect(clock.now() - start).toBe(90_000);
  expect([clock.rehearsal, clock.speed.value]).toEqual([true, 60]);
});

test('the real one is that of the machine, at its one speed', () => {
  realClock.setSpeed(60);
  expect([realClock.now(), realClock.speed.value, realClock.rehearsal]).toEqual([Date.now(), 1, false]);
});
