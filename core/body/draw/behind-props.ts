import { cornersOf, rimsOf, type Box, type Roll, type Solid } from '../solids/solid';
import { toLocal, toWorld, type Mat3, type Vec3 } from '../vector';

const NOTHING = -1e9;

/** How near to the viewer a solid is at a place of the picture (right, up), or far away where it is not. */
type NearOf = (x: number, y: number) => number;

/** A prop that may stand before the body: the rectangle of the picture it lies in, and how near it is there. */
export interface Hiding {
  left: number;
  right: number;
  bottom: number;
  top: number;
  near: NearOf;
}

const lines = (solid: Box | Roll, camera: Mat3): { a: Vec3; b: Vec3; c: Vec3; d: Vec3 } => ({
  a: toLocal(solid.frame, [camera[0], camera[1], camera[2]]),
  b: toLocal(solid.frame, [camera[3], camera[4], camera[5]]),
  c: toLocal(solid.frame, [camera[6], camera[7], camera[8]]),
  d: toLocal(solid.frame, solid.at),
});

function boxNear(box: Box, camera: Mat3): NearOf {
  const { a, b, c, d } = lines(box, camera);
  return (x, y) => {
    let from = NOTHING;
    let to = -NOTHING;
    for (let axis = 0; axis < 3; axis++) {
      const start = a[axis]! * x + b[axis]! * y - d[axis]!;
      const slope = c[axis]!;
      const half = box.half[axis]!;
      if (slope < 1e-9 && slope > -1e-9) {
        if (start > half || start < -half) return NOTHING;
        continue;
      }
      const one = (-half - start) / slope;
      const two = (half - start) / slope;
      from = Math.max(from, Math.min(one, two));
      to = Math.min(to, Math.max(one, two));
    }
    return to > from ? to : NOTHING;
  };
}

function rollNear(roll: Roll, camera: Mat3): NearOf {
  const { a, b, c, d } = lines(roll, camera);
  const square = c[0] ** 2 + c[1] ** 2;
  return (x, y) => {
    const p0 = a[0] * x + b[0] * y - d[0];
    const p1 = a[1] * x + b[1] * y - d[1];
    const p2 = a[2] * x + b[2] * y - d[2];
    let from = NOTHING;
    let to = -NOTHING;
    if (Math.abs(c[2]) < 1e-9) {
      if (Math.abs(p2) > roll.lengthCm / 2) return NOTHING;
    } else {
      const one = (-roll.lengthCm / 2 - p2) / c[2];
      const two = (roll.lengthCm / 2 - p2) / c[2];
      from = Math.min(one, two);
      to = Math.max(one, two);
    }
    const rest = p0 * p0 + p1 * p1 - roll.radius ** 2;
    if (square < 1e-9) return rest > 0 ? NOTHING : to;
    const half = p0 * c[0] + p1 * c[1];
    const root = half * half - square * rest;
    if (root < 0) return NOTHING;
    from = Math.max(from, (-half - Math.sqrt(root)) / square);
    to = Math.min(to, (-half + Math.sqrt(root)) / square);
    return to > from ? to : NOTHING;
  };
}

/** The props that can stand before a body, as the camera sees them. */
export function hidingProps(solids: readonly Solid[], camera: Mat3): Hiding[] {
  return solids.flatMap((solid) => {
    if (solid.shape !== 'box' && solid.shape !== 'roll') return [];
    const points = (solid.shape === 'box' ? cornersOf(solid) : rimsOf(solid, 12)).map((at) => toWorld(camera, at));
    const xs = points.map(([x]) => x);
    const ys = points.map(([, y]) => y);
    return [
      {
        left: Math.min(...xs) - 0.5,
        right: Math.max(...xs) + 0.5,
        bottom: Math.min(...ys) - 0.5,
        top: Math.max(...ys) + 0.5,
        near: solid.shape === 'box' ? boxNear(solid, camera) : rollNear(solid, camera),
      },
    ];
  });
}
