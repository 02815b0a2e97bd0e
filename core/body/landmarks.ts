import { MID_SOLE, onHead } from './flesh';
import type { Limb } from './limbs';
import type { Skeleton } from './skeleton';
import { spineAt } from './spine';
import { add, between, scale, subtract, toWorld, unit, type Vec3 } from './vector';

/** A place of the spine by body centimetres from the hips. */
export const onSpine = (body: Skeleton, s: number): Vec3 => spineAt(body.spine, s * body.k).at;

export const headCentre = (body: Skeleton): Vec3 => onHead(body, [1, 6, 0]);
export const heartOf = (body: Skeleton): Vec3 => spineAt(body.spine, body.segments.heartAlong).at;
export const soleOf = (body: Skeleton, limb: Limb): Vec3 => add(limb.end, toWorld(limb.last, scale(MID_SOLE, body.k)));
export const palmOf = (body: Skeleton, limb: Limb): Vec3 =>
  add(limb.end, toWorld(limb.last, [0, -body.segments.hand * 0.45, 0]));

/** The way the trunk lies over the floor, from the hips to the root of the neck; forward where it stands upright. */
export function headingOf(body: Skeleton): Vec3 {
  const top = spineAt(body.spine, body.spine.lengthCm).at;
  const way = subtract(top, body.spine.root);
  const ground: Vec3 = [way[0], 0, way[2]];
  return Math.hypot(ground[0], ground[2]) < 10 * body.k ? [1, 0, 0] : unit(ground);
}

/** A place along a leg or arm: 0 at hip or shoulder, 1 at knee or elbow, 2 at ankle or wrist. */
export const onLimb = (limb: Limb, at: number): Vec3 =>
  at <= 1 ? between(limb.root, limb.middle, at) : between(limb.middle, limb.end, at - 1);

export const legsMiddle = (body: Skeleton, at: number): Vec3 =>
  between(onLimb(body.legs.left, at), onLimb(body.legs.right, at), 0.5);
