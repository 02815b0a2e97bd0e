import type { Arm, Leg, Pose, Side } from './pose';

/** The joints that can be set by one number. */
export const JOINT_NAMES = [
  'height',
  'pitch',
  'roll',
  'yaw',
  'lumbar',
  'lumbarLean',
  'lumbarTurn',
  'thoracic',
  'thoracicLean',
  'thoracicTurn',
  'neck',
  'neckLean',
  'neckTurn',
  'head',
  'headLean',
  'headTurn',
  'hip',
  'hipOpen',
  'hipTurn',
  'knee',
  'shank',
  'swivel',
  'kneeOut',
  'kneeUp',
  'ankleAlong',
  'ankleUp',
  'ankleOut',
  'footPoint',
  'footTurn',
  'shoulder',
  'shoulderOpen',
  'shoulderTurn',
  'elbow',
  'wristAlong',
  'wristUp',
  'wristOut',
  'handTurn',
] as const;
export type JointName = (typeof JOINT_NAMES)[number];

/** One number inside a pose: how to read it and how to set it. */
interface Place {
  holder: number[] | Record<string, unknown>;
  key: number | string;
}

const SPINE = {
  lumbar: ['lumbar', 0],
  lumbarLean: ['lumbar', 1],
  lumbarTurn: ['lumbar', 2],
  thoracic: ['thoracic', 0],
  thoracicLean: ['thoracic', 1],
  thoracicTurn: ['thoracic', 2],
  neck: ['neck', 0],
  neckLean: ['neck', 1],
  neckTurn: ['neck', 2],
  head: ['head', 0],
  headLean: ['head', 1],
  headTurn: ['head', 2],
} as const;

function inLeg(leg: Leg, joint: JointName): Place | undefined {
  if (leg.kind === 'joints') {
    if (joint === 'hip') return { holder: leg.hip, key: 0 };
    if (joint === 'hipOpen') return { holder: leg.hip, key: 1 };
    if (joint === 'hipTurn') return { holder: leg.hip, key: 2 };
    if (joint === 'knee') return { holder: leg, key: 'knee' };
    if (joint === 'shank') return { holder: leg, key: 'shank' };
  }
  if (leg.kind === 'ankle') {
    if (joint === 'swivel') return { holder: leg, key: 'swivel' };
    if (joint === 'ankleAlong') return { holder: leg.at, key: 0 };
    if (joint === 'ankleUp') return { holder: leg.at, key: 1 };
    if (joint === 'ankleOut') return { holder: leg.at, key: 2 };
  }
  if (leg.kind === 'kneeling') {
    if (joint === 'kneeOut' || joint === 'kneeUp') return { holder: leg, key: joint };
    if (joint === 'ankleOut') return { holder: leg, key: 'ankleOut' };
    if (joint === 'ankleUp') return { holder: leg, key: 'ankleUp' };
  }
  if (leg.foot.kind === 'joint') {
    if (joint === 'footPoint') return { holder: leg.foot, key: 'point' };
    if (joint === 'footTurn') return { holder: leg.foot, key: 'turn' };
  }
  return undefined;
}

function inArm(arm: Arm, joint: JointName): Place | undefined {
  if (arm.kind === 'joints') {
    if (joint === 'shoulder') return { holder: arm.shoulder, key: 0 };
    if (joint === 'shoulderOpen') return { holder: arm.shoulder, key: 1 };
    if (joint === 'shoulderTurn') return { holder: arm.shoulder, key: 2 };
    if (joint === 'elbow') return { holder: arm, key: 'elbow' };
  } else {
    if (joint === 'wristAlong') return { holder: arm.at, key: 0 };
    // A hand on the body or held free is where it is meant to be; only one on the floor can be let down.
    if (joint === 'wristUp') return arm.onFloor ? { holder: arm.at, key: 1 } : undefined;
    if (joint === 'wristOut') return { holder: arm.at, key: 2 };
  }
  if (joint === 'handTurn' && arm.hand.kind === 'joint') return { holder: arm.hand, key: 'turn' };
  return undefined;
}

function placeOf(pose: Pose, joint: JointName, side: Side): Place | undefined {
  if (joint === 'height' || joint === 'pitch' || joint === 'roll' || joint === 'yaw') {
    return { holder: pose.root, key: joint };
  }
  if (joint in SPINE) {
    const [part, index] = SPINE[joint as keyof typeof SPINE];
    return { holder: pose.spine[part], key: index };
  }
  return inLeg(pose.legs[side], joint) ?? inArm(pose.arms[side], joint);
}

/** The value of a joint, or undefined if this limb is not held by that joint. */
export function jointOf(pose: Pose, joint: JointName, side: Side): number | undefined {
  const place = placeOf(pose, joint, side);
  return place && (place.holder as Record<string | number, number>)[place.key];
}

/** Sets a joint in place; says whether the limb has it. */
export function setJoint(pose: Pose, joint: JointName, side: Side, value: number): boolean {
  const place = placeOf(pose, joint, side);
  if (!place) return false;
  (place.holder as Record<string | number, number>)[place.key] = value;
  return true;
}

function pathTo(wanted: object, within: object): string[] | undefined {
  for (const [name, value] of Object.entries(within)) {
    if (value === wanted) return [name];
    const deeper = typeof value === 'object' && value !== null ? pathTo(wanted, value as object) : undefined;
    if (deeper) return [name, ...deeper];
  }
  return undefined;
}

/** Where in the pose a joint stands, as `['legs', 'left', 'knee']`; undefined if this limb is not held by it. */
export function jointPath(pose: Pose, joint: JointName, side: Side): string[] | undefined {
  const place = placeOf(pose, joint, side);
  const path = place && pathTo(place.holder, pose);
  return path && [...path, String(place.key)];
}

/** Joints of a limb and not of the trunk. */
export const isLimbJoint = (joint: JointName): boolean =>
  !(joint in SPINE) && joint !== 'height' && joint !== 'pitch' && joint !== 'roll' && joint !== 'yaw';
