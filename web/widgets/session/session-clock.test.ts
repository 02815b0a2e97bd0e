import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { RunEvent } from '#core/run';
import { excludedGap } from './clock-offset';
import { rehearsalClock, steadyClock } from './session-clock';

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

const HOUR = 3_600_000;

test('the real one is that of the machine, at its one speed', () => {
  const clock = steadyClock();
  clock.setSpeed(60);
  expect([clock.now(), clock.speed.value, clock.rehearsal]).toEqual([Date.now(), 1, false]);
  jest.advanceTimersByTime(90 * 60_000);
  expect(clock.setBy()).toBe(0);
  expect(clock.now()).toBe(Date.now());
});

test('a clock that is set back or far ahead is left out; the session goes on as it was', () => {
  for (const byMs of [-HOUR, HOUR, -5000]) {
    const clock = steadyClock();
    const before = clock.now();
    jest.setSystemTime(Date.now() + byMs);
    // Before the tick has seen it too: between ticks nothing is asked of the clock that was set.
    expect(clock.now()).toBe(before);
    expect(clock.setBy()).toBe(byMs);
    jest.advanceTimersByTime(1000);
    expect(clock.now()).toBe(before + 1000);
    expect(clock.wall(clock.now())).toBe(Date.now());
    expect(clock.setBy()).toBe(0);
    clock.leaveOut(0);
    expect(clock.now()).toBe(Date.now());
  }
});

test('a machine that slept for some minutes has let time go by; small steps are put right in silence', () => {
  const clock = steadyClock();
  for (const byMs of [4 * 60_000, 900, -900]) {
    jest.setSystemTime(Date.now() + byMs);
    expect(clock.setBy()).toBe(0);
    expect(clock.now()).toBe(Date.now());
  }
});

test('what was left out before counts from the beginning, and no session goes back behind what has happened', () => {
  const now = Date.now();
  const at = (atMs: number, body: object): RunEvent => ({ id: 'event-at-clock', atMs, ...body }) as RunEvent;
  const events = [at(now - 2 * HOUR, { kind: 'started' }), at(now - HOUR - 60_000, { kind: 'clockSet', byMs: HOUR })];
  expect(excludedGap(events, 'tablet tab', now)).toEqual({ leftOutMs: HOUR, setByMs: 0 });
  expect(steadyClock(HOUR).now()).toBe(now - HOUR);
  const ahead = [at(now + 30_000, { kind: 'started' })];
  expect(excludedGap(ahead, 'tablet tab', now)).toEqual({ leftOutMs: -30_000, setByMs: -30_000 });
  expect(excludedGap([], 'tablet tab', now)).toEqual({ leftOutMs: 0, setByMs: 0 });
});

test('a clock that another device set is its own; a device whose clock differs goes by the clock of the session', () => {
  const events = [
    { id: 'event-other', atMs: Date.now() - HOUR, kind: 'clockSet', byMs: HOUR, window: 'laptop one' },
    { id: 'event-ours', atMs: Date.now() - HOUR, kind: 'clockSet', byMs: 5000, window: 'tablet before' },
  ] as RunEvent[];
  expect(excludedGap(events, 'tablet now', Date.now())).toEqual({ leftOutMs: 5000, setByMs: 0 });
  const clock = steadyClock();
  const sessionMs = Date.now() - 5 * 60_000;
  clock.sync(sessionMs);
  expect([clock.now(), clock.leftOutMs()]).toEqual([sessionMs, 5 * 60_000]);
  // The line takes a moment: what is off by less than two seconds stays.
  clock.sync(sessionMs - 1900);
  expect(clock.now()).toBe(sessionMs);
});
