import {
  VIEWS,
  type Angles,
  type Arm,
  type Figure,
  type Foot,
  type Hand,
  type Leg,
  type Pose,
  type SettleStep,
  type ViewName,
} from '#core/body';
import type { PropPlace } from '#core/props';

type Place = [number, number, number];

/** A foot against its shin: pointed, turned outward, sole tilted inward; degrees. */
export const pointed = (point: number, turn = 0, tilt = 0): Foot => ({ kind: 'joint', point, turn, tilt });
/** A foot in the room: where the toes point and where the sole looks (along, up, outward). */
export const footTo = (toes: Place, sole: Place): Foot => ({ kind: 'room', toes, sole });
/** Flat on the floor, toes forward and a little out. */
export const FLAT_FOOT = footTo([1, 0, 0.1], [0, -1, 0]);
/** On its back, toes behind. */
const TOP_OF_FOOT = footTo([-1, -0.06, -0.05], [-0.05, 1, 0]);
/** Toes tucked under, heel up. */
export const TOES_TUCKED = footTo([0.25, -1, 0], [-1, -0.25, 0]);
/** Toes up, as with the leg straight on the floor. */
export const TOES_UP = footTo([0.1, 1, 0.04], [1, -0.1, 0]);

export const hand = (turn = 60, curl = 45, bend = 0): Hand => ({ kind: 'joint', turn, bend, curl });
export const handTo = (fingers: Place, palm: Place, curl = 16): Hand => ({ kind: 'room', fingers, palm, curl });
/** Palm down on the floor, fingers forward. */
export const PALM_DOWN = handTo([1, -0.08, -0.15], [0, -1, 0]);

/** A leg by its joints: hip (lift, open, turn out), knee, foot. */
export const legBy = (hip: Angles, knee = 0, foot: Foot = pointed(20), shank = 0): Leg => ({
  kind: 'joints',
  hip,
  knee,
  shank,
  foot,
});
/** A leg by where its ankle is, counted from under the hips; the knee points up (0) or out (90). */
export const ankleAt = (at: Place, swivel: number, foot: Foot): Leg => ({
  kind: 'ankle',
  at,
  swivel,
  hanging: false,
  foot,
});
type Kneeling = Partial<Omit<Extract<Leg, { kind: 'kneeling' }>, 'kind'>>;
/** A leg on its knee with the shin on the floor behind. */
export const kneel = (kneeOut: number, ankleOut: number, rest: Kneeling = {}): Leg => ({
  kind: 'kneeling',
  kneeOut,
  ankleOut,
  kneeUp: 4.6,
  ankleUp: 4.2,
  knee: 'ahead',
  foot: TOP_OF_FOOT,
  ...rest,
});
/** A straight leg along the floor, so far from straight ahead (degrees). */
export const straightLeg = (open = 4, foot: Foot = TOES_UP): Leg => {
  const angle = (open * Math.PI) / 180;
  return ankleAt([150 * Math.cos(angle), 4.4, 150 * Math.sin(angle) + 8.6], 0, foot);
};

/** An arm by its joints: shoulder (lift, open, turn out), elbow, hand. */
export const armBy = (shoulder: Angles, elbow = 12, palm: Hand = hand()): Arm => ({
  kind: 'joints',
  shoulder,
  elbow,
  hand: palm,
});
type Anchor = Extract<Arm, { kind: 'wrist' }>['from'];
/** An arm by where its wrist is, counted from a place of the body; `elbow` is where the elbow points. */
export const wristAt = (from: Anchor, at: Place, elbow: Place, palm: Hand): Arm => ({
  kind: 'wrist',
  from,
  at,
  onFloor: false,
  elbow,
  hand: palm,
});
/** The same, with the height counted from the floor. */
export const wristDown = (from: Anchor, at: Place, elbow: Place, palm: Hand = PALM_DOWN): Arm => ({
  kind: 'wrist',
  from,
  at,
  onFloor: true,
  elbow,
  hand: palm,
});

/** Arms beside a lying body, palms up. */
export const ARMS_BESIDE = armBy([10, 36, 30], 12, hand(60, 45));
/** Hands on the thighs of someone who sits. */
export const HANDS_ON_KNEES = wristAt(
  'knee',
  [-10, 8.2, -2],
  [-0.6, -0.2, 0.7],
  handTo([1, -0.55, 0.5], [-0.45, -1, 0], 22),
);
/** Hands on the belly of someone who lies. */
export const HANDS_ON_BELLY = wristAt('belly', [11.5, 2, 8], [-0.1, -0.3, 1], handTo([0.35, 0, -1], [0, -1, 0], 24));

interface Held {
  pitch?: number;
  roll?: number;
  yaw?: number;
  height?: number;
  lumbar?: number | Angles;
  thoracic?: number | Angles;
  neck?: number | Angles;
  head?: number | Angles;
  /** Both legs, or each. */
  leg?: Leg;
  left?: Leg;
  right?: Leg;
  arm?: Arm;
  leftArm?: Arm;
  rightArm?: Arm;
}

const angles = (value: number | Angles | undefined): Angles =>
  value === undefined ? [0, 0, 0] : typeof value === 'number' ? [value, 0, 0] : value;
const LEG = legBy([0, 5, 5]);
const ARM = armBy([4, 12, 0]);

const pose = (held: Held): Pose => ({
  root: { height: held.height ?? 30, pitch: held.pitch ?? 0, roll: held.roll ?? 0, yaw: held.yaw ?? 0 },
  spine: {
    lumbar: angles(held.lumbar),
    thoracic: angles(held.thoracic),
    neck: angles(held.neck),
    head: angles(held.head),
  },
  // Copied one by one: limbs described together are still two limbs, each of which settles separately.
  legs: {
    left: structuredClone(held.left ?? held.leg ?? LEG),
    right: structuredClone(held.right ?? held.leg ?? LEG),
  },
  arms: {
    left: structuredClone(held.leftArm ?? held.arm ?? ARM),
    right: structuredClone(held.rightArm ?? held.arm ?? ARM),
  },
});

export type Shifts = Figure['shifts'];

/** A figure: how it is held, how it settles, where it is best seen from, and props that lie other than by rule. */
export const figure = (
  held: Held,
  settle: readonly SettleStep[],
  view: ViewName | Figure['view'] = 'threeQuarter',
  shifts: Shifts = {},
): Figure => ({
  pose: pose(held),
  settle: [...settle],
  shifts,
  view: typeof view === 'string' ? VIEWS[view] : view,
});

type On = Extract<SettleStep, { do: 'lower' }>['on'];
type Onto = Extract<SettleStep, { do: 'lower' }>['onto'];
type Of = Extract<SettleStep, { do: 'lower' }>['of'];
type Joint = Extract<SettleStep, { do: 'turn' }>['joint'];

/** Lets the hips down until one of these areas touches. */
export const lower = (on: On, onto: Onto = []): SettleStep => ({ do: 'lower', on, of: 'both', onto });
/** Turns a joint from one angle towards another until one of these areas touches. */
export const turn = (
  joint: Joint,
  from: number,
  to: number,
  on: On,
  { of = 'both', onto = [], onlyWith }: { of?: Of; onto?: Onto; onlyWith?: PropPlace[] } = {},
): SettleStep => ({ do: 'turn', joint, of, from, to, on, onto, ...(onlyWith && { onlyWith }) });
export const put = (...places: PropPlace[]): SettleStep => ({ do: 'put', places });
