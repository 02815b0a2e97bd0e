import { readEvenly } from '../curve-table';
import type { Limb } from '../limbs';
import type { Hand } from '../pose';
import type { Skeleton } from '../skeleton';
import { aboutX, across, add, along, between, cross, frameOf, multiply, rightOf, toWorld, unit, upOf } from '../vector';
import type { Add } from './ellipsoid';

/** Down the upper arm: share, half-depth, half-breadth. */
const UPPER = readEvenly(
  [
    [0, 4.9, 4.8],
    [0.12, 5, 4.8],
    [0.35, 4.6, 4.4],
    [0.7, 3.9, 3.8],
    [1, 3.6, 3.5],
  ],
  18,
);
const FOREARM = readEvenly(
  [
    [0, 3.6, 3.6],
    [0.22, 3.8, 3.8],
    [0.6, 3.1, 3.2],
    [0.9, 2.2, 2.7],
    [1, 2, 2.7],
  ],
  18,
);
/** Down the palm: share of the hand, half-thickness, half-breadth. */
const PALM = readEvenly(
  [
    [0, 1.8, 2.6],
    [0.2, 1.6, 3.4],
    [0.48, 1.4, 3.9],
    [0.56, 1.1, 3.8],
  ],
  9,
);
const PALM_SHARE = 0.56;
/**
 * Fingers from the thumb's side: where they begin across the palm, their length as a share of the hand, their spread.
 */
const FINGERS = [
  { from: 2.85, share: 0.4, spread: 5 },
  { from: 0.95, share: 0.44, spread: 1.2 },
  { from: -0.95, share: 0.41, spread: -2.6 },
  { from: -2.75, share: 0.32, spread: -8 },
];
const FINGER_STEPS = 8;

export function addUpperArm(body: Skeleton, arm: Limb, side: -1 | 1, put: Add): void {
  const { k, segments } = body;
  for (const { at, values } of UPPER) {
    const [depth = 0, half = 0] = values;
    put({
      part: 'upperArm',
      side,
      at: along(arm.root, upOf(arm.upper), -segments.upperArm * at),
      frame: arm.upper,
      radii: [depth * k, Math.min(depth, half) * 0.95 * k, half * k],
      s: at,
    });
  }
}

/** The forearm; its section turns from the elbow's frame to the hand's. */
export function addForearm(body: Skeleton, arm: Limb, side: -1 | 1, put: Add): void {
  const { k, segments } = body;
  const up = upOf(arm.lower);
  for (const { at, values } of FOREARM) {
    const [thin = 0, broad = 0] = values;
    const right = unit(across(between(rightOf(arm.lower), rightOf(arm.last), at), up));
    put({
      part: 'forearm',
      side,
      at: along(arm.end, up, segments.forearm * (1 - at)),
      frame: frameOf(cross(up, right), up, right),
      radii: [broad * k, 2.6 * k, thin * k],
      s: at,
    });
  }
}

/** Palm, four fingers with their curl, and thumb. The hand's frame: fingers down, thumb forward. */
export function addHand(body: Skeleton, arm: Limb, hand: Hand, side: -1 | 1, put: Add): void {
  const { k, segments } = body;
  const long = segments.hand;
  for (const { at, values } of PALM) {
    const [thick = 0, half = 0] = values;
    const centre = along(arm.end, upOf(arm.last), -long * at);
    put({ part: 'hand', side, at: centre, frame: arm.last, radii: [half * k, 1.3 * k, thick * k], s: at });
  }
  for (const finger of FINGERS) {
    let frame = arm.last;
    let at = add(arm.end, toWorld(arm.last, [finger.from * k, -long * (PALM_SHARE - 0.03), 0]));
    const step = (long * finger.share) / FINGER_STEPS;
    const spread = (finger.spread * Math.PI) / 180;
    const curl = aboutX((side * hand.curl) / FINGER_STEPS);
    for (let i = 0; i <= FINGER_STEPS; i++) {
      const t = i / FINGER_STEPS;
      const radius = (1.12 - 0.4 * t * t) * k;
      put({ part: 'hand', side, at, frame, radii: [radius, 1.1 * k, radius * 0.88], s: PALM_SHARE + t * 0.44 });
      frame = multiply(frame, curl);
      at = add(at, toWorld(frame, [Math.sin(spread) * step, -Math.cos(spread) * step, 0]));
    }
  }
  for (let i = 0; i <= 7; i++) {
    const t = i / 7;
    put({
      part: 'hand',
      side,
      at: add(arm.end, toWorld(arm.last, [(1.6 + 3.6 * t) * k, (-2 - 6.2 * t) * k, -side * (0.2 + t) * k])),
      frame: arm.last,
      radii: [(1.4 - 0.4 * t) * k, 1.3 * k, (1.3 - 0.4 * t) * k],
      s: 0.3,
    });
  }
}
