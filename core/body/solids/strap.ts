import type { PlacedProp, PropPlace } from '#core/props';
import { onLimb, palmOf, soleOf } from '../landmarks';
import { otherSide, outward, SIDES, type Side } from '../pose';
import type { Skeleton } from '../skeleton';
import type { Vec3 } from '../vector';
import type { Band } from './solid';

/** Where along the legs a strap lies round both, and how thick the leg is there (body centimetres). */
const ROUND_LEGS: Partial<Record<PropPlace, readonly [at: number, half: number]>> = {
  thighs: [0.72, 6.4],
  onThighs: [0.72, 6.4],
  knees: [0.95, 5.6],
  shins: [1.4, 5],
  calves: [1.4, 5],
  ankles: [1.9, 3.4],
};

/** What goes round or from place to place like a strap. */
export const isStrap = ({ kind, state }: Pick<PlacedProp, 'kind' | 'state'>): boolean =>
  kind === 'strap' || kind === 'belt' || (kind === 'scarf' && state === 'open');

/** The way of a strap from place to place; nothing for a strap laid where it holds nothing. */
export function strapOf(prop: PlacedProp, body: Skeleton): Band[] {
  const band = (points: Vec3[]): Band => ({ shape: 'band', prop: 'strap', giveCm: 0, loose: true, points });
  const palm = (side: Side) => palmOf(body, body.arms[side]);
  const sole = (side: Side) => soleOf(body, body.legs[side]);
  if (prop.place === 'hands') return [band([palm('left'), palm('right')])];
  if (prop.place === 'feet' || prop.place === 'soles') {
    if (prop.side === 'centre') return [band([palm('left'), sole('left'), sole('right'), palm('right')])];
    const side: Side = prop.side === 'right' ? 'right' : 'left';
    // One raised foot is held with both hands; with both feet raised each hand holds its own.
    const otherLeg = body.legs[otherSide(side)];
    const reaches = (hand: Side) =>
      otherLeg.end[1] < 30 * body.k && palm(hand)[1] > body.arms[hand].root[1] + 8 * body.k;
    return SIDES.filter((hand) => hand === side || reaches(hand)).map((hand) => band([palm(hand), sole(side)]));
  }
  const round = ROUND_LEGS[prop.place];
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
