import { armLift, hipAngles, kneeAngle } from './flexibility';
import { headCentre, heartOf } from './landmarks';
import { SIDES } from './pose';
import type { Settled } from './settle/settle';
import { spineAt } from './spine';
import { arcSine, arcTangent, forwardOf, subtract, toLocal, upOf } from './vector';

/**
 * What is measured of a body at rest, as far as cautions ask for it, in whole centimetres and degrees. Of two sides the
 * one that is further from rest.
 */
export interface Strains {
  /** Negative: above it. */
  headBelowHeartCm: number;
  /** The hips. Negative: below it. */
  pelvisOverHeartCm: number;
  /** The lower of the two ankles: both legs are up so far. */
  legsOverHeartCm: number;
  /** The hip joints over the floor. */
  hipsOverFloorCm: number;
  /** The way from hips to shoulders against the floor: 0 lying, 90 upright, below 0 with the shoulders lower. */
  trunkDegrees: number;
  /** How far the chest looks up: 90 lying on the back, 0 upright or on the side, -90 face down. */
  facingUpDegrees: number;
  /** From the pelvis to the shoulders: rounded forwards; negative: arched back. */
  spineFoldDegrees: number;
  kneeBendDegrees: number;
  hipFoldDegrees: number;
  /** The thigh behind the trunk; negative: in front of it. */
  hipExtensionDegrees: number;
  /** The less opened of the two thighs: both are open so far. */
  hipsOpenDegrees: number;
  armLiftDegrees: number;
  /** The fold of a hip less the bend of its knee: how far the back of the leg is stretched. */
  legStretchDegrees: number;
}

/** The strains in the order in which tables have them. */
export const STRAIN_NAMES = [
  'headBelowHeartCm',
  'pelvisOverHeartCm',
  'legsOverHeartCm',
  'hipsOverFloorCm',
  'trunkDegrees',
  'facingUpDegrees',
  'spineFoldDegrees',
  'kneeBendDegrees',
  'hipFoldDegrees',
  'hipExtensionDegrees',
  'hipsOpenDegrees',
  'armLiftDegrees',
  'legStretchDegrees',
] as const satisfies readonly (keyof Strains)[];

const AT_REST: Strains = {
  headBelowHeartCm: 0,
  pelvisOverHeartCm: 0,
  legsOverHeartCm: 0,
  hipsOverFloorCm: 0,
  trunkDegrees: 0,
  facingUpDegrees: 0,
  spineFoldDegrees: 0,
  kneeBendDegrees: 0,
  hipFoldDegrees: 0,
  hipExtensionDegrees: 0,
  hipsOpenDegrees: 0,
  armLiftDegrees: 0,
  legStretchDegrees: 0,
};

/** The strains of a row of a table. */
export function strainsOfRow(row: readonly number[]): Strains {
  const strains = { ...AT_REST };
  for (const [i, name] of STRAIN_NAMES.entries()) strains[name] = row[i] ?? 0;
  return strains;
}

/** Measures a body at rest. */
export function strainsOf({ body }: Settled): Strains {
  const { spine, legs, segments } = body;
  const heart = heartOf(body)[1];
  const shoulders = spineAt(spine, segments.shoulderAlong);
  const trunk = subtract(shoulders.at, spine.root);
  const bent = toLocal(spine.rootFrame, upOf(shoulders.frame));
  const larger = (of: (side: 'left' | 'right') => number): number => Math.max(...SIDES.map(of));
  const smaller = (of: (side: 'left' | 'right') => number): number => Math.min(...SIDES.map(of));
  const measured: Strains = {
    headBelowHeartCm: heart - headCentre(body)[1],
    pelvisOverHeartCm: spine.root[1] - heart,
    legsOverHeartCm: smaller((side) => legs[side].end[1]) - heart,
    hipsOverFloorCm: spine.root[1],
    trunkDegrees: arcTangent(trunk[1], Math.hypot(trunk[0], trunk[2])),
    facingUpDegrees: arcSine(forwardOf(shoulders.frame)[1]),
    spineFoldDegrees: arcTangent(bent[0], bent[1]),
    kneeBendDegrees: larger((side) => kneeAngle(body, side)),
    hipFoldDegrees: larger((side) => hipAngles(body, side).flex),
    hipExtensionDegrees: larger((side) => -hipAngles(body, side).flex),
    hipsOpenDegrees: smaller((side) => hipAngles(body, side).open),
    armLiftDegrees: larger((side) => armLift(body, side)),
    legStretchDegrees: larger((side) => hipAngles(body, side).flex - kneeAngle(body, side)),
  };
  // Never a negative nought.
  for (const name of STRAIN_NAMES) measured[name] = Math.round(measured[name]) + 0;
  return measured;
}
