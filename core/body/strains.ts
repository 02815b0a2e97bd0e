import { armLift, hipAngles, kneeAngle } from './flexibility';
import { headCentre, heartOf } from './landmarks';
import { SIDES } from './pose';
import type { Settled } from './settle/settle';

/**
 * How far a settled body is from rest, as far as cautions ask: centimetres and degrees, the larger of the two sides. A
 * head above the heart and hips below it are negative.
 */
export interface Strains {
  headBelowHeartCm: number;
  pelvisOverHeartCm: number;
  kneeBendDegrees: number;
  hipFoldDegrees: number;
  armLiftDegrees: number;
}

/** Measures how far a body is from rest, in whole centimetres and degrees. */
export function strainsOf({ body }: Settled): Strains {
  const heart = heartOf(body)[1];
  const larger = (of: (side: 'left' | 'right') => number): number => Math.round(Math.max(...SIDES.map(of)));
  return {
    headBelowHeartCm: Math.round(heart - headCentre(body)[1]),
    pelvisOverHeartCm: Math.round(body.spine.root[1] - heart),
    kneeBendDegrees: larger((side) => kneeAngle(body, side)),
    hipFoldDegrees: larger((side) => hipAngles(body, side).flex),
    armLiftDegrees: larger((side) => armLift(body, side)),
  };
}
