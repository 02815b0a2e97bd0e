import { z } from 'zod';
import { outward, SIDES, type Pose, type Side } from './pose';
import type { Skeleton } from './skeleton';
import { spineAt } from './spine';
import { arcTangent, clamp, dot, length, subtract, toLocal, unit, upOf, type Vec3 } from './vector';

/**
 * What a body allows, as three angles a teacher can measure: how far the straight leg folds at the hip, how far the
 * knee opens to the side from pointing up, how far the arm lifts overhead. Degrees.
 */
export const Flexibility = z.strictObject({
  hipFold: z.number().min(60).max(150),
  kneeOpening: z.number().min(30).max(90),
  shoulder: z.number().min(90).max(180),
});
export type Flexibility = z.infer<typeof Flexibility>;

export const STIFF: Flexibility = { hipFold: 95, kneeOpening: 52, shoulder: 135 };
export const ORDINARY: Flexibility = { hipFold: 118, kneeOpening: 74, shoulder: 165 };
export const SUPPLE: Flexibility = { hipFold: 135, kneeOpening: 88, shoulder: 180 };

/** With the knee bent the back of the thigh is slack and the hip folds further, up to so much more at 90° and over. */
const SLACK_DEGREES = 32;
const DEEPEST_FOLD = 150;

/** What the shoulder blade adds when a hand is placed on the floor in front. */
const SHOULDER_BLADE = 20;

/** The angle of a hip in its three parts, degrees: lift forward, open, turn outward. */
export function hipAngles(body: Skeleton, side: 'left' | 'right'): { flex: number; open: number } {
  const up = toLocal(body.spine.rootFrame, upOf(body.legs[side].upper));
  const z = outward(side);
  return {
    flex: arcTangent(-up[0], up[1]),
    open: -z * arcTangent(up[2], Math.hypot(up[0], up[1])),
  };
}

/** How far a knee is bent, in degrees. */
export function kneeAngle(body: Skeleton, side: 'left' | 'right'): number {
  const { upper, lower } = body.legs[side];
  return (Math.acos(clamp(dot(upOf(upper), upOf(lower)), -1, 1)) * 180) / Math.PI;
}

/** How far an arm is lifted from the trunk, in degrees: 0 hanging, 180 overhead. */
export function armLift(body: Skeleton, side: 'left' | 'right'): number {
  const girdle = spineAt(body.spine, body.segments.shoulderAlong);
  const way = subtract(body.arms[side].middle, body.arms[side].root);
  const down: Vec3 = toLocal(girdle.frame, length(way) ? unit(way) : [0, -1, 0]);
  return (Math.acos(clamp(-down[1], -1, 1)) * 180) / Math.PI;
}

/** How far a hip can fold with its knee as it is. */
function foldLimit(flexibility: Flexibility, kneeDegrees: number): number {
  return Math.min(DEEPEST_FOLD, flexibility.hipFold + SLACK_DEGREES * Math.min(1, kneeDegrees / 90));
}

/** How many degrees of hip fold are left on these sides; negative past the end. */
export function hipClearance(body: Skeleton, flexibility: Flexibility, sides: readonly Side[]): number {
  return Math.min(
    Infinity,
    ...sides.map((side) => foldLimit(flexibility, kneeAngle(body, side)) - hipAngles(body, side).flex),
  );
}

/** How many degrees of arm lift are left; negative past the end. */
export function shoulderClearance(body: Skeleton, flexibility: Flexibility): number {
  return Math.min(...SIDES.map((side) => flexibility.shoulder + SHOULDER_BLADE - armLift(body, side)));
}

/** The pose with every stated angle brought within what the body allows. */
export function withinLimits(pose: Pose, flexibility: Flexibility): Pose {
  const limited = structuredClone(pose);
  for (const side of SIDES) {
    const leg = limited.legs[side];
    const arm = limited.arms[side];
    if (leg.kind === 'joints') leg.hip[0] = Math.min(leg.hip[0], foldLimit(flexibility, leg.knee));
    if (leg.kind === 'ankle' && Math.abs(leg.swivel) > flexibility.kneeOpening && Math.abs(leg.swivel) <= 95) {
      leg.swivel = Math.sign(leg.swivel) * flexibility.kneeOpening;
    }
    if (arm.kind === 'joints') arm.shoulder[0] = Math.min(arm.shoulder[0], flexibility.shoulder);
  }
  return limited;
}
