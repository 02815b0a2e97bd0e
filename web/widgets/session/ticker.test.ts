import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { startTicker } from './ticker';

let made: FakeWorker[];
/** Ticks as the worker does, five times a second, unless it fails to load. */
class FakeWorker extends EventTarget {
  static loads = true;
  onmessage: (() => void) | null = null;
  onerror: (() => void) | null = null;
  ended = false;
  constructor() {
    super();
    made.push(this);
    const timer = setInterval(() => {
      if (this.ended) clearInterval(timer);
      else if (FakeWorker.loads) this.onmessage?.();
    }, 200);
    if (!FakeWorker.loads) setTimeout(() => this.onerror?.(), 10);
  }
  terminate(): void {
    this.ended = true;
  }
}

beforeEach(() => {
  jest.useFakeTimers();
  made = [];
  FakeWorker.loads = true;
  Object.defineProperty(globalThis, 'Worker', { value: FakeWorker, configurable: true, writable: true });
});
afterEach(() => void jest.useRealTimers());

const ticksIn = (ms: number): number => {
  let ticks = 0;
  const stop = startTicker(() => ticks++);
  jest.advanceTimersByTime(1000);
  ticks = 0;
  jest.advanceTimersByTime(ms);
  const counted = ticks;
  stop();
  jest.advanceTimersByTime(5000);
  expect(ticks).toBe(counted);
  return counted;
};

test('five ticks a second, from the worker', () => {
  expect(ticksIn(2000)).toBe(10);
  expect(made[0]?.ended).toBe(true);
});

test('five ticks a second from the page, where the worker does not load or cannot be had', () => {
  FakeWorker.loads = false;
  expect(ticksIn(2000)).toBe(10);
  Object.defineProperty(globalThis, 'Worker', { value: undefined, configurable: true, writable: true });
  expect(ticksIn(2000)).toBe(10);
});

test('where the page is slowed down, the worker goes on ticking', () => {
  const pageTimers = jest.spyOn(globalThis, 'setInterval');
  let ticks = 0;
  pageTimers.mockImplementationOnce(() => 0 as unknown as ReturnType<typeof setInterval>);
  const stop = startTicker(() => ticks++);
  pageTimers.mockRestore();
  jest.advanceTimersByTime(2000);
  expect(ticks).toBe(10);
  stop();
});
