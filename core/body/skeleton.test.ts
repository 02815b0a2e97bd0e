import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyPose } from '../../tests/support/poses';
import { mirrorPose } from './mirror';
import { Pose, SIDES } from './pose';
import { segmentsOf, SHARES } from './proportions';
import { reach, withinReach } from './reach';
import { skeletonOf } from './skeleton';
import { spineAt } from './spine';
import { distance, dot, forwardOf, rightOf, upOf, type Mat3, type Vec3 } from './vector';

const statures = fc.integer({ min: 140, max: 200 });

function expectFrame(frame: Mat3) {
  for (const axis of [forwardOf(frame), upOf(frame), rightOf(frame)]) expect(dot(axis, axis)).toBeCloseTo(1, 6);
  expect(dot(forwardOf(frame), upOf(frame))).toBeCloseTo(0, 6);
  expect(dot(upOf(frame), rightOf(frame))).toBeCloseTo(0, 6);
}

describe('a skeleton', () => {
  test('keeps the length of every segment at all angles', () => {
    fc.assert(
      fc.property(anyPose, statures, (pose, stature) => {
        const body = skeletonOf(pose, stature);
        const { thigh, shank, upperArm, forearm, hipOut, shoulderOut } = segmentsOf(stature);
        for (const side of SIDES) {
          const leg = body.legs[side];
          expect(distance(leg.root, leg.middle)).toBeCloseTo(thigh, 6);
          expect(distance(leg.middle, leg.end)).toBeCloseTo(shank, 6);
          const arm = body.arms[side];
          expect(distance(arm.root, arm.middle)).toBeCloseTo(upperArm, 6);
          expect(distance(arm.middle, arm.end)).toBeCloseTo(forearm, 6);
          for (const limb of [leg, arm]) for (const frame of [limb.upper, limb.lower, limb.last]) expectFrame(frame);
        }
        expect(distance(body.legs.left.root, body.legs.right.root)).toBeCloseTo(2 * hipOut, 6);
        expect(distance(body.arms.left.root, body.arms.right.root)).toBeCloseTo(2 * shoulderOut, 6);
        const { places } = body.spine;
        const along = places.slice(1).reduce((sum, { at }, i) => sum + distance(places[i]!.at, at), 0);
        expect(along).toBeCloseTo(stature * (SHARES.pelvis + SHARES.lumbar + SHARES.thorax), 6);
      }),
    );
  });

  test('bends the spine by the angles it is given, little by little', () => {
    const upright: Vec3 = [0, 1, 0];
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 60 }), fc.integer({ min: -30, max: 50 }), (lumbar, thoracic) => {
        const pose = Pose.parse(structuredClone(straight));
        pose.spine.lumbar[0] = lumbar;
        pose.spine.thoracic[0] = thoracic;
        const { spine } = skeletonOf(pose, 170);
        const top = upOf(spine.places.at(-1)!.frame);
        const bent = (Math.atan2(top[0], top[1]) * 180) / Math.PI;
        // The weights are summed at 54 places, which leaves less than a degree.
        expect(Math.abs(bent - lumbar - thoracic)).toBeLessThan(1.2);
        expect(dot(upOf(spineAt(spine, -3).frame), upright)).toBeCloseTo(1, 9);
      }),
    );
  });

  test('mirrored is the mirror image, and mirrored twice the same pose', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        expect(mirrorPose(mirrorPose(pose))).toEqual(pose);
        const body = skeletonOf(pose, 165);
        const image = skeletonOf(mirrorPose(pose), 165);
        const same = (a: Vec3, b: Vec3) => {
          expect(a[0]).toBeCloseTo(b[0], 6);
          expect(a[1]).toBeCloseTo(b[1], 6);
          expect(a[2]).toBeCloseTo(-b[2], 6);
        };
        same(body.spine.skull, image.spine.skull);
        same(body.legs.left.end, image.legs.right.end);
        same(body.arms.right.end, image.arms.left.end);
      }),
    );
  });
});

const straight = {
  root: { height: 80, pitch: 0, roll: 0, yaw: 0 },
  spine: { lumbar: [0, 0, 0], thoracic: [0, 0, 0], neck: [0, 0, 0], head: [0, 0, 0] },
  legs: {
    left: { kind: 'joints', hip: [0, 0, 0], knee: 0, shank: 0, foot: { kind: 'joint', point: 0, turn: 0, tilt: 0 } },
    right: { kind: 'joints', hip: [0, 0, 0], knee: 0, shank: 0, foot: { kind: 'joint', point: 0, turn: 0, tilt: 0 } },
  },
  arms: {
    left: { kind: 'joints', shoulder: [0, 0, 0], elbow: 0, hand: { kind: 'joint', turn: 0, bend: 0, curl: 0 } },
    right: { kind: 'joints', shoulder: [0, 0, 0], elbow: 0, hand: { kind: 'joint', turn: 0, bend: 0, curl: 0 } },
  },
};

test('standing, the crown is at the stature, the ankles a hand over the floor', () => {
  const pose = Pose.parse(structuredClone(straight));
  const body = skeletonOf(pose, 165);
  const legs = body.spine.root[1] - body.legs.left.end[1];
  const ankle = SHARES.ankleHeight * 165;
  const crown = body.spine.skull[1] + 15 - body.spine.root[1];
  // Winter's figure is 1.000 from sole to crown; the neck's lean and a head of 15 cm leave some two centimetres.
  expect(Math.abs(legs + ankle + crown - 165)).toBeLessThan(3);
});

describe('reaching', () => {
  const point = fc.tuple(
    fc.integer({ min: -60, max: 60 }),
    fc.integer({ min: -60, max: 60 }),
    fc.integer({ min: -60, max: 60 }),
  ) as fc.Arbitrary<[number, number, number]>;

  test('comes to the target when it can, and as near as a straight limb goes when it can not', () => {
    fc.assert(
      fc.property(point, point, (target, pole) => {
        const { end, shortCm } = reach([0, 0, 0], target, 40, 38, pole, 'knee');
        const far = Math.hypot(...target);
        if (far > 3 && far < 77.9) expect(distance(end, target)).toBeLessThan(1e-6);
        else if (far >= 78) expect(Math.abs(distance(end, target) - shortCm)).toBeLessThan(1e-6);
      }),
    );
  });

  test('a target over the ground that lies too far is drawn in at its own height', () => {
    fc.assert(
      fc.property(point, fc.integer({ min: 61, max: 90 }), ([x, y, z], far) => {
        const target: Vec3 = [x * 3, y / 2, z * 3];
        const near = withinReach([0, 10, 0], target, far);
        expect(near[1]).toBe(target[1]);
        expect(distance([0, 10, 0], near)).toBeLessThanOrEqual(Math.max(far + 1e-6, 0));
      }),
    );
  });
});
