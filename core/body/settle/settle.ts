import { isBand, type PlacedProp, type PropPlace } from '#core/props';
import type { Figure } from '../figure';
import { fleshOf, type Ellipsoid, type Part } from '../flesh';
import { hipClearance, shoulderClearance, withinLimits, type Flexibility } from '../flexibility';
import { isLimbJoint, jointOf, setJoint, type JointName } from '../joints';
import { outward, SIDES, type Pose, type Side } from '../pose';
import { skeletonOf, type Skeleton } from '../skeleton';
import { putDown } from '../solids/place';
import type { Solid } from '../solids/solid';
import { clearance, lowestPoint, ON_FLOOR_CM } from './clearance';
import { advanceToContact, type Lowered } from './advance';
import { ownLimbs } from './own-limbs';
import { CONTACT, type ContactArea } from './parts';
import type { OwnLimb, SettleStep } from './steps';

/** A body at rest with its props. */
export interface Settled {
  pose: Pose;
  body: Skeleton;
  flesh: readonly Ellipsoid[];
  solids: readonly Solid[];
  flexibility: Flexibility;
  /** The result of each movement, for examining a figure that does not sit right. */
  log: readonly { joint: JointName; side: 'left' | 'right' | 'both'; value: number; how: Lowered['how'] }[];
}

/** What is near the joint that turns moves too little to matter, and touches what it always touches. */
const PIVOTS: Partial<Record<JointName, { part: Part; from: number }>> = {
  hip: { part: 'thigh', from: 0.45 },
  hipOpen: { part: 'thigh', from: 0.45 },
  swivel: { part: 'thigh', from: 0.45 },
  ankleAlong: { part: 'thigh', from: 0.45 },
  kneeUp: { part: 'thigh', from: 0.45 },
  kneeOut: { part: 'thigh', from: 0.3 },
  knee: { part: 'shank', from: 0.35 },
  shoulder: { part: 'upperArm', from: 0.5 },
  shoulderOpen: { part: 'upperArm', from: 0.5 },
  elbow: { part: 'forearm', from: 0.4 },
};

/** Where the hips are let down from, in body centimetres. */
const HIGHEST = 110;

/** The fastest a place of a body of 165 cm moves, in centimetres per degree of the joint (per cm for places). */
function speedOf(joint: JointName): number {
  if (
    joint === 'height' ||
    joint.startsWith('wrist') ||
    joint.startsWith('ankle') ||
    joint.startsWith('kneeO') ||
    joint === 'kneeUp'
  )
    return 1.2;
  if (joint.startsWith('neck') || joint.startsWith('head')) return 0.6;
  if (joint === 'knee' || joint === 'shank' || joint === 'elbow' || joint.startsWith('foot')) return 0.9;
  if (joint.startsWith('shoulder') || joint === 'swivel') return 1;
  return 1.7;
}

const LIMITED_BY_SHOULDERS = new Set<JointName>(['pitch', 'lumbar', 'thoracic', 'shoulder']);

/** Brings a figure to rest for a height (cm), a flexibility, and the props in place. Deterministic. */
export function settle(
  figure: Figure,
  props: readonly PlacedProp[],
  statureCm: number,
  flexibility: Flexibility,
): Settled {
  const pose = withinLimits(figure.pose, flexibility);
  const k = skeletonOf(pose, statureCm).k;
  const solids: Solid[] = [];
  const log: Settled['log'][number][] = [];
  const placed = new Set<PropPlace>();

  const put = (places: readonly PropPlace[]) => {
    const wanted = props.filter((prop) => !isBand(prop) && places.includes(prop.place) && !placed.has(prop.place));
    for (const place of places) placed.add(place);
    if (wanted.length === 0) return;
    const body = skeletonOf(pose, statureCm);
    solids.push(...putDown(wanted, body, () => fleshOf(body, pose), solids, figure.shifts));
  };

  const move = (
    joint: JointName,
    of: Side | 'both',
    from: number,
    to: number,
    on: readonly ContactArea[],
    onto: readonly OwnLimb[],
  ) => {
    const sides: readonly Side[] = of === 'both' ? SIDES : [of];
    if (!sides.some((side) => jointOf(pose, joint, side) !== undefined)) return;
    const set = (value: number) => {
      for (const side of sides) setJoint(pose, joint, side, value);
    };
    const parts = new Set(on.flatMap((area) => CONTACT[area].parts));
    const pivot = PIVOTS[joint];
    const signs = isLimbJoint(joint) && of !== 'both' ? [outward(of)] : [-1, 0, 1];
    const counts = (piece: Ellipsoid): boolean => {
      if (pivot && piece.part === pivot.part && piece.s < pivot.from) return false;
      if (isLimbJoint(joint) && piece.side !== 0 && !signs.includes(piece.side)) return false;
      return on.some((area) => {
        const { parts: areaParts, only } = CONTACT[area];
        return areaParts.includes(piece.part) && (!only || only(piece));
      });
    };
    // Tipping the pelvis folds the hips of legs that stay where they are; legs held by their joints go with it.
    const folding = SIDES.filter((side) => (pose.legs[side].kind === 'joints') === (joint === 'hip'));
    // The same pieces in the same order each time, wherever the joint is: which of them count is found out once.
    let counted: readonly boolean[] | undefined;
    const clearanceAt = (value: number): number => {
      set(value);
      const body = skeletonOf(pose, statureCm);
      const pieces = fleshOf(body, pose, parts);
      const mask = (counted ??= pieces.map(counts));
      const flesh = pieces.filter((_, i) => mask[i]);
      const touch = clearance(flesh, onto.length > 0 ? [...solids, ...ownLimbs(body, onto)] : solids);
      let least = touch;
      if (joint === 'pitch' || joint === 'hip') least = Math.min(least, 1.5 * hipClearance(body, flexibility, folding));
      if (LIMITED_BY_SHOULDERS.has(joint)) least = Math.min(least, 1.5 * shoulderClearance(body, flexibility));
      return least;
    };
    const found = advanceToContact(clearanceAt, from, to, speedOf(joint) * k);
    set(found.value);
    log.push({ joint, side: of, value: found.value, how: found.how });
  };

  /** The slope of the shoulders and what no movement looked at may still lie lower than a body lies on a floor. */
  const liftOff = () => {
    for (let round = 0; round < 3; round++) {
      const low = lowestPoint(fleshOf(skeletonOf(pose, statureCm), pose));
      if (low >= -ON_FLOOR_CM) return;
      pose.root.height += (-ON_FLOOR_CM - low) / k;
    }
  };

  const take = (step: SettleStep) => {
    if (step.do === 'put') put(step.places);
    else if (step.do === 'lower') move('height', 'both', HIGHEST, -10, step.on, step.onto);
    else if (!step.onlyWith || props.some(({ place }) => step.onlyWith?.includes(place)))
      move(step.joint, step.of, step.from, step.to, step.on, step.onto);
  };
  for (const step of figure.settle) take(step);
  put(props.map(({ place }) => place));
  liftOff();
  const body = skeletonOf(pose, statureCm);
  const straps = props.filter(isBand);
  solids.push(...putDown(straps, body, () => [], solids, figure.shifts));
  return { pose, body, flesh: fleshOf(body, pose), solids, flexibility, log };
}
