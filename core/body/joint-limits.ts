import { jointOf, type JointName } from './joints';
import { SIDES, type Pose, type Side } from './pose';

/** How far a joint goes, in degrees, and what a teacher calls it. */
export interface JointLimit {
  label: string;
  least: number;
  most: number;
}

/**
 * The joints that are set one by one, with how far a supple adult body takes them. Ranges after the American Academy of
 * Orthopaedic Surgeons ("Joint Motion", 1965), widened to what yoga asks of practised bodies.
 */
export const JOINT_LIMITS: Partial<Record<JointName, JointLimit>> = {
  pitch: { label: 'Pelvis, forward', least: -180, most: 180 },
  roll: { label: 'Pelvis, onto a side', least: -180, most: 180 },
  lumbar: { label: 'Low back, round', least: -60, most: 70 },
  lumbarLean: { label: 'Low back, lean', least: -35, most: 35 },
  lumbarTurn: { label: 'Low back, turn', least: -30, most: 30 },
  thoracic: { label: 'Upper back, round', least: -50, most: 60 },
  thoracicLean: { label: 'Upper back, lean', least: -40, most: 40 },
  thoracicTurn: { label: 'Upper back, turn', least: -60, most: 60 },
  neck: { label: 'Neck, forward', least: -70, most: 75 },
  neckLean: { label: 'Neck, lean', least: -45, most: 45 },
  neckTurn: { label: 'Neck, turn', least: -60, most: 60 },
  head: { label: 'Head, nod', least: -40, most: 40 },
  headTurn: { label: 'Head, turn', least: -50, most: 50 },
  hip: { label: 'Hip, lift', least: -70, most: 165 },
  hipOpen: { label: 'Hip, open', least: -75, most: 95 },
  hipTurn: { label: 'Hip, turn out', least: -100, most: 120 },
  knee: { label: 'Knee, bend', least: -2, most: 172 },
  footPoint: { label: 'Foot, point', least: -50, most: 90 },
  shoulder: { label: 'Shoulder, lift', least: -180, most: 180 },
  shoulderOpen: { label: 'Shoulder, open', least: -95, most: 185 },
  shoulderTurn: { label: 'Shoulder, turn out', least: -180, most: 180 },
  elbow: { label: 'Elbow, bend', least: -2, most: 160 },
};
const LIMITED_JOINTS = Object.keys(JOINT_LIMITS) as JointName[];

/** Why a joint cannot have a value in degrees; undefined if it can. Joints without a limit take any. */
export function jointRefusal(joint: JointName, degrees: number): string | undefined {
  const limit = JOINT_LIMITS[joint];
  if (!limit || (degrees >= limit.least && degrees <= limit.most)) return undefined;
  return `${limit.label} goes from ${limit.least}° to ${limit.most}°, not to ${Math.round(degrees)}°.`;
}

/** A joint of a pose that is past its limit. */
export interface PastLimit {
  joint: JointName;
  side: Side;
  value: number;
  reason: string;
}

/** Every joint that goes further than a body does, with what to say about it. */
export function jointsPastLimits(pose: Pose): PastLimit[] {
  const past: PastLimit[] = [];
  for (const joint of LIMITED_JOINTS) {
    for (const side of SIDES) {
      const value = jointOf(pose, joint, side);
      const reason = value === undefined ? undefined : jointRefusal(joint, value);
      if (value === undefined || reason === undefined) continue;
      // A joint of the trunk is the same for both sides.
      if (past.some((other) => other.joint === joint && jointOf(pose, joint, 'left') === jointOf(pose, joint, 'right')))
        continue;
      past.push({ joint, side, value, reason });
    }
  }
  return past;
}
