import type { PropKind } from '#core/props';
import { add, clamp, length, rightOf, subtract, toLocal, toWorld, type Mat3, type Vec3 } from '../vector';

interface Common {
  prop: PropKind;
  /** How far it gives under the body, in centimetres. */
  giveCm: number;
  /** Carries nothing and hinders nothing: an eye pillow, a blanket spread over the body. */
  loose: boolean;
}

/** A box with rounded edges. */
export interface Box extends Common {
  shape: 'box';
  at: Vec3;
  half: Vec3;
  frame: Mat3;
  roundCm: number;
  /** Layers to draw on its sides: a folded blanket has some, a bolster's seam makes two. */
  layers: number;
}

/** A roll; its axis is the frame's right. */
export interface Roll extends Common {
  shape: 'roll';
  at: Vec3;
  radius: number;
  lengthCm: number;
  frame: Mat3;
}

/** The wall: everything beyond `x`. */
interface Wall extends Common {
  shape: 'wall';
  x: number;
}

/** A strap from place to place, drawn only. */
export interface Band extends Common {
  shape: 'band';
  points: readonly Vec3[];
}

export type Solid = Box | Roll | Wall | Band;

/** How far a point is outside a solid (negative: inside), in centimetres, and the direction out of it. */
export interface Outside {
  cm: number;
  way: Vec3;
}

function outsideBox(box: Box, point: Vec3): Outside {
  const q = toLocal(box.frame, subtract(point, box.at));
  const { half } = box;
  const round = Math.min(box.roundCm, half[0] * 0.9, half[1] * 0.9, half[2] * 0.9);
  const past: Vec3 = [
    Math.abs(q[0]) - half[0] + round,
    Math.abs(q[1]) - half[1] + round,
    Math.abs(q[2]) - half[2] + round,
  ];
  const sign = (v: number) => (v < 0 ? -1 : 1);
  if (past[0] < 0 && past[1] < 0 && past[2] < 0) {
    const axis = past[0] > past[1] && past[0] > past[2] ? 0 : past[1] > past[2] ? 1 : 2;
    const way: Vec3 = axis === 0 ? [sign(q[0]), 0, 0] : axis === 1 ? [0, sign(q[1]), 0] : [0, 0, sign(q[2])];
    return { cm: past[axis] - round, way: toWorld(box.frame, way) };
  }
  const over: Vec3 = [Math.max(past[0], 0), Math.max(past[1], 0), Math.max(past[2], 0)];
  const far = length(over);
  if (far === 0) return { cm: -round, way: toWorld(box.frame, [sign(q[0]), 0, 0]) };
  const way: Vec3 = [(over[0] * sign(q[0])) / far, (over[1] * sign(q[1])) / far, (over[2] * sign(q[2])) / far];
  return { cm: far - round, way: toWorld(box.frame, way) };
}

function outsideRoll(roll: Roll, point: Vec3): Outside {
  const q = toLocal(roll.frame, subtract(point, roll.at));
  const fromAxis = Math.hypot(q[0], q[1]);
  const radial = fromAxis - roll.radius;
  const endwise = Math.abs(q[2]) - roll.lengthCm / 2;
  const round: Vec3 = fromAxis > 1e-6 ? [q[0] / fromAxis, q[1] / fromAxis, 0] : [0, 1, 0];
  const end = q[2] < 0 ? -1 : 1;
  if (radial < 0 && endwise < 0) {
    return radial > endwise
      ? { cm: radial, way: toWorld(roll.frame, round) }
      : { cm: endwise, way: toWorld(roll.frame, [0, 0, end]) };
  }
  const a = Math.max(radial, 0);
  const b = Math.max(endwise, 0);
  const far = Math.hypot(a, b);
  if (far === 0) return { cm: 0, way: toWorld(roll.frame, round) };
  return { cm: far, way: toWorld(roll.frame, [(round[0] * a) / far, (round[1] * a) / far, (end * b) / far]) };
}

/** How far a point is outside a box or roll, and the nearest direction out of it. */
export const outside = (solid: Box | Roll, point: Vec3): Outside =>
  solid.shape === 'box' ? outsideBox(solid, point) : outsideRoll(solid, point);

/** The corners of a box. */
export function cornersOf({ at, half, frame }: Box): Vec3[] {
  const ends = [-1, 1];
  return ends.flatMap((x) =>
    ends.flatMap((y) => ends.map((z) => add(at, toWorld(frame, [x * half[0], y * half[1], z * half[2]])))),
  );
}

/** Points round both ends of a roll. */
export function rimsOf({ at, frame, radius, lengthCm }: Roll, points = 28): Vec3[] {
  return [-1, 1].flatMap((end) =>
    Array.from({ length: points }, (_, i) => {
      const angle = (i / points) * 2 * Math.PI;
      return add(at, toWorld(frame, [radius * Math.cos(angle), radius * Math.sin(angle), (end * lengthCm) / 2]));
    }),
  );
}

const outline = (solid: Box | Roll) => (solid.shape === 'box' ? cornersOf(solid) : rimsOf(solid, 8));

/** The highest point of a solid above the floor. */
export const topOf = (solid: Box | Roll): number =>
  solid.shape === 'roll' && Math.abs(rightOf(solid.frame)[1]) < 0.01
    ? solid.at[1] + solid.radius
    : Math.max(...outline(solid).map((point) => point[1]));

/** What a solid covers of the floor, along both axes. */
export function footprintOf(solid: Box | Roll): { x: [number, number]; z: [number, number] } {
  const points = outline(solid);
  const xs = points.map((point) => point[0]);
  const zs = points.map((point) => point[2]);
  return { x: [Math.min(...xs), Math.max(...xs)], z: [Math.min(...zs), Math.max(...zs)] };
}

/** The height of what lies at a place of the floor, seen from above: the highest top there, 0 for the bare floor. */
export function supportAt(solids: readonly Solid[], x: number, z: number, marginCm = 0): number {
  let height = 0;
  for (const solid of solids) {
    if (solid.shape === 'wall' || solid.shape === 'band' || solid.loose) continue;
    const cover = footprintOf(solid);
    if (x < cover.x[0] + marginCm || x > cover.x[1] - marginCm) continue;
    if (z < cover.z[0] + marginCm || z > cover.z[1] - marginCm) continue;
    if (solid.shape === 'box') {
      // The upper face at this place, which may slope.
      const up = toWorld(solid.frame, [0, 1, 0]);
      const top = add(solid.at, toWorld(solid.frame, [0, solid.half[1], 0]));
      const slope = up[1] > 0.2 ? top[1] - ((x - top[0]) * up[0] + (z - top[2]) * up[2]) / up[1] : topOf(solid);
      height = Math.max(height, clamp(slope, 0, topOf(solid)));
    } else {
      height = Math.max(height, topOf(solid));
    }
  }
  return height;
}
