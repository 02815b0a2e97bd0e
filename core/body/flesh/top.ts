import { toLocal, Y_AXIS, type Vec3 } from '../vector';
import type { Ellipsoid } from './ellipsoid';

/** How high one piece reaches straight above a place of the floor, in centimetres; 0 if it is not. */
function topOfPiece({ at, frame, radii }: Ellipsoid, x: number, z: number): number {
  // The upright line through the place meets the ellipsoid where its scaled local distance is one.
  const start = toLocal(frame, [x - at[0], 0, z - at[2]]);
  const way = toLocal(frame, Y_AXIS);
  const [p0, p1, p2] = [start[0] / radii[0], start[1] / radii[1], start[2] / radii[2]];
  const [q0, q1, q2] = [way[0] / radii[0], way[1] / radii[1], way[2] / radii[2]];
  const square = q0 * q0 + q1 * q1 + q2 * q2;
  const half = p0 * q0 + p1 * q1 + p2 * q2;
  const root = half * half - square * (p0 * p0 + p1 * p1 + p2 * p2 - 1);
  return root < 0 ? 0 : at[1] + (Math.sqrt(root) - half) / square;
}

/** The top of some parts of a body over a place of the floor; 0 if there are none. */
export const topOfParts = (
  flesh: readonly Ellipsoid[],
  [x, , z]: Vec3,
  wanted: (piece: Ellipsoid) => boolean,
): number => flesh.reduce((top, piece) => (wanted(piece) ? Math.max(top, topOfPiece(piece, x, z)) : top), 0);
