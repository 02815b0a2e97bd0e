import { z } from 'zod';
import { Figure } from '#core/body';
import { SetUp } from '#core/props';
import { Approach } from './approach';

export const FAMILIES = ['seated', 'kneeling', 'prone', 'supine', 'sideLying', 'standing', 'wall'] as const;
export const AREAS = [
  'feet',
  'calves',
  'shins',
  'hamstrings',
  'thighs',
  'inner thighs',
  'outer hips',
  'hip flexors',
  'sacrum',
  'low back',
  'upper back',
  'sides',
  'chest',
  'shoulders',
  'arms',
  'neck',
  'breath',
  'whole body',
] as const;
export const TRAITS = [
  'headBelowHeart',
  'prone',
  'flatSupine',
  'deepKneeBend',
  'loadedSpinalFold',
  'endRangeHip',
  'backBend',
  'twist',
  'neckLoad',
  'armsOverhead',
  'inversion',
  'longUnmovingHold',
] as const;

export const SidesKind = z.enum(['together', 'each', 'crossing', 'one']);
/** Symmetric, left and right in turn, one limb in front and then the other, or one side only. */
export type SidesKind = z.infer<typeof SidesKind>;

const Seconds = z.number().min(0).max(3600);
const Words = (max: number) => z.string().trim().min(1).max(max);

/** How long and how strong a position usually is in one approach. Seconds per side; strength from 0 to 10. */
export const HoldDefaults = z
  .strictObject({ seconds: Seconds, minSeconds: Seconds, maxSeconds: Seconds, strength: z.number().min(0).max(10) })
  .refine((d) => d.minSeconds <= d.seconds && d.seconds <= d.maxSeconds, 'The length must lie within its range.');
export type HoldDefaults = z.infer<typeof HoldDefaults>;

/** A moment in a hold: so long after it begins, half-way, or so long before it ends. */
export const Moment = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('after'), seconds: Seconds }),
  z.strictObject({ kind: z.literal('half') }),
  z.strictObject({ kind: z.literal('beforeEnd'), seconds: Seconds }),
]);
export type Moment = z.infer<typeof Moment>;

/** A length of a stage: so many seconds, or a share of what the fixed stages do not use. */
export const StageLength = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('fixed'),
    seconds: z.number().min(1, 'A stage lasts at least a second.').max(3600),
  }),
  z.strictObject({ kind: z.literal('share'), weight: z.number().min(0.1).max(20) }),
]);
export type StageLength = z.infer<typeof StageLength>;

export const NamedSetUp = z.strictObject({
  id: Words(64),
  name: Words(80),
  /** Made of things found at home. */
  home: z.boolean(),
  items: SetUp,
});
export type NamedSetUp = z.infer<typeof NamedSetUp>;

/** Another way to hold a position, with the set-up or the position that shows it. */
export const Variation = z.strictObject({
  words: Words(300),
  setUp: z.string().min(1).max(64).optional(),
  position: z.string().min(1).max(64).optional(),
});
export type Variation = z.infer<typeof Variation>;

/** An entry of the library: a position with what a teacher knows of it. */
export const Position = z.strictObject({
  id: Words(64),
  names: z.strictObject({ english: Words(80), sanskrit: z.string().max(80), yin: z.string().max(80) }),
  /** A short name for the ribbon's lane. */
  short: Words(24),
  family: z.enum(FAMILIES),
  comesOutInto: z.enum(FAMILIES),
  sides: SidesKind,
  /** What "left" means here: which leg, which arm. Empty for a position done together. */
  leftMeans: z.string().max(120),
  defaults: z.partialRecord(Approach, HoldDefaults),
  enterSeconds: Seconds,
  leaveSeconds: Seconds,
  switchSeconds: Seconds,
  areas: z.array(z.enum(AREAS)).min(1),
  aims: Words(400),
  setUps: z.array(NamedSetUp).min(1),
  stages: z.array(z.strictObject({ name: Words(60), length: StageLength })).max(8),
  waysIn: z.array(Words(240)).min(2).max(5),
  waysOut: z.array(Words(240)).min(1).max(5),
  prompts: z.array(z.strictObject({ at: Moment, text: Words(200) })).max(12),
  easier: Variation,
  stronger: Variation,
  /** Seconds of still rest that usually follow, after each side or after both. */
  rebound: z.strictObject({ seconds: Seconds, when: z.enum(['none', 'afterEach', 'afterBoth']) }),
  /** A small movement that loosens what was held. */
  loosen: z.string().max(200),
  /** What answers it: a position that goes the other way. */
  answer: z.string().max(200),
  traits: z.array(z.enum(TRAITS)),
  caution: Words(400),
  /** How it is drawn, with the left side held. */
  figure: Figure,
});
export type Position = z.infer<typeof Position>;
