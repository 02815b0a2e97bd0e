import {
  across,
  add,
  cross,
  distance,
  dot,
  frameOf,
  length,
  scale,
  subtract,
  unit,
  Z_AXIS,
  type Mat3,
  type Vec3,
} from './vector';

/** Two segments from a root joint over a middle joint to an end. */
export interface TwoBones {
  middle: Vec3;
  end: Vec3;
  upper: Mat3;
  lower: Mat3;
  /** How many centimetres the target lay out of reach; 0 when it was reached. */
  shortCm: number;
}

/** Frames of two segments that share one hinge: up along each segment, the hinge to the right. */
export function hingedFrames(root: Vec3, middle: Vec3, end: Vec3, hinge: Vec3): { upper: Mat3; lower: Mat3 } {
  const frame = (from: Vec3, to: Vec3): Mat3 => {
    const up = unit(subtract(from, to));
    const right = unit(across(hinge, up));
    return frameOf(cross(up, right), up, right);
  };
  return { upper: frame(root, middle), lower: frame(middle, end) };
}

/**
 * Places the middle joint of two segments so that the end comes to `target`, with the middle joint towards `pole`
 * (law of cosines). A target out of reach is approached as far as the nearly straight limb goes.
 * `bends` is which way the middle joint bends: a knee backward, an elbow forward.
 */
export function reach(
  root: Vec3,
  target: Vec3,
  upperCm: number,
  lowerCm: number,
  pole: Vec3,
  bends: 'knee' | 'elbow',
): TwoBones {
  const way = subtract(target, root);
  const wanted = length(way);
  const longest = (upperCm + lowerCm) * 0.9995;
  const shortest = Math.abs(upperCm - lowerCm) * 1.02 + 0.5;
  const reached = Math.min(longest, Math.max(shortest, wanted));
  const direction = unit(way);
  let side = across(pole, direction);
  if (length(side) < 1e-6) side = cross(direction, Z_AXIS);
  side = unit(side);
  const foot = (upperCm * upperCm - lowerCm * lowerCm + reached * reached) / (2 * reached);
  const height = Math.sqrt(Math.max(0, upperCm * upperCm - foot * foot));
  const middle = add(root, add(scale(direction, foot), scale(side, height)));
  const end = add(root, scale(direction, reached));
  const hinge = unit(cross(bends === 'elbow' ? scale(side, -1) : side, scale(direction, -1)));
  return { middle, end, ...hingedFrames(root, middle, end, hinge), shortCm: Math.max(0, wanted - longest) };
}

/**
 * The target of a limb that lies along the floor: one too far away is drawn in over the ground, at its own height, so
 * that a straight limb keeps its end where it rests.
 */
export function withinReach(root: Vec3, target: Vec3, reachCm: number): Vec3 {
  if (distance(root, target) <= reachCm) return target;
  const drop = target[1] - root[1];
  const ground: Vec3 = [target[0] - root[0], 0, target[2] - root[2]];
  if (Math.abs(drop) >= reachCm || dot(ground, ground) < 1e-9) return target;
  const share = Math.sqrt(reachCm * reachCm - drop * drop) / length(ground);
  return [root[0] + ground[0] * share, target[1], root[2] + ground[2] * share];
}
