import type { PlacedProp, PropPlace } from '#core/props';
import { onHead } from '../flesh';
import { headCentre, legsMiddle, onLimb, onSpine, palmOf, soleOf } from '../landmarks';
import { outward, type Side } from '../pose';
import type { Skeleton } from '../skeleton';
import { add, along, between, type Vec3 } from '../vector';

/**
 * How a prop meets the body: carried on it, under it, held between, standing against it,
 * round it, or lying beside it.
 */
export type Meeting = 'under' | 'startsUnder' | 'on' | 'between' | 'against' | 'around' | 'beside';

export const MEETINGS: Record<PropPlace, Meeting> = {
  head: 'under',
  forehead: 'under',
  neck: 'under',
  shoulders: 'under',
  upperBack: 'under',
  spine: 'startsUnder',
  chest: 'startsUnder',
  chestToCollarbones: 'under',
  belly: 'startsUnder',
  onBelly: 'on',
  waist: 'under',
  lowBack: 'under',
  sacrum: 'under',
  seat: 'under',
  hip: 'under',
  thighs: 'under',
  onThighs: 'on',
  betweenThighs: 'between',
  knees: 'under',
  betweenKnees: 'between',
  shins: 'under',
  onShins: 'on',
  calves: 'under',
  ankles: 'under',
  betweenHeels: 'between',
  soles: 'against',
  underFeet: 'under',
  onFeet: 'on',
  feet: 'around',
  arms: 'under',
  hands: 'under',
  eyes: 'on',
  cover: 'around',
  legs: 'against',
  behind: 'against',
  alongSides: 'beside',
};

/** The side a prop is on, where it is on one. */
export const sidesOf = (side: PlacedProp['side']): Side | undefined =>
  side === 'left' || side === 'right' ? side : undefined;

/** How far up the spine the collarbones are, in body centimetres from the hips. */
const COLLARBONES = 44;

/** The middle of a place of the body. */
export function anchorOf(place: PropPlace, body: Skeleton, side: Side | undefined): Vec3 {
  const leg = (at: number) => (side ? onLimb(body.legs[side], at) : legsMiddle(body, at));
  const arm = (at: number) =>
    side ? onLimb(body.arms[side], at) : between(onLimb(body.arms.left, at), onLimb(body.arms.right, at), 0.5);
  const hand = side
    ? palmOf(body, body.arms[side])
    : between(palmOf(body, body.arms.left), palmOf(body, body.arms.right), 0.5);
  const sole = side
    ? soleOf(body, body.legs[side])
    : between(soleOf(body, body.legs.left), soleOf(body, body.legs.right), 0.5);
  const k = body.k;
  switch (place) {
    case 'forehead': {
      // Over the leg that is folded over, where it is named.
      const [x, y, z] = headCentre(body);
      return [x, y, side ? body.legs[side].middle[2] : z];
    }
    case 'head':
      return between(headCentre(body), onSpine(body, 53.6), 0.15);
    case 'eyes':
      return onHead(body, [9.6, 5.2, 0]);
    case 'neck':
      return body.spine.neck[4]!.at;
    case 'shoulders':
      return onSpine(body, 48);
    case 'upperBack':
      return onSpine(body, 36);
    case 'spine':
      return onSpine(body, 15);
    case 'chest':
      return onSpine(body, 14);
    case 'chestToCollarbones':
      return onSpine(body, COLLARBONES);
    case 'belly':
      return onSpine(body, 3);
    case 'onBelly':
      return onSpine(body, 14);
    case 'waist':
      return onSpine(body, 12);
    case 'lowBack':
      return onSpine(body, 16);
    case 'sacrum':
      return onSpine(body, 4);
    case 'seat':
      return along(body.spine.root, [1, 0, 0], -4 * k);
    case 'hip':
      return side ? add(body.legs[side].root, [-8 * k, 0, outward(side) * 6 * k]) : body.spine.root;
    case 'thighs':
      return leg(0.68);
    case 'onThighs':
      return leg(0.5);
    case 'knees':
      return leg(0.93);
    case 'betweenThighs':
      return legsMiddle(body, 0.6);
    case 'betweenKnees':
      return legsMiddle(body, 1);
    case 'shins':
    case 'onShins':
      return leg(1.5);
    case 'calves':
      return leg(1.45);
    case 'ankles':
      return leg(1.92);
    case 'betweenHeels':
      return legsMiddle(body, 1.95);
    case 'soles':
    case 'onFeet':
    case 'feet':
    case 'underFeet':
      return sole;
    case 'arms':
      return arm(1.5);
    case 'hands':
      return hand;
    case 'alongSides':
      return add(onSpine(body, 20), [0, 0, outward(side ?? 'right') * 16 * k]);
    case 'cover':
      return onSpine(body, 10);
    case 'legs':
    case 'behind':
      return body.spine.root;
  }
}
