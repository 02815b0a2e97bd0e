import type { Limb } from './limbs';
import { outward, SIDES, type Angles, type Arm, type Foot, type Leg, type Pose, type Side } from './pose';
import type { Skeleton } from './skeleton';
import { spineAt } from './spine';
import { arcSine, arcTangent, clamp, multiply, transpose, type Mat3 } from './vector';

/** The frame of one segment as seen from the one before it. */
const seenFrom = (before: Mat3, frame: Mat3): Mat3 => multiply(transpose(before), frame);

/** Lift, opening and outward turn of a hip or shoulder, in degrees, from its frame seen from the trunk. */
function ballJoint(frame: Mat3, side: Side): Angles {
  const z = outward(side);
  return [arcTangent(-frame[1], frame[4]), -z * arcSine(frame[7]), -z * arcTangent(-frame[6], frame[8])];
}

/** How far a hinge bends, in degrees: `sign` −1 for a knee, +1 for an elbow. */
const hingeAngle = (frame: Mat3, sign: 1 | -1): number => arcTangent(-sign * frame[1], frame[4]);

const round = (degrees: number, most: number): number => clamp(Math.round(degrees * 10) / 10, -most, most) + 0;
const rounded = ([a, b, c]: Angles): Angles => [round(a, 180), round(b, 180), round(c, 180)];

function footByJoints(limb: Limb, side: Side): Foot {
  const z = outward(side);
  const frame = seenFrom(limb.lower, limb.last);
  return {
    kind: 'joint',
    point: round(-arcSine(frame[3]), 90),
    turn: round(-z * arcTangent(-frame[6], frame[0]), 90),
    tilt: round(z * arcTangent(-frame[5], frame[4]), 60),
  };
}

function legByJoints(body: Skeleton, leg: Leg, side: Side): Leg {
  if (leg.kind === 'joints' && leg.foot.kind === 'joint') return leg;
  const limb = body.legs[side];
  const foot = footByJoints(limb, side);
  if (leg.kind === 'joints') return { ...leg, foot };
  return {
    kind: 'joints',
    hip: rounded(ballJoint(seenFrom(body.spine.rootFrame, limb.upper), side)),
    knee: round(hingeAngle(seenFrom(limb.upper, limb.lower), -1), 180),
    shank: 0,
    foot,
  };
}

function armByJoints(body: Skeleton, arm: Arm, side: Side): Arm {
  if (arm.kind === 'joints') return arm;
  const limb = body.arms[side];
  const girdle = spineAt(body.spine, body.segments.shoulderAlong).frame;
  return {
    kind: 'joints',
    shoulder: rounded(ballJoint(seenFrom(girdle, limb.upper), side)),
    elbow: round(hingeAngle(seenFrom(limb.upper, limb.lower), 1), 180),
    hand: arm.hand,
  };
}

/**
 * The same pose with every limb held by its joints, so that each can be set by an angle: read off the skeleton of the
 * settled pose. Hands keep where they look in the room.
 */
export function poseByJoints(pose: Pose, body: Skeleton): Pose {
  const legs = { ...pose.legs };
  const arms = { ...pose.arms };
  for (const side of SIDES) {
    legs[side] = structuredClone(legByJoints(body, pose.legs[side], side));
    arms[side] = structuredClone(armByJoints(body, pose.arms[side], side));
  }
  return { ...structuredClone(pose), legs, arms };
}
