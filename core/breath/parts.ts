import { z } from 'zod';
import { oneOf, seconds } from '#core/document';
import { BREATH_LIMITS as MOST } from './limits';

const Counts = z
  .int('Counts are whole numbers.')
  .min(0, 'A count cannot be below zero.')
  .max(MOST.maxCounts, `A phase has at most ${MOST.maxCounts} counts.`);

/** Where a breath passes: both nostrils, one of them, or the mouth. */
export const Through = z.enum(['nose', 'left', 'right', 'mouth']);
export type Through = z.infer<typeof Through>;

export const BREATH_SOUNDS = ['none', 'throat', 'hum', 'hiss', 'voice'] as const;
export type BreathSound = (typeof BREATH_SOUNDS)[number];

export const BREATH_PLACES = ['belly', 'sideRibs', 'backRibs', 'upperChest'] as const;
/** Where in the body a breath is felt. */
export type BreathPlace = (typeof BREATH_PLACES)[number];

export const BREATH_LOCKS = ['root', 'belly', 'chin'] as const;
/** A lock held while the breath is held: of the pelvic floor, the belly, the throat. */
export type BreathLock = (typeof BREATH_LOCKS)[number];

const Sound = oneOf('A sound', BREATH_SOUNDS);
const Place = oneOf('A place of the breath', BREATH_PLACES).nullable();
const Locks = z.array(oneOf('A lock', BREATH_LOCKS)).max(BREATH_LOCKS.length);
const SecondsACycle = z
  .number('A breath lasts a number of seconds.')
  .min(1, 'A breath takes at least a second.')
  .max(60, 'A breath takes at most a minute.');
const Cycles = (most: number) =>
  z.int('Breaths are whole numbers.').min(1, 'At least one breath.').max(most, `At most ${most} breaths.`);

/** The quarters of a counted breath, in order. */
export const QUARTERS = ['in', 'holdFull', 'out', 'holdEmpty'] as const;
export type Quarter = (typeof QUARTERS)[number];
export const QUARTER_NAMES: Record<Quarter, string> = {
  in: 'the in-breath',
  holdFull: 'the full hold',
  out: 'the out-breath',
  holdEmpty: 'the empty hold',
};

/**
 * A breath in or out that is interrupted: its counts in so many equal parts, with a pause of so many counts between two
 * of them. The pauses come on top of its counts.
 */
export const BreathSteps = z.strictObject({
  parts: z
    .int('Parts are whole numbers.')
    .min(2, 'An interrupted breath has at least two parts.')
    .max(MOST.maxBreathParts, `An interrupted breath has at most ${MOST.maxBreathParts} parts.`),
  pauseCounts: z
    .int('Counts are whole numbers.')
    .min(1, 'A pause has at least one count.')
    .max(MOST.maxPauseCounts, `A pause has at most ${MOST.maxPauseCounts} counts.`),
});
export type BreathSteps = z.infer<typeof BreathSteps>;

export const OUT_DIRECTIONS = ['fromAbove', 'fromBelow'] as const;
/** Where the out-breath begins in the trunk. */
export type OutDirection = (typeof OUT_DIRECTIONS)[number];

export const LOUDNESS = ['soft', 'loud'] as const;

const Wave = z
  .array(oneOf('A place of the breath', BREATH_PLACES))
  .min(2, 'A wave goes through at least two places.')
  .max(BREATH_PLACES.length)
  .refine((places) => new Set(places).size === places.length, 'A wave goes through each place once.');

/** One counted breath: in, hold full, out, hold empty, each in counts. */
export const CyclePart = z.strictObject({
  kind: z.literal('cycle'),
  in: Counts.min(1, 'A cycle needs an in-breath of at least one count.'),
  holdFull: Counts,
  out: Counts.min(1, 'A cycle needs an out-breath of at least one count.'),
  holdEmpty: Counts,
  inThrough: Through,
  outThrough: Through,
  sound: Sound,
  place: Place,
  /** Kept while the breath is held, full or empty. */
  locks: Locks,
  /** Where the in-breath or the out-breath is interrupted. */
  inSteps: BreathSteps.optional(),
  outSteps: BreathSteps.optional(),
  /** The places the in-breath goes through as one wave, in its order; there is no single place then. */
  wave: Wave.optional(),
  outDirection: oneOf('A direction', OUT_DIRECTIONS).optional(),
  /** How loud a sound of the throat is. */
  loudness: oneOf('A loudness', LOUDNESS).optional(),
  /** What is sung or spoken on the out-breath: `ah`. */
  vowel: z.string().trim().min(1, 'Say which sound.').max(12, 'A sound has at most 12 characters.').optional(),
});
export type CyclePart = z.infer<typeof CyclePart>;

/** Breaths at one's own pace, with the seconds one of them is expected to take. */
export const OwnPacePart = z.strictObject({
  kind: z.literal('ownPace'),
  cycles: Cycles(MOST.maxRounds),
  secondsPerCycle: SecondsACycle,
  through: Through,
  sound: Sound,
  place: Place,
});
export type OwnPacePart = z.infer<typeof OwnPacePart>;

/**
 * Pumps of the belly: short out-breaths after which the air comes back by itself, or both ways with the same strength.
 */
export const StrokesPart = z.strictObject({
  kind: z.literal('strokes'),
  count: z
    .int('Pumps are a whole number.')
    .min(1, 'At least one pump.')
    .max(MOST.maxStrokes, `At most ${MOST.maxStrokes} pumps in a row.`),
  perMinute: z
    .number('Pumps a minute are a number.')
    .min(MOST.minStrokesPerMinute, `At least ${MOST.minStrokesPerMinute} pumps a minute.`)
    .max(MOST.maxStrokesPerMinute, `At most ${MOST.maxStrokesPerMinute} pumps a minute.`),
  active: z.enum(['out', 'both']),
  through: Through,
});
export type StrokesPart = z.infer<typeof StrokesPart>;

/** One hold, full or empty: so many seconds, or as long as easy with the seconds that is expected to be. */
export const RetentionPart = z.strictObject({
  kind: z.literal('retention'),
  held: z.enum(['full', 'empty']),
  seconds: seconds('A hold of the breath', 1, MOST.maxHoldSeconds),
  asLongAsEasy: z.boolean(),
  /** How often the belly is drawn in and let go while holding; 0 for a still hold. */
  pulses: z
    .int('Pulses are whole numbers.')
    .min(0, 'Pulses cannot be below zero.')
    .max(MOST.maxPulses, `At most ${MOST.maxPulses} pulses in one hold.`),
  locks: Locks,
});
export type RetentionPart = z.infer<typeof RetentionPart>;

/** Quiet breathing within a round: for so many seconds, or so many breaths at their own pace. */
export const RecoverPart = z.strictObject({
  kind: z.literal('recover'),
  for: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('seconds'), seconds: seconds('A recovery', 1, MOST.maxRecoverSeconds) }),
    z.strictObject({ kind: z.literal('cycles'), cycles: Cycles(60), secondsPerCycle: SecondsACycle }),
  ]),
});
export type RecoverPart = z.infer<typeof RecoverPart>;

export const BreathPart = z.discriminatedUnion('kind', [
  CyclePart,
  OwnPacePart,
  StrokesPart,
  RetentionPart,
  RecoverPart,
]);
export type BreathPart = z.infer<typeof BreathPart>;
export type PartKind = BreathPart['kind'];
