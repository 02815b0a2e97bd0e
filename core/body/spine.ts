import type { Angles, Pose } from './pose';
import type { Segments } from './proportions';
import {
  aboutX,
  aboutY,
  aboutZ,
  along,
  between,
  forwardOf,
  multiply,
  turned,
  upOf,
  type Mat3,
  type Vec3,
} from './vector';

/** A place on the spine with the frame of the trunk there. */
export interface SpinePlace {
  /** Centimetres along the spine from the middle of the hips. */
  s: number;
  at: Vec3;
  frame: Mat3;
}

export interface Spine {
  root: Vec3;
  rootFrame: Mat3;
  places: readonly SpinePlace[];
  lengthCm: number;
  /** Places up the neck, from its root to the skull. */
  neck: readonly { at: Vec3; frame: Mat3 }[];
  skull: Vec3;
  head: Mat3;
}

const STEPS = 54;
const NECK_STEPS = 8;
/** The neck leans so far forward by nature, and the head takes it back. */
const NECK_LEAN = 14;

const bend = ([fold, side, twist]: Angles, share: number): Mat3 => {
  const folded = aboutZ(-fold * share);
  if (side === 0 && twist === 0) return folded;
  return turned(folded, aboutX(side * share), aboutY(twist * share));
};

/** The frame of the pelvis in the room. */
const rootFrame = ({ pitch, roll, yaw }: Pose['root']): Mat3 => turned(aboutY(yaw), aboutZ(-pitch), aboutY(roll));

/**
 * How much of a bend falls on each centimetre: ramps over a quarter at both ends, so a fold is round and not hinged.
 */
function density(s: number, from: number, to: number): number {
  if (s < from || s > to) return 0;
  const ramp = (to - from) * 0.25;
  return Math.min(1, (s - from) / ramp, (to - s) / ramp) / ((to - from) * 0.75);
}

/**
 * The spine of a pose, bent little by little from the hips to the root of the neck, with neck and head on it.
 * `k` is height over the tables' height.
 */
export function spineOf(pose: Pose, segments: Segments, k: number): Spine {
  const frame0 = rootFrame(pose.root);
  const root: Vec3 = [0, pose.root.height * k, 0];
  const { lumbar, thoracic, neck, head } = pose.spine;
  const lengthCm = segments.pelvis + segments.lumbar + segments.thorax;
  const step = lengthCm / STEPS;
  const lumbarTop = segments.pelvis + segments.lumbar;

  const places: SpinePlace[] = [{ s: 0, at: root, frame: frame0 }];
  let frame = frame0;
  let at = root;
  for (let i = 0; i < STEPS; i++) {
    const s = (i + 0.5) * step;
    const low = density(s, segments.pelvis - k, lumbarTop + 2 * k) * step;
    const high = density(s, lumbarTop - 2 * k, lengthCm) * step;
    const mixed: Angles = [
      lumbar[0] * low + thoracic[0] * high,
      lumbar[1] * low + thoracic[1] * high,
      lumbar[2] * low + thoracic[2] * high,
    ];
    if (low > 0 || high > 0) frame = multiply(frame, bend(mixed, 1));
    at = along(at, upOf(frame), step);
    places.push({ s: (i + 1) * step, at, frame });
  }

  let neckFrame = multiply(frame, aboutZ(-NECK_LEAN));
  let neckAt = along(at, forwardOf(frame), -0.4 * k);
  const neckPlaces = [{ at: neckAt, frame: neckFrame }];
  const neckBend = bend(neck, 1 / NECK_STEPS);
  for (let i = 0; i < NECK_STEPS; i++) {
    neckFrame = multiply(neckFrame, neckBend);
    neckAt = along(neckAt, upOf(neckFrame), segments.neck / NECK_STEPS);
    neckPlaces.push({ at: neckAt, frame: neckFrame });
  }
  return {
    root,
    rootFrame: frame0,
    places,
    lengthCm,
    neck: neckPlaces,
    skull: neckAt,
    head: turned(neckFrame, aboutZ(NECK_LEAN), bend(head, 1)),
  };
}

/** The spine at so many centimetres from the hips; below the hips it goes straight on. */
export function spineAt(spine: Spine, s: number): SpinePlace {
  if (s <= 0) return { s, at: along(spine.root, upOf(spine.rootFrame), s), frame: spine.rootFrame };
  const steps = Math.min(STEPS - 1e-6, (s / spine.lengthCm) * STEPS);
  const i = Math.floor(steps);
  const share = steps - i;
  const from = spine.places[i]!;
  const to = spine.places[i + 1]!;
  return { s, at: between(from.at, to.at, share), frame: share < 0.5 ? from.frame : to.frame };
}
