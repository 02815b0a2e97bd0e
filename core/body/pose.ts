import { z } from 'zod';

const degrees = (most: number) => z.number().min(-most).max(most);
const Triple = z.tuple([degrees(180), degrees(180), degrees(180)]);
const Point = z.tuple([z.number().min(-300).max(300), z.number().min(-300).max(300), z.number().min(-300).max(300)]);

/**
 * Three angles of a joint in degrees. Spine: fold forward, lean to the right, turn to the left. Hip and shoulder: lift
 * forward, open away from the middle, turn outward.
 */
export type Angles = z.infer<typeof Triple>;

/**
 * A place or direction in body centimetres (of a height of 165, scaled for others): along the mat, up, and outward:
 * away from the middle on the limb's own side. So both sides share the same numbers, and mirroring is swapping.
 */
export type Outward = z.infer<typeof Point>;

export const Foot = z.discriminatedUnion('kind', [
  /** Against the shin: pointed, turned outward, tilted with the sole inward. */
  z.strictObject({ kind: z.literal('joint'), point: degrees(90), turn: degrees(90), tilt: degrees(60) }),
  /** In the room: where the toes point and where the sole looks. */
  z.strictObject({ kind: z.literal('room'), toes: Point, sole: Point }),
]);
export type Foot = z.infer<typeof Foot>;

export const Leg = z.discriminatedUnion('kind', [
  /** By its joints. `shank` turns the lower leg outward at a bent knee. */
  z.strictObject({ kind: z.literal('joints'), hip: Triple, knee: degrees(180), shank: degrees(60), foot: Foot }),
  /**
   * By where the ankle is: so far along and out from the middle of the hips, so high above the floor. `swivel` is where
   * the knee points: 0 up, 90 out to the side, seen along the line from hip to ankle.
   */
  z.strictObject({
    kind: z.literal('ankle'),
    at: Point,
    swivel: degrees(180),
    /** Counted from the heights of the hips instead of the floor. */
    hanging: z.boolean(),
    foot: Foot,
  }),
  /** On the knee: knee and ankle on the floor so far out and so high; how far along follows from the hips' height. */
  z.strictObject({
    kind: z.literal('kneeling'),
    kneeOut: z.number().min(-60).max(90),
    ankleOut: z.number().min(-60).max(90),
    kneeUp: z.number().min(0).max(60),
    ankleUp: z.number().min(0).max(60),
    /** Whether the knee is in front of the hips or behind them. The shin always points back. */
    knee: z.enum(['ahead', 'behind']),
    foot: Foot,
  }),
]);
export type Leg = z.infer<typeof Leg>;

export const Hand = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('joint'), turn: degrees(120), bend: degrees(90), curl: degrees(120) }),
  z.strictObject({ kind: z.literal('room'), fingers: Point, palm: Point, curl: degrees(120) }),
]);
export type Hand = z.infer<typeof Hand>;

/**
 * What a wrist can be placed from. `floor` counts along and out from the middle of the hips, up from the floor. `belly`
 * and `chest` count in the trunk's own directions: forward, up the spine, outward.
 */
const WRIST_ANCHORS = [
  'floor',
  'shoulder',
  'hip',
  'knee',
  'ankle',
  'otherKnee',
  'otherAnkle',
  'head',
  'belly',
  'chest',
] as const;

export const Arm = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('joints'), shoulder: Triple, elbow: degrees(180), hand: Hand }),
  /** By where the wrist is, counted from a place of the body; `elbow` is the direction the elbow points to. */
  z.strictObject({
    kind: z.literal('wrist'),
    from: z.enum(WRIST_ANCHORS),
    at: Point,
    /** The height counts from the floor, whatever it is placed from. */
    onFloor: z.boolean(),
    elbow: Point,
    hand: Hand,
  }),
]);
export type Arm = z.infer<typeof Arm>;

const pair = <T extends z.ZodType>(limb: T) => z.strictObject({ left: limb, right: limb });

/** How a body is held: the angles of all its joints, before it has come to rest on anything. */
export const Pose = z.strictObject({
  /**
   * The pelvis. Pitch: 0 upright, 90 face down, −90 on the back (head towards −X). Roll 90: on the left side. Height of
   * the middle of the hips before anything has settled, in body centimetres.
   */
  root: z.strictObject({
    height: z.number().min(-50).max(200),
    pitch: degrees(180),
    roll: degrees(180),
    yaw: degrees(180),
  }),
  spine: z.strictObject({ lumbar: Triple, thoracic: Triple, neck: Triple, head: Triple }),
  legs: pair(Leg),
  arms: pair(Arm),
});
export type Pose = z.infer<typeof Pose>;

export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];
/** +1 for the right, −1 for the left: the sign of Z there. */
export const outward = (side: Side): 1 | -1 => (side === 'right' ? 1 : -1);
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');
