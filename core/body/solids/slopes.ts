import type { PlacedProp } from '#core/props';
import { headingOf } from '../landmarks';
import type { Skeleton } from '../skeleton';
import { along, arcTangent, forwardOf, upOf, type Mat3, type Vec3 } from '../vector';
import { anchorOf } from './anchors';
import { rising, sizeOf } from './shapes';
import { footprintOf, supportAt, topOf, type Box, type Roll, type Solid } from './solid';

/** A bolster that rises more than this slides down. */
const STEEPEST = 53;

/** A long prop whose far half lies on others slopes up to them from the floor. */
export function sloped(piece: Box, solids: readonly Solid[], heading: Vec3): Box | undefined {
  const reach = piece.half[0];
  const near = along(piece.at, heading, -reach);
  const supports = solids.filter((solid): solid is Box | Roll => solid.shape === 'box' || solid.shape === 'roll');
  let best: Box | undefined;
  for (const support of supports) {
    const cover = footprintOf(support);
    const middle: Vec3 = [(cover.x[0] + cover.x[1]) / 2, 0, (cover.z[0] + cover.z[1]) / 2];
    const ahead = (middle[0] - near[0]) * heading[0] + (middle[2] - near[2]) * heading[2];
    const half = (cover.x[1] - cover.x[0]) / 2;
    // What lies under the near end too carries the whole of it, and nothing slopes.
    if (ahead < reach * 0.6 || ahead > reach * 2.2 || ahead - half < reach * 0.3) continue;
    if (Math.abs(middle[2] - near[2]) > 20) continue;
    const edge = ahead - half;
    const rise = Math.min(STEEPEST, arcTangent(topOf(support), Math.max(edge, 12)));
    const frame = rising(piece.frame, rise * Math.sign(heading[0] * forwardOf(piece.frame)[0] || 1));
    const up = upOf(frame);
    const axis = forwardOf(frame);
    const way = axis[0] * heading[0] + axis[2] * heading[2] > 0 ? axis : ([-axis[0], -axis[1], -axis[2]] as const);
    const foot: Vec3 = [near[0], 0, near[2]];
    const at = along(along(foot, way, reach), up, piece.half[1]);
    if (!best || at[1] > best.at[1]) best = { ...piece, at, frame };
  }
  return best;
}

/** How far along a long prop that slopes what holds its upper end up stands. */
const HELD_UP_AT = 0.5;

/**
 * Where a prop under the upper back stands that holds up a bolster along the spine: the highest of them half-way along
 * it, a lower one nearer to its foot, so that the slope lies on both. Undefined for any other prop.
 */
export function slopeSupport(prop: PlacedProp, props: readonly PlacedProp[], body: Skeleton): Vec3 | undefined {
  if (prop.place !== 'upperBack') return undefined;
  const long = props.find(({ place, lie }) => place === 'spine' && lie === 'lengthwise');
  if (!long) return undefined;
  const deepOf = (one: PlacedProp): number => (one.lie === 'lengthwise' ? sizeOf(one).long : sizeOf(one).wide);
  const [highest] = props
    .filter(({ place }) => place === 'upperBack')
    .sort((one, other) => sizeOf(other).high - sizeOf(one).high);
  if (!highest) return undefined;
  // Their near edges are as far along as they are high: there the slope lies on each of them.
  const edge = sizeOf(long).long * HELD_UP_AT - deepOf(highest) / 2;
  const far = (edge * sizeOf(prop).high) / sizeOf(highest).high + deepOf(prop) / 2;
  return along(anchorOf('spine', body, undefined), headingOf(body), far);
}

/** What slopes by so much carries a piece that slopes with it. */
const SLOPES_FROM = 0.98;

/** The sloping top of a box under the head, and the middle of a piece that lies on it at a place, so far above its top. */
export function slopeUnder(
  place: Vec3,
  head: Vec3,
  solids: readonly Solid[],
): { frame: Mat3; at: (above: number) => Vec3 } | undefined {
  const box = solids.findLast(
    (solid): solid is Box => solid.shape === 'box' && !solid.loose && upOf(solid.frame)[1] < SLOPES_FROM,
  );
  if (!box || supportAt([box], head[0], head[2]) === 0) return undefined;
  const axis = forwardOf(box.frame);
  const run = ((place[0] - box.at[0]) * axis[0] + (place[2] - box.at[2]) * axis[2]) / (axis[0] ** 2 + axis[2] ** 2);
  const middle = along(box.at, axis, run);
  return { frame: box.frame, at: (above) => along(middle, upOf(box.frame), box.half[1] + above) };
}
