import fc from 'fast-check';
import { Pose } from '#core/body';

const degrees = (least: number, most: number) => fc.integer({ min: least, max: most });
const angles = (fold: number, lean: number, turn: number) =>
  fc.tuple(degrees(-fold, fold), degrees(-lean, lean), degrees(-turn, turn));
const place = fc.tuple(degrees(-90, 90), degrees(-20, 90), degrees(-60, 60));
const way = fc
  .tuple(degrees(-10, 10), degrees(-10, 10), degrees(-10, 10))
  .filter(([x, y, z]) => x !== 0 && y !== 0 && z !== 0 && Math.abs(x) !== Math.abs(y));

const foot = fc.record({
  kind: fc.constant('joint' as const),
  point: degrees(-30, 80),
  turn: degrees(-40, 40),
  tilt: degrees(-30, 30),
});
const hand = fc.record({
  kind: fc.constant('joint' as const),
  turn: degrees(-90, 90),
  bend: degrees(-60, 60),
  curl: degrees(0, 90),
});
const leg = fc.oneof(
  fc.record({
    kind: fc.constant('joints' as const),
    hip: angles(120, 60, 60),
    knee: degrees(0, 150),
    shank: degrees(-20, 20),
    foot,
  }),
  fc.record({
    kind: fc.constant('ankle' as const),
    at: place,
    swivel: degrees(-90, 180),
    hanging: fc.boolean(),
    foot,
  }),
  fc.record({
    kind: fc.constant('kneeling' as const),
    kneeOut: degrees(0, 40),
    ankleOut: degrees(-10, 40),
    kneeUp: degrees(3, 10),
    ankleUp: degrees(3, 14),
    knee: fc.constantFrom('ahead' as const, 'behind' as const),
    foot,
  }),
);
const arm = fc.oneof(
  fc.record({ kind: fc.constant('joints' as const), shoulder: angles(170, 90, 90), elbow: degrees(0, 140), hand }),
  fc.record({
    kind: fc.constant('wrist' as const),
    from: fc.constantFrom('floor', 'shoulder', 'hip', 'knee', 'otherAnkle', 'head', 'belly', 'chest'),
    at: place,
    onFloor: fc.boolean(),
    elbow: way,
    hand,
  }),
);

/** Any pose: limbs held in any of the ways a pose can hold them. */
export const anyPose: fc.Arbitrary<Pose> = fc
  .record({
    root: fc.record({
      height: degrees(10, 90),
      pitch: degrees(-120, 120),
      roll: degrees(-90, 90),
      yaw: degrees(-90, 90),
    }),
    spine: fc.record({
      lumbar: angles(40, 25, 20),
      thoracic: angles(40, 30, 45),
      neck: angles(45, 30, 40),
      head: angles(30, 20, 40),
    }),
    legs: fc.record({ left: leg, right: leg }),
    arms: fc.record({ left: arm, right: arm }),
  })
  .map((pose) => Pose.parse(pose));
