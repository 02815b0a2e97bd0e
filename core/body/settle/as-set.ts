import { PROP_PLACE_NAMES, type PropPlace } from '#core/props';
import { poseByJoints } from '../by-joints';
import type { Figure } from '../figure';
import { fleshOf } from '../flesh';
import { JOINT_LIMITS } from '../joint-limits';
import { jointOf, setJoint, type JointName } from '../joints';
import { SIDES, type Pose, type Side } from '../pose';
import { REFERENCE_HEIGHT_CM } from '../proportions';
import { skeletonOf, type Skeleton } from '../skeleton';
import { MEETINGS } from '../solids/anchors';
import { clamp } from '../vector';
import { clearance, lowestPoint } from './clearance';
import { CONTACT, type ContactArea } from './parts';
import type { Settled } from './settle';
import type { SettleStep } from './steps';

/** Parts of a body that can be let down from where they are held until they rest on something. */
export const LET_DOWN = ['head', 'arms', 'legs'] as const;
export type LetDown = (typeof LET_DOWN)[number];

interface Lowering {
  joints: readonly JointName[];
  on: readonly ContactArea[];
  /** Height of the end that goes down. */
  end: (body: Skeleton, side: Side) => number;
  /** A middle one has no sides. */
  sided: boolean;
}

const LOWERINGS: Record<LetDown, Lowering> = {
  head: { joints: ['neck'], on: ['head'], end: ({ spine }) => spine.skull[1], sided: false },
  arms: {
    joints: ['shoulder', 'elbow'],
    on: ['upperArms', 'forearms', 'hands'],
    end: ({ arms }, side) => arms[side].end[1],
    sided: true,
  },
  legs: {
    joints: ['hip', 'knee'],
    on: ['thighs', 'shanks', 'feet'],
    end: ({ legs }, side) => legs[side].end[1],
    sided: true,
  },
};

/** What of a body may come to rest as it comes down with the hips. */
const CARRIED: readonly ContactArea[] = ['lowerTrunk', 'ribs', ...LET_DOWN.flatMap((part) => LOWERINGS[part].on)];

/** Deeper in a soft prop than this a place was let sink by the figure's own way, and is not what carries it. */
const SUNK_CM = -1;

/** How far a part is let down at the most, in degrees of its joint. */
const FARTHEST = 60;
const PROBE = 4;

/** Props the body comes down on; the others are put to it once it lies. */
const LATER: readonly PropPlace[] = ['forehead', 'arms', 'hands'];
const BENEATH = PROP_PLACE_NAMES.filter(
  (place) => !LATER.includes(place) && (MEETINGS[place] === 'under' || MEETINGS[place] === 'startsUnder'),
);

/** How far above where it lies a body is let down from, and how far down it may go, in body centimetres. */
const START_ABOVE = 1;
const LOWEST = -10;

const lowestOf = (pose: Pose): number => lowestPoint(fleshOf(skeletonOf(pose, REFERENCE_HEIGHT_CM), pose));

const round = (degrees: number): number => Math.round(degrees * 10) / 10;

/** Turns a joint from where it is held towards the floor; undefined if the limb has no such joint or stays level. */
function lowering(pose: Pose, joint: JointName, side: Side, part: LetDown): SettleStep | undefined {
  const value = jointOf(pose, joint, side);
  if (value === undefined) return undefined;
  const { on, end, sided } = LOWERINGS[part];
  const heightAt = (angle: number): number => {
    const tried = structuredClone(pose);
    setJoint(tried, joint, side, angle);
    return end(skeletonOf(tried, REFERENCE_HEIGHT_CM), side);
  };
  const fall = heightAt(value - PROBE) - heightAt(value + PROBE);
  if (Math.abs(fall) < 0.05) return undefined;
  const { least, most } = JOINT_LIMITS[joint]!;
  const to = clamp(value + Math.sign(fall) * FARTHEST, least, most);
  return { do: 'turn', joint, of: sided ? side : 'both', from: round(value), to: round(to), on: [...on], onto: [] };
}

/** What a figure that is held as set comes down on. */
function carriedOn({ settle }: Figure): readonly ContactArea[] {
  const down = settle.find((step) => step.do === 'turn' && step.joint === 'height');
  return down?.do === 'turn' ? down.on : CARRIED;
}

function held(figure: Figure, parts: readonly LetDown[], carriers: readonly ContactArea[]): Figure {
  const { pose } = figure;
  const free = parts.flatMap((part) => LOWERINGS[part].on);
  const back = LET_DOWN.filter((part) => letsDown(figure).includes(part) && !parts.includes(part));
  const on = CARRIED.filter(
    (area) => carriers.includes(area) || back.some((part) => LOWERINGS[part].on.includes(area)),
  );
  const carried = on.filter((area) => !free.includes(area));
  const settle: SettleStep[] = [
    { do: 'put', places: BENEATH },
    {
      do: 'turn',
      joint: 'height',
      of: 'both',
      from: round(pose.root.height + START_ABOVE),
      to: LOWEST,
      on: carried.length > 0 ? carried : ['lowerTrunk'],
      onto: [],
    },
    { do: 'put', places: [...LATER] },
  ];
  for (const part of LET_DOWN.filter((one) => parts.includes(one))) {
    for (const joint of LOWERINGS[part].joints) {
      for (const side of LOWERINGS[part].sided ? SIDES : (['left'] as const)) {
        const step = lowering(pose, joint, side, part);
        if (step) settle.push(step);
      }
    }
  }
  return { ...figure, settle };
}

/** The same figure with these parts let down from where they are held; everything else stays as it is set. */
export const withLetDown = (figure: Figure, parts: readonly LetDown[]): Figure =>
  held(figure, parts, carriedOn(figure));

/**
 * The figure as it lies now, every limb held by its joints, so that each angle can be set separately: custom figures
 * start from it. Only the hips still come down, until anything touches.
 */
export function bakePose(figure: Figure, { pose, body, flesh, solids }: Settled): Figure {
  const rests = CARRIED.filter((area) => {
    const { parts, only } = CONTACT[area];
    const pieces = flesh.filter((piece) => parts.includes(piece.part) && (!only || only(piece)));
    return clearance(pieces, solids) > SUNK_CM;
  });
  return held({ ...figure, pose: poseByJoints(pose, body) }, [], rests);
}

/** Whether a figure is held as set, and not brought to rest by steps of its own. */
export function isAsSet({ settle: [first, second], pose }: Figure): boolean {
  const down = first?.do === 'put' && second?.do === 'turn' && second.joint === 'height';
  return down && SIDES.every((side) => pose.legs[side].kind === 'joints' && pose.arms[side].kind === 'joints');
}

/** The parts a figure that is held as set lets down. */
export const letsDown = ({ settle }: Figure): LetDown[] =>
  LET_DOWN.filter((part) => settle.some((step) => step.do === 'turn' && LOWERINGS[part].joints.includes(step.joint)));

/**
 * A figure held as set with one joint set anew, in degrees, on one side or both; what is let down starts from there.
 * A joint this figure does not have leaves it as it is.
 */
export function withJoint(figure: Figure, joint: JointName, of: Side | 'both', degrees: number): Figure {
  const pose = structuredClone(figure.pose);
  for (const side of of === 'both' ? SIDES : [of]) setJoint(pose, joint, side, degrees);
  // Its lowest point stays where it was, so that it is let down from near where it will lie.
  pose.root.height = clamp(round(pose.root.height + lowestOf(figure.pose) - lowestOf(pose)), -50, 200);
  return withLetDown({ ...figure, pose }, letsDown(figure));
}
