import { readTable } from '../curve-table';
import type { Skeleton } from '../skeleton';
import { spineAt } from '../spine';
import { add, along, between, forwardOf, rightOf, toWorld, upOf } from '../vector';
import type { Add } from './ellipsoid';

/** Up the trunk: body cm from the hips, then front, back and half-breadth. Ordinary adult breadths, tuned by eye. */
const TORSO = [
  [-5, 6.5, 6.5, 11],
  [0, 8.8, 9.5, 15.6],
  [5, 9.3, 10.3, 16.2],
  [10, 9.2, 9.4, 15],
  [15, 8.8, 8.3, 13.4],
  [20, 8.8, 8.1, 12.6],
  [26, 9.6, 8.9, 12.9],
  [32, 11, 9.9, 13.6],
  [37, 11.2, 10.4, 14],
  [42, 9.4, 10.3, 14.2],
  [46, 7.4, 9.3, 13],
  [50, 5.6, 7.6, 9.6],
  [53.6, 4.6, 6, 6.4],
];

/** Up the neck: share of its length, then front, back and half-breadth. */
const NECK = [
  [0, 4.9, 5.6, 5.8],
  [0.35, 4.9, 5.2, 5.3],
  [0.7, 5, 5.2, 5.2],
  [1, 5.2, 5.4, 5.3],
];

const SLICE_CM = 1.3;
const SLICES = Array.from({ length: Math.floor((53.6 + 5) / SLICE_CM) + 1 }, (_, i) => {
  const s = -5 + i * SLICE_CM;
  const [front = 0, back = 0, half = 0] = readTable(TORSO, s);
  return { s, shift: (front - back) / 2, depth: (front + back) / 2, half };
});
const NECK_SLICES = Array.from({ length: 9 }, (_, i) => {
  const [front = 0, back = 0, half = 0] = readTable(NECK, i / 8);
  return { s: i / 8, shift: (front - back) / 2, depth: (front + back) / 2, half };
});
const SLOPE_STEPS = 10;

/** Trunk: slices along the spine, and the buttocks. */
export function addTorso(body: Skeleton, put: Add): void {
  const { k, spine } = body;
  for (const { s, shift, depth, half } of SLICES) {
    const place = spineAt(spine, s * k);
    put({
      part: 'torso',
      side: 0,
      at: along(place.at, forwardOf(place.frame), shift * k),
      frame: place.frame,
      radii: [depth * k, Math.min(4.8, depth * 0.62) * k, half * k],
      s,
    });
  }
  for (const side of [-1, 1] as const) {
    put({
      part: 'torso',
      side,
      at: add(spine.root, toWorld(spine.rootFrame, [-3 * k, -0.6 * k, side * 7.4 * k])),
      frame: spine.rootFrame,
      radii: [8.7 * k, 9 * k, 8.4 * k],
      s: -2,
    });
  }
}

/** The slope from the neck to the shoulders. */
export function addSlope(body: Skeleton, put: Add): void {
  const { k, spine, segments } = body;
  const top = spineAt(spine, spine.lengthCm);
  const girdle = spineAt(spine, segments.shoulderAlong);
  for (const side of [-1, 1] as const) {
    const inner = along(
      along(along(top.at, upOf(top.frame), 2.6 * k), forwardOf(top.frame), -k),
      rightOf(top.frame),
      side * 2.5 * k,
    );
    const outer = add(girdle.at, toWorld(girdle.frame, [-0.6 * k, 0.2 * k, side * (segments.shoulderOut - 0.8 * k)]));
    for (let i = 0; i <= SLOPE_STEPS; i++) {
      const t = i / SLOPE_STEPS;
      const radius = (3.4 + 0.9 * t) * k;
      put({
        part: 'torso',
        side,
        at: along(between(inner, outer, t), upOf(girdle.frame), -0.6 * k * Math.sin(Math.PI * t)),
        frame: girdle.frame,
        radii: [radius * 1.15, radius, radius],
        s: 49,
        slope: true,
      });
    }
  }
}

export function addNeck(body: Skeleton, put: Add): void {
  const { k, spine } = body;
  for (const [i, { s, shift, depth, half }] of NECK_SLICES.entries()) {
    const place = spine.neck[i]!;
    put({
      part: 'neck',
      side: 0,
      at: along(place.at, forwardOf(place.frame), shift * k),
      frame: place.frame,
      radii: [depth * k, 3 * k, half * k],
      s,
    });
  }
}
