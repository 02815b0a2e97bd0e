import type { Limb } from '../limbs';
import type { Skeleton } from '../skeleton';
import type { Roll } from '../solids/solid';
import { between, cross, distance, frameOf, scale, subtract, unit, X_AXIS, Y_AXIS, type Vec3 } from '../vector';
import type { OwnLimb } from './steps';

/** Half-thickness of thigh, shank, upper arm and forearm where something rests on them, centimetres of the tables. */
const THICK = { leg: [6.8, 4.7], arm: [4, 2.8] } as const;

const NEAR_TRUNK = 0.45;

function roll(from: Vec3, to: Vec3, radius: number): Roll {
  const axis = unit(subtract(to, from));
  const side = unit(cross(Math.abs(axis[1]) < 0.9 ? Y_AXIS : X_AXIS, axis));
  return {
    shape: 'roll',
    prop: 'roundBolster',
    giveCm: 0,
    loose: false,
    at: between(from, to, 0.5),
    radius,
    lengthCm: distance(from, to),
    frame: frameOf(side, scale(cross(side, axis), -1), axis),
  };
}

/** The limbs named, as rolls to rest on. */
export function ownLimbs(body: Skeleton, limbs: readonly OwnLimb[]): Roll[] {
  return limbs.flatMap((name) => {
    const kind = name.endsWith('Leg') ? 'leg' : 'arm';
    const side = name.startsWith('left') ? 'left' : 'right';
    const limb: Limb = kind === 'leg' ? body.legs[side] : body.arms[side];
    const [upper, lowerHalf] = THICK[kind];
    // Near the trunk a limb always touches it, and is left out.
    const from = between(limb.root, limb.middle, NEAR_TRUNK);
    return [roll(from, limb.middle, upper * body.k), roll(limb.middle, limb.end, lowerHalf * body.k)];
  });
}
