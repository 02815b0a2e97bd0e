import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Ellipsoid } from '../flesh';
import { aboutX, aboutY, aboutZ, IDENTITY, multiply, toLocal, turned, type Vec3 } from '../vector';
import { cameraOf } from './camera';
import { closedPath } from './curves';
import { depthMap } from './depth';
import { fitCubics, tangent, type Cubic, type Point2 } from './fit';
import { outlineOf, type Grid } from './outline';
import { hullOf } from './prop-shapes';

const onCubic = ([p, q, r, s]: Cubic, u: number): Point2 => {
  const v = 1 - u;
  const at = (axis: 0 | 1) => p[axis] * v ** 3 + 3 * q[axis] * u * v * v + 3 * r[axis] * u * u * v + s[axis] * u ** 3;
  return [at(0), at(1)];
};

describe('fitted curves', () => {
  test('pass no further from any point than they may, and join', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -40, max: 40 })), {
          minLength: 3,
          maxLength: 40,
        }),
        fc.integer({ min: 1, max: 6 }),
        (steps, error) => {
          let at: Point2 = [0, 0];
          const points = steps.map(([x, y], i) => (at = [at[0] + x + (i % 2 ? 1 : 2), at[1] + y])) as Point2[];
          const start = tangent(points[0]!, points[1]!);
          const end = tangent(points.at(-1)!, points.at(-2)!);
          const curves = fitCubics(points, start, end, error);
          for (const [i, curve] of curves.slice(1).entries()) expect(curve[0]).toEqual(curves[i]![3]);
          const line = curves.flatMap((curve) => Array.from({ length: 200 }, (_, i) => onCubic(curve, i / 199)));
          for (const [x, y] of points) {
            const least = Math.min(...line.map(([a, b]) => Math.hypot(a - x, b - y)));
            expect(least).toBeLessThan(error + 1);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

/** A number's neighbours in a path, as absolute points of its curves. */
function endsOf(path: string): Point2[] {
  const [start = '', ...curves] = path.replace(/[Mz]/g, '').split('c');
  const numbers = (text: string) => (text.match(/-?\d+/g) ?? []).map(Number);
  let [x = 0, y = 0] = numbers(start);
  return curves.map((curve) => {
    const values = numbers(curve);
    x += values[4]!;
    y += values[5]!;
    return [x, y];
  });
}

describe('an outline', () => {
  const grid: Grid = { columns: 60, rows: 60, left: -12, bottom: -12, cellCm: 0.4 };
  const disc = (radius: number) => {
    const covered = new Uint8Array(3600);
    for (let j = 0; j < 60; j++) {
      for (let i = 0; i < 60; i++) {
        const far = Math.hypot(grid.left + (i + 0.5) * 0.4, grid.bottom + (j + 0.5) * 0.4);
        if (far < radius) covered[j * 60 + i] = 4;
      }
    }
    return covered;
  };

  test('of a disc runs along its rim', () => {
    for (const radius of [4, 6, 9]) {
      const path = outlineOf(disc(radius), grid, 1.1);
      expect(path.match(/M/g)).toHaveLength(1);
      for (const [x, y] of endsOf(path)) expect(Math.abs(Math.hypot(x, y) / 10 - radius)).toBeLessThan(0.4);
    }
  });

  test('of a ring has two lines, of nothing none', () => {
    const ring = disc(9).map((cover, i) => (disc(5)[i] ? 0 : cover));
    expect(outlineOf(ring, grid, 1.1).match(/M/g)).toHaveLength(2);
    expect(outlineOf(new Uint8Array(3600), grid, 1.1)).toBe('');
  });

  test('a line of too few points is no shape', () => {
    expect(
      closedPath(
        [
          [0, 0],
          [1, 1],
        ],
        1,
      ),
    ).toBe('');
  });
});

describe('the depth map', () => {
  const angle = fc.integer({ min: -90, max: 90 });
  const piece = fc
    .record({
      at: fc.tuple(fc.integer({ min: -6, max: 6 }), fc.integer({ min: -6, max: 6 }), fc.integer({ min: -9, max: 9 })),
      turns: fc.tuple(angle, angle, angle),
      radii: fc.tuple(fc.integer({ min: 2, max: 8 }), fc.integer({ min: 2, max: 8 }), fc.integer({ min: 2, max: 8 })),
    })
    .map(({ at, turns, radii }): Ellipsoid => {
      const frame = turned(IDENTITY, aboutX(turns[0]), aboutY(turns[1]), aboutZ(turns[2]));
      return { part: 'torso', side: 0, at, frame, radii, s: 0 };
    });

  test('agrees with a ray through every cell', () => {
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 4 }), angle, (flesh, azimuth) => {
        const camera = cameraOf({ azimuth, elevation: 24 });
        const map = depthMap(flesh, camera, 1.5, 1);
        for (let j = 0; j < map.rows; j++) {
          for (let i = 0; i < map.columns; i++) {
            const x = map.left + (i + 0.5) * map.cellCm;
            const y = map.bottom + (j + 0.5) * map.cellCm;
            let nearest = -1e9;
            for (const { at, frame, radii } of flesh) {
              const local = multiply(camera, frame);
              const c: Vec3 = [
                camera[0] * at[0] + camera[1] * at[1] + camera[2] * at[2],
                camera[3] * at[0] + camera[4] * at[1] + camera[5] * at[2],
                camera[6] * at[0] + camera[7] * at[1] + camera[8] * at[2],
              ];
              const p = toLocal(local, [x - c[0], y - c[1], 0]).map((v, n) => v / radii[n]!);
              const q = toLocal(local, [0, 0, 1]).map((v, n) => v / radii[n]!);
              const a = q.reduce((sum, v) => sum + v * v, 0);
              const b = q.reduce((sum, v, n) => sum + v * p[n]!, 0);
              const rest = p.reduce((sum, v) => sum + v * v, 0) - 1;
              if (b * b - a * rest > 1e-9) nearest = Math.max(nearest, c[2] + (Math.sqrt(b * b - a * rest) - b) / a);
            }
            const found = map.near[j * map.columns + i]!;
            // A ray that grazes a rim may count either way.
            if (nearest > -1e8 && found > -1e8) expect(found).toBeCloseTo(nearest, 2);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
});

test('a hull holds every point and keeps none inside', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 })), {
        minLength: 4,
        maxLength: 20,
        selector: ([x, y]) => `${x} ${y}`,
      }),
      (points) => {
        const hull = hullOf(points as Point2[]);
        fc.pre(hull.length > 2);
        for (const [x, y] of points) {
          for (const [i, a] of hull.entries()) {
            const b = hull[(i + 1) % hull.length]!;
            expect((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])).toBeGreaterThanOrEqual(-1e-9);
          }
        }
      },
    ),
  );
});
