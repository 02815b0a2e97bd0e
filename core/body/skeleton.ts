import { armOf, legOf, type Limb, type Limbs } from './limbs';
import type { Pose } from './pose';
import { segmentsOf, REFERENCE_HEIGHT_CM, type Segments } from './proportions';
import { spineOf, type Spine } from './spine';

/** A posed body without its flesh: the joints and the frames of the segments, in the room. */
export interface Skeleton {
  statureCm: number;
  /** Height over the height of the tables. */
  k: number;
  segments: Segments;
  spine: Spine;
  legs: Limbs;
  arms: Limbs;
}

/** The skeleton of a pose for a height in centimetres. Segment lengths are kept at all angles. */
export function skeletonOf(pose: Pose, statureCm: number): Skeleton {
  const k = statureCm / REFERENCE_HEIGHT_CM;
  const segments = segmentsOf(statureCm);
  const spine = spineOf(pose, segments, k);
  const legs: Record<'left' | 'right', Limb> = {
    left: legOf(pose, spine, segments, k, 'left'),
    right: legOf(pose, spine, segments, k, 'right'),
  };
  const arms = {
    left: armOf(pose, spine, legs, segments, k, 'left'),
    right: armOf(pose, spine, legs, segments, k, 'right'),
  };
  return { statureCm, k, segments, spine, legs, arms };
}
