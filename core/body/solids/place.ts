import { isBand, type PlacedProp, type PropPlace } from '#core/props';
import { topOfParts, type Ellipsoid } from '../flesh';
import { headingOf, onLimb, onSpine, soleOf } from '../landmarks';
import { outward, SIDES, type Side } from '../pose';
import type { Skeleton } from '../skeleton';
import {
  aboutY,
  across,
  along,
  arcTangent,
  between,
  cross,
  forwardOf,
  frameOf,
  multiply,
  rightOf,
  subtract,
  unit,
  upOf,
  Y_AXIS,
  type Mat3,
  type Vec3,
} from '../vector';
import { chairOf, lieFrame, pieceOf, sizeOf } from './shapes';
import { anchorOf, MEETINGS, sidesOf } from './anchors';
import { slopeSupport, slopeUnder, sloped } from './slopes';
import { strapOf } from './strap';
import { supportAt, type Box, type Roll, type Solid } from './solid';

/**
 * Where a place of the body is for props, in body centimetres from where it would be put by itself: along the mat, up,
 * and to the right. Part of a figure's data, where a position needs a prop a little elsewhere.
 */
export type Shifts = Partial<Record<PropPlace, readonly [number, number, number]>>;

/** The top of the legs or feet over a place of the floor: what a stack for the head stands on in a seated fold. */
const legsUnder = (flesh: readonly Ellipsoid[], at: Vec3): number =>
  topOfParts(flesh, at, ({ part }) => part === 'thigh' || part === 'shank' || part === 'foot');

/** How far behind the hip joints the seat ends, in body centimetres. */
const SEAT_BEHIND_HIPS = 11;

/** The wall: as far from the body as the row says, or where it is usual at this place. */
function wallAt({ place, wallCm }: PlacedProp, body: Skeleton, shift: Vec3): Solid {
  const k = body.k;
  const common = { shape: 'wall', prop: 'wall', giveCm: 0, loose: false } as const;
  const away = (usual: number, least: number) => (wallCm === undefined ? (usual + shift[0]) * k : least * k + wallCm);
  if (place === 'behind') return { ...common, x: -away(14, SEAT_BEHIND_HIPS) };
  if (place === 'soles') {
    const toe = Math.max(soleOf(body, body.legs.left)[0], soleOf(body, body.legs.right)[0]);
    return { ...common, x: toe + away(1, 1) };
  }
  if (place === 'hands') {
    const tip = (side: Side) => along(body.arms[side].end, upOf(body.arms[side].last), -body.segments.hand * 0.5)[0];
    return { ...common, x: Math.max(tip('left'), tip('right')) + away(1.5, 1.5) };
  }
  return { ...common, x: away(16, SEAT_BEHIND_HIPS) };
}

/**
 * The props of one place put down at a body as it is held now, on the floor or on what already lies there.
 * The order of the rows is the order of putting down: what comes later lies on what came before.
 */
export function putDown(
  props: readonly PlacedProp[],
  body: Skeleton,
  flesh: () => readonly Ellipsoid[],
  before: readonly Solid[],
  shifts: Shifts,
): Solid[] {
  const put: Solid[] = [];
  const k = body.k;
  /** The middle of a chair's seat, by the place it stands at: what comes after it there lies on it. */
  const seats = new Map<PropPlace, Vec3>();
  for (const prop of props) {
    const by = shifts[prop.place] ?? [0, 0, 0];
    const shift: Vec3 = [by[0] * k, by[1] * k, by[2] * k];
    if (prop.kind === 'wall') {
      put.push(wallAt(prop, body, by as Vec3));
      continue;
    }
    const side = sidesOf(prop.side);
    const anchor = slopeSupport(prop, props, body) ?? anchorOf(prop.place, body, side);
    const at: Vec3 = [anchor[0] + shift[0], anchor[1] + shift[1], anchor[2] + shift[2]];
    if (prop.kind === 'chair') {
      const middle = seatMiddle(prop, at, body);
      if (prop.place !== 'seat') seats.set(prop.place, middle);
      put.push(...chairFor(prop, middle));
      continue;
    }
    if (isBand(prop)) {
      put.push(...strapOf(prop, body));
      continue;
    }
    if (prop.place === 'cover') continue;
    for (let i = 0; i < prop.count; i++) {
      put.push(pieceFor(prop, seats.get(prop.place) ?? at, body, flesh, [...before, ...put], shift));
    }
  }
  return put;
}

/** Where the middle of a chair's seat is, on the floor. In front of the body its edge is nearer than its middle. */
function seatMiddle({ place }: PlacedProp, at: Vec3, body: Skeleton): Vec3 {
  const { long } = sizeOf({ kind: 'chair', state: 'upright' });
  if (place === 'seat') return [at[0] + body.k, 0, at[2]];
  return place === 'calves' ? [at[0], 0, at[2]] : [at[0] + long * 0.3, 0, at[2]];
}

/** A chair at its place; in front of the body its seat faces the body. */
function chairFor({ place, state }: PlacedProp, middle: Vec3): Solid[] {
  const facing = state === 'sideways' ? -90 : 0;
  return chairOf(middle, place === 'seat' ? facing : facing || 180);
}

const liesOnSide = (body: Skeleton): boolean => Math.abs(rightOf(body.spine.rootFrame)[1]) > 0.6;

/** Where between the legs a piece is held: its middle along them, and the part of the leg it lies along. */
const BETWEEN: Partial<Record<PropPlace, { held: number; carried: number; from: 'root' | 'middle' }>> = {
  betweenThighs: { held: 0.6, carried: 0.6, from: 'root' },
  betweenKnees: { held: 1.2, carried: 1.35, from: 'middle' },
  betweenHeels: { held: 1.94, carried: 1.85, from: 'middle' },
};

/**
 * Between the legs, its long side along them: carried by the lower leg of someone who lies on the side, held between
 * the legs of others.
 */
function betweenLegs(prop: PlacedProp, body: Skeleton): Box | Roll {
  const { left, right } = body.legs;
  const { high } = sizeOf(prop);
  const { held, carried, from } = BETWEEN[prop.place] ?? BETWEEN.betweenKnees!;
  const onSide = liesOnSide(body);
  const lower = left.root[1] < right.root[1] ? left : right;
  const bone = from === 'root' ? subtract(lower.middle, lower.root) : subtract(lower.end, lower.middle);
  const leg = unit(bone);
  if (onSide) {
    const up = unit(across(Y_AXIS, leg));
    const middle = along(onLimb(lower, carried), up, 4.6 * body.k + high / 2);
    return pieceOf(prop, middle, frameOf(leg, up, cross(leg, up)));
  }
  const apart = unit(across(subtract(right.middle, left.middle), leg));
  const middle = between(onLimb(left, held), onLimb(right, held), 0.5);
  return { ...pieceOf(prop, middle, frameOf(leg, apart, cross(leg, apart))), loose: true };
}

/** The frame of a piece at a place: how it lies, turned with the trunk or with the limb it holds. */
function frameFor(prop: PlacedProp, body: Skeleton): Mat3 {
  const heading = headingOf(body);
  const turn = arcTangent(-heading[2], heading[0]);
  const withTrunk = MEETINGS[prop.place] === 'startsUnder' || prop.place === 'sacrum' || prop.place === 'lowBack';
  const straight = Math.abs(turn) < 12 || Math.abs(turn) > 168;
  return multiply(withTrunk && !straight ? aboutY(turn) : aboutY(0), lieFrame(prop.lie));
}

/** What carries a prop that lies on the body. */
const CARRIERS: Partial<Record<PropPlace, Ellipsoid['part']>> = {
  onThighs: 'thigh',
  onShins: 'shank',
  onFeet: 'foot',
};

function pieceFor(
  prop: PlacedProp,
  at: Vec3,
  body: Skeleton,
  flesh: () => readonly Ellipsoid[],
  solids: readonly Solid[],
  shift: Vec3,
): Box | Roll {
  const size = sizeOf(prop);
  const meeting = MEETINGS[prop.place];
  const frame = frameFor(prop, body);
  const high = size.high;
  const standOn = (x: number, z: number) => supportAt(solids, x, z, 2) + high / 2;

  if (meeting === 'startsUnder') {
    const heading = headingOf(body);
    const half = (prop.lie === 'lengthwise' ? size.long : size.wide) / 2;
    const middle = along([at[0], 0, at[2]], heading, half);
    const near = along(middle, heading, -half * 0.85);
    const legs = prop.place === 'chest' ? Math.max(legsUnder(flesh(), near), legsUnder(flesh(), middle)) : 0;
    const base = Math.max(supportAt(solids, near[0], near[2], 2), legs);
    const flat = pieceOf(prop, [middle[0], base + high / 2 + shift[1], middle[2]], frame);
    if (flat.shape !== 'box' || prop.lie !== 'lengthwise') return flat;
    return sloped(flat, solids, heading) ?? flat;
  }
  if (meeting === 'on') {
    if (prop.place === 'eyes') {
      // It lies on the face, wherever that looks: its thickness along the head's forward, its length across.
      const f = body.spine.head;
      const face: Mat3 = [f[2], f[0], f[1], f[5], f[3], f[4], f[8], f[6], f[7]];
      return { ...pieceOf(prop, at, face), loose: true };
    }
    const carrier = CARRIERS[prop.place] ?? 'torso';
    const onLegs = carrier !== 'torso';
    const under = onLegs && !sidesOf(prop.side) ? SIDES.map((of) => anchorOf(prop.place, body, of)) : [at];
    const top = Math.max(...under.map((place) => topOfParts(flesh(), place, ({ part }) => part === carrier)));
    // A bolster on the thighs begins where the belly ends.
    const x = prop.place === 'onThighs' && prop.lie === 'lengthwise' ? at[0] + size.long / 2 + 4 * body.k : at[0];
    const above = solids.filter((solid) => 'at' in solid && solid.at[1] > top - 1);
    const stacked = supportAt(above, x, at[2], 2);
    const piece = pieceOf(prop, [x, Math.max(top - 0.8, stacked) + high / 2, at[2]], frame);
    return prop.place === 'onThighs' ? piece : { ...piece, loose: true };
  }
  if (meeting === 'between') {
    return betweenLegs(prop, body);
  }
  if (prop.place === 'behind' && liesOnSide(body)) {
    const back = unit(across(forwardOf(body.spine.rootFrame), Y_AXIS));
    const half = (prop.lie === 'lengthwise' ? size.wide : size.long) / 2;
    const [x, , z] = along(onSpine(body, 18), back, -half - 11 * body.k);
    return pieceOf(prop, [x, standOn(x, z), z], frame);
  }
  if (meeting === 'against') {
    const x = prop.place === 'soles' ? at[0] + high / 2 + 1.5 : at[0] - high / 2 - 12 * body.k;
    return pieceOf(prop, [x, Math.max(size.wide / 2, 4), at[2]], multiply(frame, [0, 1, 0, -1, 0, 0, 0, 0, 1]));
  }
  if (meeting === 'beside') {
    const half = (prop.lie === 'lengthwise' ? size.wide : size.long) / 2;
    const out = outward(sidesOf(prop.side) ?? 'right') * half;
    return pieceOf(prop, [at[0], standOn(at[0], at[2] + out), at[2] + out], frame);
  }
  if (prop.place === 'chestToCollarbones') {
    const heading = headingOf(body);
    const [x, , z] = along(at, heading, -(prop.lie === 'lengthwise' ? size.long : size.wide) / 2);
    return pieceOf(prop, [x, standOn(x, z) + shift[1], z], frame);
  }
  if (prop.place === 'seat') {
    // Only its front edge is under the sitting bones, so that the thighs slope down from it.
    const deep = (prop.lie === 'lengthwise' ? size.long : size.wide) / 2;
    const x = deep > 14 ? at[0] + 13 * body.k - deep : at[0];
    return pieceOf(prop, [x, standOn(x, at[2]) + shift[1], at[2]], frame);
  }
  if (prop.place === 'head') {
    // It ends where the shoulders begin.
    const heading = headingOf(body);
    const neck = onSpine(body, 52);
    const deep = (prop.lie === 'lengthwise' ? size.long : size.wide) / 2;
    const ahead = (at[0] - neck[0]) * heading[0] + (at[2] - neck[2]) * heading[2];
    const lying = Math.hypot(heading[0], heading[2]) > 0.9 && ahead > 0;
    const back = lying ? Math.max(0, deep - ahead) : 0;
    const [x, y, z] = along(at, heading, back);
    const slope = slopeUnder([x, y, z], at, solids);
    if (slope) return pieceOf(prop, slope.at(high / 2), multiply(slope.frame, lieFrame(prop.lie)));
    return pieceOf(prop, [x, standOn(at[0], at[2]) + shift[1], z], frame);
  }
  const onLegs = prop.place === 'forehead' ? legsUnder(flesh(), at) : 0;
  return pieceOf(prop, [at[0], Math.max(standOn(at[0], at[2]), onLegs + high / 2) + shift[1], at[2]], frame);
}
