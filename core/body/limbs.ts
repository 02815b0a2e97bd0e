import { outward, type Arm, type Foot, type Hand, type Leg, type Outward, type Pose, type Side } from './pose';
import type { Segments } from './proportions';
import { hingedFrames, reach, withinReach } from './reach';
import { spineAt, type Spine } from './spine';
import {
  aboutX,
  aboutY,
  aboutZ,
  across,
  add,
  along,
  clamp,
  cross,
  dot,
  forwardOf,
  frameOf,
  length,
  multiply,
  scale,
  subtract,
  toWorld,
  turned,
  unit,
  upOf,
  X_AXIS,
  Y_AXIS,
  Z_AXIS,
  type Mat3,
  type Vec3,
} from './vector';

/** A limb in the room: its three joints and the frames of its three segments. */
export interface Limb {
  /** Hip or shoulder. */
  root: Vec3;
  /** Knee or elbow. */
  middle: Vec3;
  /** Ankle or wrist. */
  end: Vec3;
  upper: Mat3;
  lower: Mat3;
  /** Foot or hand. */
  last: Mat3;
  /** Centimetres by which a place it was to reach lay too far. */
  shortCm: number;
}

export type Limbs = Record<Side, Limb>;

/** Outward numbers of one side in the room. */
const sided = (v: Outward, side: Side): Vec3 => [v[0], v[1], v[2] * outward(side)];

function footFrame(foot: Foot, shin: Mat3, side: Side): Mat3 {
  const z = outward(side);
  if (foot.kind === 'joint') {
    return turned(shin, aboutY(-z * foot.turn), aboutZ(-foot.point), aboutX(z * foot.tilt));
  }
  const toes = unit(sided(foot.toes, side));
  const up = unit(across(scale(sided(foot.sole, side), -1), toes));
  return frameOf(toes, up, cross(toes, up));
}

function handFrame(hand: Hand, forearm: Mat3, side: Side): Mat3 {
  const z = outward(side);
  if (hand.kind === 'joint') return turned(forearm, aboutY(-z * hand.turn), aboutX(z * hand.bend));
  const up = scale(unit(sided(hand.fingers, side)), -1);
  const right = unit(across(scale(sided(hand.palm, side), -z), up));
  return frameOf(cross(up, right), up, right);
}

/** Where the knee points for a swivel: 0 up (or forward, where the leg itself is upright), 90 out to the side. */
function kneePole(from: Vec3, to: Vec3, swivel: number, pelvis: Mat3, side: Side): Vec3 {
  const forward = forwardOf(pelvis);
  const top = upOf(pelvis);
  const direction = unit(subtract(to, from));
  let ahead = across(Y_AXIS, direction);
  // An upright leg: over the floor, forward is where the pelvis looks, or where its top points when it is tipped.
  if (length(ahead) < 0.6) ahead = across([forward[0] + top[0], 0, forward[2] + top[2]], direction);
  if (length(ahead) < 1e-6) ahead = across(X_AXIS, direction);
  ahead = unit(ahead);
  let out = cross(direction, ahead);
  // A leg that itself lies to the side has its knee in front rather than outside.
  if (dot(out, [0.75, 0, outward(side)]) < 0) out = scale(out, -1);
  const angle = (swivel * Math.PI) / 180;
  return add(scale(ahead, Math.cos(angle)), scale(out, Math.sin(angle)));
}

function legAt(leg: Leg, root: Vec3, spine: Spine, segments: Segments, k: number, side: Side): Omit<Limb, 'last'> {
  const z = outward(side);
  if (leg.kind === 'joints') {
    const upper = turned(spine.rootFrame, aboutZ(leg.hip[0]), aboutX(-z * leg.hip[1]), aboutY(-z * leg.hip[2]));
    const middle = along(root, upOf(upper), -segments.thigh);
    const lower = turned(upper, aboutZ(-leg.knee), aboutY(-z * leg.shank));
    return { root, middle, end: along(middle, upOf(lower), -segments.shank), upper, lower, shortCm: 0 };
  }
  if (leg.kind === 'ankle') {
    const [x, y, out] = sided(leg.at, side);
    const wanted: Vec3 = [spine.root[0] + x * k, (leg.hanging ? spine.root[1] : 0) + y * k, spine.root[2] + out * k];
    const target = withinReach(root, wanted, (segments.thigh + segments.shank) * 0.9995);
    const pole = kneePole(root, target, leg.swivel, spine.rootFrame, side);
    const bones = reach(root, target, segments.thigh, segments.shank, pole, 'knee');
    return {
      root,
      middle: bones.middle,
      end: bones.end,
      upper: bones.upper,
      lower: bones.lower,
      shortCm: bones.shortCm,
    };
  }
  const kneeZ = spine.root[2] + z * leg.kneeOut * k;
  const drop = Math.min(segments.thigh, Math.max(0, root[1] - leg.kneeUp * k));
  const sideways = clamp(kneeZ - root[2], -segments.thigh, segments.thigh);
  const over = Math.sqrt(Math.max(0, segments.thigh ** 2 - drop ** 2 - sideways ** 2));
  const knee: Vec3 = [root[0] + (leg.knee === 'ahead' ? over : -over), root[1] - drop, kneeZ];
  const middle = along(root, unit(subtract(knee, root)), segments.thigh);
  const ankleZ = spine.root[2] + z * leg.ankleOut * k;
  const fall = middle[1] - leg.ankleUp * k;
  const back = Math.sqrt(Math.max(0, segments.shank ** 2 - (middle[2] - ankleZ) ** 2 - fall ** 2));
  const shin = unit([-back, -fall, ankleZ - middle[2]]);
  const end = along(middle, shin, segments.shank);
  const hinge = cross(unit(subtract(middle, root)), shin);
  const right = length(hinge) < 1e-4 ? Z_AXIS : scale(unit(hinge), -1);
  return { root, middle, end, ...hingedFrames(root, middle, end, right), shortCm: 0 };
}

/** A leg of a pose in the room. */
export function legOf(pose: Pose, spine: Spine, segments: Segments, k: number, side: Side): Limb {
  const leg = pose.legs[side];
  const root = add(spine.root, toWorld(spine.rootFrame, [0, 0, outward(side) * segments.hipOut]));
  const bones = legAt(leg, root, spine, segments, k, side);
  return { ...bones, last: footFrame(leg.foot, bones.lower, side) };
}

/** Where belly and chest are along the spine, body centimetres. */
const BELLY_AT = 15;
const CHEST_AT = 36;

function wristTarget(
  arm: Extract<Arm, { kind: 'wrist' }>,
  shoulder: Vec3,
  spine: Spine,
  legs: Limbs,
  k: number,
  side: Side,
): Vec3 {
  const other = side === 'left' ? legs.right : legs.left;
  const onTrunk = (s: number): Vec3 => {
    const place = spineAt(spine, s * k);
    return add(place.at, toWorld(place.frame, scale(sided(arm.at, side), k)));
  };
  const anchors: Record<typeof arm.from, () => Vec3> = {
    floor: () => [spine.root[0], 0, spine.root[2]],
    shoulder: () => shoulder,
    hip: () => legs[side].root,
    knee: () => legs[side].middle,
    ankle: () => legs[side].end,
    otherKnee: () => other.middle,
    otherAnkle: () => other.end,
    head: () => spine.skull,
    belly: () => onTrunk(BELLY_AT),
    chest: () => onTrunk(CHEST_AT),
  };
  const [x, y, out] = sided(arm.at, side);
  const from = anchors[arm.from]();
  if (arm.from === 'belly' || arm.from === 'chest') return from;
  return [from[0] + x * k, (arm.onFloor ? 0 : from[1]) + y * k, from[2] + out * k];
}

/** An arm of a pose in the room; spine and legs first, since a hand can be placed on them. */
export function armOf(pose: Pose, spine: Spine, legs: Limbs, segments: Segments, k: number, side: Side): Limb {
  const arm = pose.arms[side];
  const z = outward(side);
  const girdle = spineAt(spine, segments.shoulderAlong);
  const root = add(girdle.at, toWorld(girdle.frame, [-0.4 * k, 0, z * segments.shoulderOut]));
  if (arm.kind === 'joints') {
    const upper = turned(
      girdle.frame,
      aboutZ(arm.shoulder[0]),
      aboutX(-z * arm.shoulder[1]),
      aboutY(-z * arm.shoulder[2]),
    );
    const middle = along(root, upOf(upper), -segments.upperArm);
    const lower = multiply(upper, aboutZ(arm.elbow));
    const end = along(middle, upOf(lower), -segments.forearm);
    return { root, middle, end, upper, lower, last: handFrame(arm.hand, lower, side), shortCm: 0 };
  }
  const wanted = wristTarget(arm, root, spine, legs, k, side);
  const target = arm.onFloor ? withinReach(root, wanted, (segments.upperArm + segments.forearm) * 0.9995) : wanted;
  const bones = reach(root, target, segments.upperArm, segments.forearm, sided(arm.elbow, side), 'elbow');
  return {
    root,
    middle: bones.middle,
    end: bones.end,
    upper: bones.upper,
    lower: bones.lower,
    last: handFrame(arm.hand, bones.lower, side),
    shortCm: bones.shortCm,
  };
}
