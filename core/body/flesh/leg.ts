import { readEvenly } from '../curve-table';
import type { Limb } from '../limbs';
import type { Skeleton } from '../skeleton';
import { add, along, forwardOf, toWorld, upOf, type Vec3 } from '../vector';
import type { Add } from './ellipsoid';

/** Down the thigh: share, half-depth, half-breadth, how far forward of the bone. */
const THIGH = readEvenly(
  [
    [0, 8.8, 8.4, 0],
    [0.15, 8.9, 8.2, 0.2],
    [0.4, 8, 7.4, 0.5],
    [0.7, 6.5, 6.2, 0.4],
    [0.9, 5.6, 5.5, 0.1],
    [1, 5.3, 5.3, 0],
  ],
  22,
);
/** Down the shank; the calf's offset to the back makes it a leg. */
const SHANK = readEvenly(
  [
    [0, 5.3, 5.2, 0],
    [0.1, 5.2, 5.1, -0.2],
    [0.28, 5.6, 5.4, -1.1],
    [0.5, 4.9, 4.7, -0.9],
    [0.75, 3.6, 3.5, -0.3],
    [0.92, 3.1, 3.1, 0],
    [1, 3.3, 3.2, 0],
  ],
  28,
);
/** Along the foot: from the ankle towards the toes, half-height, how high, half-breadth. */
const FOOT = readEvenly(
  [
    [-4.2, 2.6, -3.7, 2.7],
    [-2.4, 3.3, -2.9, 3.1],
    [0, 3.8, -2, 3.2],
    [4, 3.5, -2.6, 3.4],
    [8, 2.8, -3.5, 3.9],
    [12, 2.1, -4.2, 4.5],
    [15.5, 1.6, -4.8, 4.6],
    [18.2, 1.25, -5.1, 4],
    [19.6, 1, -5.3, 2.8],
  ],
  24,
);

/** From the ankle to the middle of the sole, in the foot's own frame. */
export const MID_SOLE: Vec3 = [6, -6.2, 0];

export function addThigh(body: Skeleton, leg: Limb, side: -1 | 1, put: Add): void {
  const { k, segments } = body;
  for (const { at, values } of THIGH) {
    const [depth = 0, half = 0, ahead = 0] = values;
    put({
      part: 'thigh',
      side,
      at: along(along(leg.root, upOf(leg.upper), -segments.thigh * at), forwardOf(leg.upper), ahead * k),
      frame: leg.upper,
      radii: [depth * k, Math.min(depth, half) * 0.9 * k, half * k],
      s: at,
    });
  }
}

export function addShank(body: Skeleton, leg: Limb, side: -1 | 1, put: Add): void {
  const { k, segments } = body;
  for (const { at, values } of SHANK) {
    const [depth = 0, half = 0, ahead = 0] = values;
    put({
      part: 'shank',
      side,
      at: along(along(leg.middle, upOf(leg.lower), -segments.shank * at), forwardOf(leg.lower), ahead * k),
      frame: leg.lower,
      radii: [depth * k, Math.min(depth, half) * 0.9 * k, half * k],
      s: at,
    });
  }
}

export function addFoot(body: Skeleton, leg: Limb, side: -1 | 1, put: Add): void {
  const { k } = body;
  for (const { at, values } of FOOT) {
    const [high = 0, up = 0, half = 0] = values;
    const inward = at > 4 ? -side * (at - 4) * 0.06 : 0;
    put({
      part: 'foot',
      side,
      at: add(leg.end, toWorld(leg.last, [at * k, up * k, inward * k])),
      frame: leg.last,
      radii: [1.9 * k, high * k, half * k],
      s: at,
    });
  }
  put({ part: 'foot', side, at: leg.end, frame: leg.last, radii: [3.4 * k, 3.2 * k, 3.1 * k], s: 0 });
}
