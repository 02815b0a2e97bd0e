import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyPose } from '../../tests/support/poses';
import { poseByJoints } from './by-joints';
import { jointsPastLimits } from './joint-limits';
import { Pose, SIDES } from './pose';
import { skeletonOf } from './skeleton';
import { distance } from './vector';

describe('a pose read off by its joints', () => {
  test('has every limb held by joints, and stands in the same places', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        const body = skeletonOf(pose, 165);
        const byJoints = poseByJoints(pose, body);
        expect(Pose.parse(byJoints)).toEqual(byJoints);
        const again = skeletonOf(byJoints, 165);
        for (const side of SIDES) {
          expect(byJoints.legs[side].kind).toBe('joints');
          expect(byJoints.arms[side].kind).toBe('joints');
          // Angles are kept to a tenth of a degree: over a limb that is less than a centimetre or two.
          expect(distance(again.legs[side].middle, body.legs[side].middle)).toBeLessThan(0.9);
          expect(distance(again.legs[side].end, body.legs[side].end)).toBeLessThan(1.6);
          expect(distance(again.arms[side].middle, body.arms[side].middle)).toBeLessThan(0.9);
          expect(distance(again.arms[side].end, body.arms[side].end)).toBeLessThan(1.6);
        }
      }),
    );
  });

  test('read twice it is the same', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        const once = poseByJoints(pose, skeletonOf(pose, 165));
        expect(poseByJoints(once, skeletonOf(once, 165))).toEqual(once);
      }),
    );
  });
});

test('a joint past its limit is named with how far it goes', () => {
  fc.assert(
    fc.property(anyPose, (pose) => {
      const byJoints = poseByJoints(pose, skeletonOf(pose, 165));
      byJoints.spine.lumbar[0] = 120;
      expect(jointsPastLimits(byJoints).map(({ joint }) => joint)).toContain('lumbar');
      expect(jointsPastLimits(byJoints).find(({ joint }) => joint === 'lumbar')?.reason).toBe(
        'Low back, round goes from -60° to 70°, not to 120°.',
      );
    }),
    { numRuns: 10 },
  );
});
