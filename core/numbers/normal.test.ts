import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from './seeded';
import { normalQuantile, normals } from './normal';

describe('a normal spread', () => {
  // Values of the standard normal distribution, as in any table of it.
  test.each([
    [0.5, 0],
    [0.8413447461, 1],
    [0.9, 1.2815515655],
    [0.975, 1.9599639845],
    [0.99, 2.326347874],
    [0.001349898, -3],
  ])('a share of %d lies below %d', (share, value) => {
    expect(normalQuantile(share)).toBeCloseTo(value, 7);
  });

  test('it is the same on both sides, and only rises', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 0.5, noNaN: true }),
        fc.double({ min: 1e-6, max: 0.5, noNaN: true }),
        (a, b) => {
          expect(normalQuantile(a)).toBeCloseTo(-normalQuantile(1 - a), 6);
          if (b - a > 1e-6) expect(normalQuantile(b)).toBeGreaterThan(normalQuantile(a));
        },
      ),
    );
  });

  test('what is drawn has its mean, its spread and its shares', () => {
    const draw = normals(seeded(12));
    const drawn = Array.from({ length: 100_000 }, draw);
    const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length;
    const variance = drawn.reduce((sum, one) => sum + (one - mean) ** 2, 0) / drawn.length;
    expect(Math.abs(mean)).toBeLessThan(0.015);
    expect(Math.abs(variance - 1)).toBeLessThan(0.02);
    const within = drawn.filter((one) => Math.abs(one) < 1).length / drawn.length;
    expect(Math.abs(within - 0.6827)).toBeLessThan(0.006);
  });
});
