import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advanceToContact } from './advance';

test('finds the same first touch as trying every value', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 90 }),
      fc.integer({ min: -40, max: 40 }),
      fc.double({ min: 0.2, max: 3, noNaN: true }),
      (drop, floor, slope) => {
        const room = (value: number) => slope * (value - floor) + Math.max(0, Math.sin(value / 9)) * 0.1;
        const from = floor + drop;
        const { value, how } = advanceToContact(room, from, floor - 50, slope + 0.05);
        let brute = from;
        while (room(brute) >= 0) brute -= 0.002;
        expect(how).toBe('touched');
        expect(Math.abs(value - brute)).toBeLessThan(0.05);
        expect(room(value)).toBeGreaterThanOrEqual(0);
      },
    ),
  );
});

test('says when nothing is in the way, and goes to the end', () => {
  expect(advanceToContact(() => 5, 40, -10, 1)).toEqual({ value: -10, how: 'free' });
});

test('a start without room goes back to the nearest value that has some', () => {
  const { value, how } = advanceToContact((at) => at - 12, 5, -40, 1);
  expect(how).toBe('touched');
  expect(value).toBeCloseTo(12, 1);
});

test('a start without any room near it stays, and says so', () => {
  expect(advanceToContact(() => -1, 5, 0, 1)).toEqual({ value: 5, how: 'stuck' });
});
