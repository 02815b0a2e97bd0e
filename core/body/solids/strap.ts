import type { PlacedProp, PropPlace } from '#core/props';
import { onLimb, palmOf, soleOf } from '../landmarks';
import { otherSide, outward, SIDES, type Side } from '../pose';
import type { Skeleton } from '../skeleton';
import { spineAt } from '../spine';
import { add, toWorld, type Vec3 } from '../vector';
import type { Band } from './solid';

/** Where along the legs a strap lies round both, and how thick the leg is there (body centimetres). */
const ROUND_LEGS: Partial<Record<PropPlace, readonly [at: number, half: number]>> = {
  legs: [0.72, 6.4],
  thighs: [0.72, 6.4],
  onThighs: [0.72, 6.4],
  betweenThighs: [0.72, 6.4],
  knees: [0.95, 5.6],
  betweenKnees: [0.95, 5.6],
  shins: [1.4, 5],
  onShins: [1.4, 5],
  calves: [1.4, 5],
  ankles: [1.9, 3.4],
  betweenHeels: [1.96, 3.4],
  onFeet: [1.98, 3.6],
  underFeet: [1.98, 3.6],
};

/** How far up the spine a strap round the trunk lies, in body centimetres from the hips. */
const ROUND_TRUNK: Partial<Record<PropPlace, number>> = {
  waist: 13,
  belly: 13,
  onBelly: 13,
  lowBack: 13,
  sacrum: 4,
  seat: 4,
  hip: 4,
  chest: 30,
  chestToCollarbones: 30,
  spine: 30,
  upperBack: 36,
};

/** Half the breadth of a trunk and the depth of its front there, in body centimetres. */
const HALF_BREADTH = 14;
const FRONT = 9;

/** The way of a strap from place to place; nothing for a strap laid where it holds nothing. */
export function strapOf(prop: PlacedProp, body: Skeleton): Band[] {
  const band = (points: Vec3[]): Band => ({ shape: 'band', prop: 'strap', giveCm: 0, loose: true, points });
  const palm = (side: Side) => palmOf(body, body.arms[side]);
  const sole = (side: Side) => soleOf(body, body.legs[side]);
  if (prop.place === 'hands') return [band([palm('left'), palm('right')])];
  if ((prop.place === 'feet' || prop.place === 'soles') && prop.state !== 'loop') {
    if (prop.side === 'centre') return [band([palm('left'), sole('left'), sole('right'), palm('right')])];
    const side: Side = prop.side === 'right' ? 'right' : 'left';
    // One raised foot is held with both hands; with both feet raised each hand holds its own.
    const otherLeg = body.legs[otherSide(side)];
    const reaches = (hand: Side) =>
      otherLeg.end[1] < 30 * body.k && palm(hand)[1] > body.arms[hand].root[1] + 8 * body.k;
    return SIDES.filter((hand) => hand === side || reaches(hand)).map((hand) => band([palm(hand), sole(side)]));
  }
  const trunk = ROUND_TRUNK[prop.place];
  if (trunk !== undefined) return [band(roundTrunk(body, trunk))];
  const round = ROUND_LEGS[prop.place] ?? (prop.state === 'loop' ? ROUND_LEGS.onFeet : undefined);
  if (!round) return [];
  const [at, half] = round;
  const outer = (side: Side): Vec3 => {
    const [x, y, z] = onLimb(body.legs[side], at);
    return [x, y, z + outward(side) * half * body.k];
  };
  const inner = (side: Side): Vec3 => {
    const [x, y, z] = onLimb(body.legs[side], at);
    return [x, y + half * body.k, z];
  };
  return [band([outer('left'), inner('left'), inner('right'), outer('right')])];
}

/** From one side of the trunk over its front to the other. */
function roundTrunk(body: Skeleton, s: number): Vec3[] {
  const { at, frame } = spineAt(body.spine, s * body.k);
  const point = (forward: number, right: number): Vec3 =>
    add(at, toWorld(frame, [forward * body.k, 0, right * body.k]));
  return [
    point(0, -HALF_BREADTH),
    point(FRONT * 0.8, -HALF_BREADTH * 0.6),
    point(FRONT, 0),
    point(FRONT * 0.8, HALF_BREADTH * 0.6),
    point(0, HALF_BREADTH),
  ];
}
