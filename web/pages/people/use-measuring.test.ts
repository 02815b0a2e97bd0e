import { describe, expect, jest, test, beforeEach, afterEach } from '@jest/globals';
import { effectScope, type EffectScope } from 'vue';
import { BREATHERS } from '#core/breath';
import { useMeasuring, type Measuring } from './use-measuring';

let scope: EffectScope;
let measuring: Measuring;
const pass = (ms: number): void => jest.advanceTimersByTime(ms);
const tap = (): void => {
  measuring.down();
  pass(100);
  measuring.up();
};
/** Breathes by taps: in, out, in, out … each so many milliseconds. */
function breathe(times: number, inMs: number, outMs: number): void {
  for (let i = 0; i < times; i++) {
    tap();
    pass(inMs - 100);
    tap();
    pass(outMs - 100);
  }
}

beforeEach(() => {
  jest.useFakeTimers({ now: 1_790_000_000_000 });
  scope = effectScope();
  measuring = scope.run(() => useMeasuring())!;
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

describe('breaths', () => {
  test('tapped: a breath counts when the next one begins', () => {
    breathe(5, 4000, 5000);
    expect([measuring.count.value, measuring.enough.value]).toEqual([4, false]);
    tap();
    expect([measuring.count.value, measuring.enough.value]).toEqual([5, true]);
    expect(measuring.values.value.in).toEqual([4, 4, 4, 4, 4]);
    expect(measuring.values.value.out).toEqual([5, 5, 5, 5, 5]);
  });

  test('held down through the in-breath, the out-breath begins when it comes up', () => {
    for (let i = 0; i < 6; i++) {
      measuring.down();
      pass(2500);
      measuring.up();
      pass(3500);
    }
    expect(measuring.values.value.in).toEqual([2.5, 2.5, 2.5, 2.5, 2.5]);
    expect(measuring.values.value.out[0]).toBe(3.5);
  });

  test('a key that repeats while it is down is one press; before there is enough nothing ends', () => {
    measuring.down();
    measuring.down();
    pass(100);
    measuring.up();
    expect(measuring.breathingIn.value).toBe(true);
    measuring.finish();
    expect(measuring.stage.value).toBe('breathing');
  });

  test('single values are left out and taken in again', () => {
    breathe(7, 4000, 5000);
    measuring.finish();
    measuring.toggle('in', 2);
    expect(measuring.values.value.in).toHaveLength(5);
    expect(measuring.isLeftOut('in', 2)).toBe(true);
    measuring.toggle('in', 2);
    expect(measuring.values.value.in).toHaveLength(6);
    measuring.again();
    expect([measuring.stage.value, measuring.count.value]).toEqual(['ready', 0]);
  });
});

describe('holds', () => {
  function hold(ms: number): void {
    measuring.beginHold('holdFull');
    for (let done = 0; done < ms && measuring.holding.value; done += 50) {
      pass(50);
      measuring.minded();
    }
    measuring.endHold();
  }
  beforeEach(() => {
    breathe(6, 4000, 5000);
    measuring.finish();
  });

  test('easy ones are kept; a slip of the finger is none', () => {
    hold(8000);
    hold(200);
    hold(9000);
    expect(measuring.holds.value.holdFull).toEqual([8, 9]);
    expect(measuring.strain.value).toBe('');
  });

  test('one that becomes a strain is ended at once, told, and left out', () => {
    hold(8000);
    hold(20_000);
    expect(measuring.holds.value.holdFull).toEqual([8]);
    expect(measuring.strain.value).toContain('longer than the longest before it');
    expect(measuring.stage.value).toBe('looking');
  });

  test('pressing again ends a hold', () => {
    measuring.beginHold('holdEmpty');
    pass(5000);
    tap();
    expect(measuring.holds.value.holdEmpty).toEqual([5]);
  });
});

describe('a simulated breather', () => {
  test('breathes seven times and holds three times each way', () => {
    measuring.simulate(BREATHERS[0]!);
    pass(200_000);
    expect(measuring.simulating.value).toBe(false);
    expect(measuring.values.value.in).toHaveLength(7);
    expect([measuring.holds.value.holdFull.length, measuring.holds.value.holdEmpty.length]).toEqual([3, 3]);
  });

  test('who strains ends there', () => {
    measuring.simulate(BREATHERS.find(({ strains }) => strains)!);
    pass(200_000);
    expect(measuring.strain.value).not.toBe('');
    expect(measuring.simulating.value).toBe(false);
    expect([measuring.holds.value.holdFull.length, measuring.holds.value.holdEmpty.length]).toEqual([2, 0]);
  });

  test('is stopped when the dialog goes away', () => {
    measuring.simulate(BREATHERS[0]!);
    pass(10_000);
    const before = measuring.count.value;
    scope.stop();
    pass(100_000);
    expect(measuring.count.value).toBe(before);
  });
});

test('what was simulated is known as that, until somebody begins again', () => {
  expect(measuring.simulated.value).toBe(false);
  measuring.simulate(BREATHERS[0]!);
  pass(400_000);
  expect([measuring.simulating.value, measuring.simulated.value]).toEqual([false, true]);
  measuring.again();
  expect(measuring.simulated.value).toBe(false);
});
