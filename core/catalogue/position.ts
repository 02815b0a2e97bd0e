import { z } from 'zod';
import { BENDS, EFFECTS } from './bends';
import { WHERE_NAMES } from './where-names';
import { Figure } from '#core/body';
import { Id, oneOf, seconds, text, words } from '#core/document';
import type { Seconds } from '#core/numbers';
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
  'handsBear',
  'kneesBear',
  'anklesStretched',
  'shoulderLoaded',
  'closedTwist',
] as const;

export const SidesKind = z.enum(['together', 'each', 'crossing', 'one']);
/** Symmetric, left and right in turn, one limb in front and then the other, or one side only. */
export type SidesKind = z.infer<typeof SidesKind>;

const MAX_SECONDS = 3600;
const Seconds = (what: string) => seconds(what, 0, MAX_SECONDS);

/** How long and how strong a position usually is in one approach. Seconds per side; strength from 0 to 10. */
export const HoldDefaults = z
  .strictObject({
    seconds: seconds('A length', 1, MAX_SECONDS),
    minSeconds: seconds('The shortest', 1, MAX_SECONDS),
    maxSeconds: seconds('The longest', 1, MAX_SECONDS),
    strength: z
      .number('Intensity is a number.')
      .min(0, 'Intensity goes from 0 to 10.')
      .max(10, 'Intensity goes from 0 to 10.'),
  })
  .superRefine(({ seconds: usual, minSeconds, maxSeconds }, context) => {
    const refuse = (field: string, message: string) => context.addIssue({ code: 'custom', path: [field], message });
    if (minSeconds > maxSeconds) refuse('maxSeconds', 'The longest is shorter than the shortest.');
    else if (usual < minSeconds || usual > maxSeconds) refuse('seconds', 'The length must lie within its range.');
  });
export type HoldDefaults = z.infer<typeof HoldDefaults>;

/** A moment in a hold: so long after it begins, half-way, or so long before it ends. */
export const Moment = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('after'), seconds: Seconds('A moment') }),
  z.strictObject({ kind: z.literal('half') }),
  z.strictObject({ kind: z.literal('beforeEnd'), seconds: Seconds('A moment') }),
]);
export type Moment = z.infer<typeof Moment>;

const StageSeconds: z.ZodType<Seconds, Seconds> = z.number().min(1, 'A stage lasts at least a second.').max(3600);

/** A length of a stage: so many seconds, or a share of what the fixed stages do not use. */
export const StageLength = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('fixed'),
    seconds: StageSeconds,
  }),
  z.strictObject({ kind: z.literal('share'), weight: z.number().min(0.1).max(20) }),
]);
export type StageLength = z.infer<typeof StageLength>;

export const NamedSetUp = z.strictObject({
  id: Id,
  name: words('A name of the set-up', 80),
  /** Made of things found at home. */
  home: z.boolean(),
  /** On or at what it is made; on the floor, if nothing is said. */
  where: oneOf('A place', WHERE_NAMES).optional(),
  items: SetUp,
});
export type NamedSetUp = z.infer<typeof NamedSetUp>;

/** Another way to hold a position, with the set-up or the position that shows it. Without words there is none. */
export const Variation = z.strictObject({
  words: text('A variation', 300),
  setUp: Id.optional(),
  position: Id.optional(),
});
export type Variation = z.infer<typeof Variation>;

export const MAX_WAYS = 5;
const Ways = (what: string) => z.array(words(what, 240)).max(MAX_WAYS, `At most ${MAX_WAYS} sentences.`);

const Bends = z.array(oneOf('A bend', BENDS)).max(BENDS.length);

/**
 * A library entry: a position with what a teacher knows of it. Its texts may be empty in a custom entry; in the
 * built-in library none is.
 */
export const Position = z
  .strictObject({
    id: Id,
    names: z.strictObject({
      english: words('A name', 80),
      sanskrit: text('A Sanskrit name', 80),
      yin: text('A yin name', 80),
    }),
    /** A short name for the ribbon's lane. */
    short: words('A short name', 24),
    family: oneOf('A place in the room', FAMILIES),
    comesOutInto: oneOf('A place in the room', FAMILIES),
    sides: SidesKind,
    /** What "left" means here: which leg, which arm. Empty for a position done together. */
    leftMeans: text('What left means', 120),
    defaults: z.partialRecord(Approach, HoldDefaults),
    enterSeconds: Seconds('Getting in'),
    leaveSeconds: Seconds('Coming out'),
    switchSeconds: Seconds('A change of sides'),
    areas: z.array(oneOf('An area', AREAS)).min(1, 'Name at least one area of the body.'),
    aims: text('What it aims at', 400),
    setUps: z.array(NamedSetUp).min(1, 'A position has at least one set-up; it may be without props.').max(12),
    stages: z.array(z.strictObject({ name: words('A stage name', 60), length: StageLength })).max(8),
    waysIn: Ways('Getting in'),
    waysOut: Ways('Coming out'),
    prompts: z.array(z.strictObject({ at: Moment, text: words('A prompt', 200) })).max(12),
    easier: Variation,
    stronger: Variation,
    /** Seconds of still rest that usually follow, after each side or after both. */
    rebound: z.strictObject({ seconds: Seconds('A rest'), when: z.enum(['none', 'afterEach', 'afterBoth']) }),
    /** A small movement that loosens what was held. */
    loosen: text('A release', 200),
    /** The counterpose: a position that goes the other way. */
    answer: text('An answer', 200),
    /** What it asks a counterpose for, and what it is one for; by its traits, where nothing is said. */
    needsCounterpose: Bends.optional(),
    counterposeFor: Bends.optional(),
    /** Whether it rouses or quiets. */
    effect: oneOf('An effect', EFFECTS).optional(),
    traits: z.array(oneOf('A trait', TRAITS)),
    caution: text('A caution', 400),
    /** What commonly goes wrong, and what to say then. */
    mistakes: text('Common mistakes', 300).optional(),
    /** What is seen from outside, and what it means. */
    watch: text('What you see from outside', 300).optional(),
    /** How it is drawn, with the left side held. */
    figure: Figure,
  })
  .superRefine(({ defaults, setUps, easier, stronger }, context) => {
    const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    if (Object.keys(defaults).length === 0) refuse(['defaults'], 'Say for at least one approach how long it is held.');
    const ids = setUps.map(({ id }) => id);
    for (const [i, id] of ids.entries()) {
      if (ids.indexOf(id) < i) refuse(['setUps', i, 'id'], `Two set-ups have the id “${id}”.`);
    }
    for (const [name, { setUp }] of Object.entries({ easier, stronger })) {
      if (setUp !== undefined && !ids.includes(setUp)) refuse([name, 'setUp'], `There is no set-up “${setUp}”.`);
    }
  });
export type Position = z.infer<typeof Position>;
