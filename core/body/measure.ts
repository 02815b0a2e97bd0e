import { topOfParts, type Ellipsoid } from './flesh';
import { headCentre, heartOf } from './landmarks';
import { clearance, lowestPoint } from './settle/clearance';
import type { Settled } from './settle/settle';
import { supportAt } from './solids/solid';
import type { Vec3 } from './vector';

/** What can be measured on a settled body, in centimetres. */
export interface Measures {
  /** From the lowest point of each place straight down to the floor, a prop or the own legs. 0: it lies on it. */
  gaps: {
    head: number;
    chest: number;
    sacrum: number;
    leftKnee: number;
    rightKnee: number;
    leftHand: number;
    rightHand: number;
    leftThigh: number;
    rightThigh: number;
  };
  /** How much higher than the heart (negative: lower) the middle of the head and of the hips are. */
  headOverHeart: number;
  pelvisOverHeart: number;
  /**
   * Over the floor: the hip joints, the higher and the lower knee, the undersides of head and shoulders, and what is
   * under the head.
   */
  levels: {
    hips: number;
    knee: number;
    lowerKnee: number;
    headUnder: number;
    shouldersUnder: number;
    underHead: number;
  };
  /** What the body takes of the floor, from end to end along the mat and from side to side across it. */
  takes: { along: number; across: number };
}

const isLeg = ({ part }: Ellipsoid) => part === 'thigh' || part === 'shank' || part === 'foot';
const nothing = () => false;

const PLACES: Record<
  keyof Measures['gaps'],
  { of: (piece: Ellipsoid) => boolean; over: (piece: Ellipsoid) => boolean }
> = {
  head: { of: ({ part }) => part === 'head' || part === 'hair', over: isLeg },
  chest: { of: ({ part, s, slope }) => part === 'torso' && !slope && s > 30 && s < 46, over: isLeg },
  sacrum: { of: ({ part, s }) => part === 'torso' && s < 9, over: nothing },
  leftKnee: { of: (piece) => isKnee(piece, -1), over: nothing },
  rightKnee: { of: (piece) => isKnee(piece, 1), over: nothing },
  leftHand: { of: ({ part, side }) => part === 'hand' && side === -1, over: isLeg },
  rightHand: { of: ({ part, side }) => part === 'hand' && side === 1, over: isLeg },
  leftThigh: { of: (piece) => isThigh(piece, -1), over: nothing },
  rightThigh: { of: (piece) => isThigh(piece, 1), over: nothing },
};

function isKnee({ part, side, s }: Ellipsoid, wanted: -1 | 1): boolean {
  return side === wanted && ((part === 'thigh' && s > 0.93) || (part === 'shank' && s < 0.08));
}

/** Where a prop under a thigh carries it: towards the knee. */
const isThigh = ({ part, side, s }: Ellipsoid, wanted: -1 | 1): boolean =>
  side === wanted && part === 'thigh' && s > 0.6 && s < 0.76;

/** Nearer than this a place lies on what is there, even where that is not straight below its lowest point. */
const TOUCHES_CM = 0.4;

function gapUnder({ flesh, solids }: Settled, place: keyof Measures['gaps']): number {
  const { of, over } = PLACES[place];
  const pieces = flesh.filter(of);
  if (clearance(pieces, solids) < TOUCHES_CM) return 0;
  let least = Infinity;
  for (const piece of pieces) {
    const low = lowestPoint([piece]);
    const at: Vec3 = piece.at;
    const under = solids.filter((solid) => 'at' in solid && solid.at[1] < at[1]);
    const support = Math.max(supportAt(under, at[0], at[2]), topOfParts(flesh, at, over));
    least = Math.min(least, low - support);
  }
  return Math.max(0, least);
}

const isHead = PLACES.head.of;
/** The upper back between the shoulder blades and the root of the neck. */
const isShoulders = ({ part, s, slope }: Ellipsoid): boolean => part === 'torso' && !slope && s > 42 && s < 50;

/** The top of what is under the head: a prop or the floor. */
function topUnderHead({ body, solids }: Settled): number {
  const [x, y, z] = headCentre(body);
  return supportAt(
    solids.filter((solid) => 'at' in solid && solid.at[1] < y),
    x,
    z,
  );
}

/** The extent along an axis, with the flesh round its middle. */
function extent(flesh: readonly Ellipsoid[], axis: 0 | 2): number {
  let [least, most] = [Infinity, -Infinity];
  for (const { at, radii } of flesh) {
    const half = Math.min(...radii);
    least = Math.min(least, at[axis] - half);
    most = Math.max(most, at[axis] + half);
  }
  return most - least;
}

/** Measures a settled body. Gaps that flesh and props give way to count as 0. */
export function measure(settled: Settled): Measures {
  const heart = heartOf(settled.body)[1];
  return {
    gaps: Object.fromEntries(
      Object.keys(PLACES).map((place) => [place, gapUnder(settled, place as keyof Measures['gaps'])]),
    ) as Measures['gaps'],
    headOverHeart: headCentre(settled.body)[1] - heart,
    pelvisOverHeart: settled.body.spine.root[1] - heart,
    levels: {
      hips: settled.body.spine.root[1],
      lowerKnee: Math.min(settled.body.legs.left.middle[1], settled.body.legs.right.middle[1]),
      knee: Math.max(settled.body.legs.left.middle[1], settled.body.legs.right.middle[1]),
      headUnder: lowestPoint(settled.flesh.filter(isHead)),
      shouldersUnder: lowestPoint(settled.flesh.filter(isShoulders)),
      underHead: topUnderHead(settled),
    },
    takes: { along: extent(settled.flesh, 0), across: extent(settled.flesh, 2) },
  };
}

/** The lowest point of a settled body, in centimetres over the floor (negative: below it). */
export const lowestOf = ({ flesh }: Settled): number => lowestPoint(flesh);

/**
 * How far the body is from floor, props and wall at its nearest place; negative: deeper in than flesh and prop give.
 */
export const clearanceOf = ({ flesh, solids }: Settled): number => clearance(flesh, solids);
