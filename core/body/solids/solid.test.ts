import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { aboutX, aboutY, aboutZ, along, distance, IDENTITY, turned, type Vec3 } from '../vector';
import { pieceOf, lieFrame, sizeOf, chairOf } from './shapes';
import { footprintOf, outside, supportAt, topOf, type Box, type Roll } from './solid';

const angle = fc.integer({ min: -80, max: 80 });
const frame = fc.tuple(angle, angle, angle).map(([x, y, z]) => turned(IDENTITY, aboutX(x), aboutY(y), aboutZ(z)));
const half = fc.integer({ min: 3, max: 30 });
const box: fc.Arbitrary<Box> = fc.record({
  shape: fc.constant('box' as const),
  prop: fc.constant('block' as const),
  giveCm: fc.constant(0),
  loose: fc.constant(false),
  at: fc.constant([4, 9, -3] as Vec3),
  half: fc.tuple(half, half, half),
  frame,
  roundCm: fc.constant(0),
  layers: fc.constant(0),
});
const roll: fc.Arbitrary<Roll> = fc.record({
  shape: fc.constant('roll' as const),
  prop: fc.constant('roundBolster' as const),
  giveCm: fc.constant(0),
  loose: fc.constant(false),
  at: fc.constant([4, 9, -3] as Vec3),
  radius: half,
  lengthCm: half,
  frame,
});
const point = fc.tuple(
  fc.integer({ min: -60, max: 60 }),
  fc.integer({ min: -60, max: 60 }),
  fc.integer({ min: -60, max: 60 }),
) as fc.Arbitrary<[number, number, number]>;

describe('the distance from a prop', () => {
  test('is how far its own way out leads to its surface', () => {
    fc.assert(
      fc.property(fc.oneof(box, roll), point, (solid, at) => {
        const { cm, way } = outside(solid, at);
        expect(Math.hypot(...way)).toBeCloseTo(1, 6);
        // Going so far back along the way ends on the surface.
        expect(Math.abs(outside(solid, along(at, way, -cm)).cm)).toBeLessThan(1e-6);
      }),
    );
  });

  test('is never more than the distance to any point of it (tried on a grid)', () => {
    fc.assert(
      fc.property(box, point, (solid, at) => {
        const { cm } = outside(solid, at);
        fc.pre(cm > 0);
        let least = Infinity;
        const steps = [-1, -0.5, 0, 0.5, 1];
        for (const x of steps) {
          for (const y of steps) {
            for (const z of steps) {
              const local: Vec3 = [x * solid.half[0], y * solid.half[1], z * solid.half[2]];
              const f = solid.frame;
              const world: Vec3 = [
                solid.at[0] + f[0] * local[0] + f[1] * local[1] + f[2] * local[2],
                solid.at[1] + f[3] * local[0] + f[4] * local[1] + f[5] * local[2],
                solid.at[2] + f[6] * local[0] + f[7] * local[1] + f[8] * local[2],
              ];
              least = Math.min(least, distance(at, world));
            }
          }
        }
        expect(cm).toBeLessThanOrEqual(least + 1e-6);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a prop lying on the floor', () => {
  test('has the size of its fold, less what the body presses out', () => {
    const block = pieceOf({ kind: 'block', state: 'edge' }, [0, 7.5, 0], lieFrame('lengthwise'));
    expect(topOf(block)).toBeCloseTo(15, 6);
    const { x, z } = footprintOf(block);
    expect(x[1] - x[0]).toBeCloseTo(23, 6);
    expect(z[1] - z[0]).toBeCloseTo(7.5, 6);
    expect(sizeOf({ kind: 'pillow', state: 'whole' }).high).toBeCloseTo(14 - 0.6 * 7, 6);
  });

  test('crosswise its long side lies across the mat', () => {
    const bolster = pieceOf({ kind: 'flatBolster', state: 'whole' }, [0, 7.5, 0], lieFrame('crosswise'));
    const { x, z } = footprintOf(bolster);
    expect(x[1] - x[0]).toBeCloseTo(30, 6);
    expect(z[1] - z[0]).toBeCloseTo(66, 6);
    const roller = pieceOf({ kind: 'roundBolster', state: 'whole' }, [0, 11, 0], lieFrame('crosswise'));
    expect(footprintOf(roller).z[1]).toBeCloseTo(32.5, 6);
  });

  test('carries what is put on it; the floor carries the rest', () => {
    const block = pieceOf({ kind: 'block', state: 'flat' }, [0, 3.75, 0], lieFrame('lengthwise'));
    expect(supportAt([block], 5, 2)).toBeCloseTo(7.5, 6);
    expect(supportAt([block], 40, 0)).toBe(0);
  });

  test('a chair has its seat at 45 cm', () => {
    const seat = chairOf([0, 0, 0], 0).filter((solid) => solid.shape === 'box');
    expect(supportAt(seat, 0, 0)).toBeCloseTo(45, 6);
  });
});
