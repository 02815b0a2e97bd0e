import type { Ellipsoid, Part } from '../flesh';
import { outside, type Box, type Roll, type Solid } from '../solids/solid';
import type { Vec3 } from '../vector';

/** How far soft flesh gives where it is pressed, in centimetres. */
const GIVES: Record<Part, number> = {
  torso: 1.4,
  thigh: 1,
  shank: 0.8,
  foot: 0.3,
  head: 0.5,
  hair: 1,
  ear: 1,
  neck: 0.5,
  upperArm: 0.6,
  forearm: 0.4,
  hand: 0.3,
};

/** On the floor nothing gives more than this: a body lies on it and not in it. */
export const ON_FLOOR_CM = 0.9;

/** Half the breadth of an ellipsoid along a direction. */
function extent(piece: Ellipsoid, way: Vec3): number {
  const { frame: f, radii: r } = piece;
  const x = (f[0] * way[0] + f[3] * way[1] + f[6] * way[2]) * r[0];
  const y = (f[1] * way[0] + f[4] * way[1] + f[7] * way[2]) * r[1];
  const z = (f[2] * way[0] + f[5] * way[1] + f[8] * way[2]) * r[2];
  return Math.sqrt(x * x + y * y + z * z);
}

const lowest = (piece: Ellipsoid): number => {
  const { frame: f, radii: r } = piece;
  const x = f[3] * r[0];
  const y = f[4] * r[1];
  const z = f[5] * r[2];
  return piece.at[1] - Math.sqrt(x * x + y * y + z * z);
};

/** The lowest point of some pieces of a body, in centimetres above the floor. */
export const lowestPoint = (flesh: readonly Ellipsoid[]): number =>
  flesh.reduce((least, piece) => Math.min(least, lowest(piece)), Infinity);

const fromSolid = (piece: Ellipsoid, solid: Box | Roll): number => {
  const { cm, way } = outside(solid, piece.at);
  return cm - extent(piece, way) + solid.giveCm;
};

/**
 * How far a body is from what it could rest on: the least distance of any piece from the floor, a prop or the wall, in
 * centimetres; negative where it presses deeper than flesh and prop give. Infinity for no pieces.
 */
export function clearance(flesh: readonly Ellipsoid[], solids: readonly Solid[]): number {
  let least = Infinity;
  for (const piece of flesh) {
    const give = GIVES[piece.part];
    const floor = lowest(piece) + Math.min(give, ON_FLOOR_CM);
    if (floor < least) least = floor;
    const reach = Math.max(piece.radii[0], piece.radii[1], piece.radii[2]);
    for (const solid of solids) {
      if (solid.shape === 'band' || solid.loose) continue;
      if (solid.shape === 'wall') {
        const gap =
          solid.x < 0
            ? piece.at[0] - solid.x - extent(piece, [1, 0, 0]) + 0.3
            : solid.x - piece.at[0] - extent(piece, [1, 0, 0]) + 0.3;
        if (gap < least) least = gap;
        continue;
      }
      const far =
        solid.shape === 'box'
          ? Math.max(solid.half[0], solid.half[1], solid.half[2]) * 1.75
          : Math.hypot(solid.radius, solid.lengthCm / 2);
      const dx = piece.at[0] - solid.at[0];
      const dy = piece.at[1] - solid.at[1];
      const dz = piece.at[2] - solid.at[2];
      if (Math.sqrt(dx * dx + dy * dy + dz * dz) - far - reach > least) continue;
      const gap = fromSolid(piece, solid) + give;
      if (gap < least) least = gap;
    }
  }
  return least;
}
