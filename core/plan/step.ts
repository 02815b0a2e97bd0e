import { z } from 'zod';
import { BreathPractice } from '#core/breath';
import { Moment as EntryMoment, StageLength, TRAITS, WHERE_NAMES } from '#core/catalogue';
import { Id, oneOf, seconds, text } from '#core/document';
import { SetUp } from '#core/props';
import { HoldSeconds, OptionalSeconds, PlainSeconds } from './fields';
import { PLAN_LIMITS } from './limits';

export const FIT_WEIGHTS = ['keep', 'normal', 'givesWay'] as const;
/** Keeps its length before others do, like any other, or gives way first. */
export const FitWeight = z.enum(FIT_WEIGHTS);
export type FitWeight = z.infer<typeof FitWeight>;

const common = {
  id: Id,
  /** The name shown; kept with the step so that a plan reads well where its position is not in the library. */
  name: text('A name', 120),
  note: text('A note', PLAN_LIMITS.maxNote),
  /** A locked step keeps its length when a plan is fitted. */
  locked: z.boolean(),
  /** How hard it holds on to its length when a plan is fitted. */
  weight: FitWeight,
  /** A pinned step keeps its place in the order when another order is looked for. */
  pinned: z.boolean(),
  /** It takes what the others leave of the class, within its range; at most one step of a plan does. */
  takesRemaining: z.boolean(),
  /** On or at what it takes place; null where the class does. */
  where: oneOf('A place', WHERE_NAMES).nullable(),
};

export const FirstSide = z.enum(['house', 'left', 'right']);
export type FirstSide = z.infer<typeof FirstSide>;

/** One number for both sides, or one for each. */
export const SideLength = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('even'), seconds: HoldSeconds }),
  z.strictObject({ kind: z.literal('perSide'), left: HoldSeconds, right: HoldSeconds }),
]);
export type SideLength = z.infer<typeof SideLength>;

/** How a hold lies over the sides of the body, with its length or lengths. */
export const HoldSides = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('together'), seconds: HoldSeconds }),
  z.strictObject({ kind: z.literal('one'), side: z.enum(['left', 'right']), seconds: HoldSeconds }),
  z.strictObject({ kind: z.literal('each'), first: FirstSide, length: SideLength }),
  z.strictObject({ kind: z.literal('crossing'), first: FirstSide, length: SideLength }),
]);
export type HoldSides = z.infer<typeof HoldSides>;

export const Stage = z.strictObject({
  id: Id,
  name: text('A stage name', 60),
  length: StageLength,
  /** Where its length is measured in breaths: the seconds of one. null if by the clock, or as the hold is. */
  breathSeconds: seconds('One breath', 1, 60).nullable(),
  /** Id of another position for this stage; null keeps that of the stage before. */
  position: Id.nullable(),
  /** The props of this stage; null keeps those of the stage before. */
  setUp: SetUp.nullable(),
});
export type Stage = z.infer<typeof Stage>;

/** A moment of a hold as entries have it, or after so many breaths. */
export const Moment = z.discriminatedUnion('kind', [
  ...EntryMoment.options,
  z.strictObject({
    kind: z.literal('afterBreaths'),
    breaths: z
      .int('Breaths are counted in whole numbers.')
      .min(1, 'At least one breath.')
      .max(PLAN_LIMITS.maxBreaths, `At most ${PLAN_LIMITS.maxBreaths} breaths.`),
  }),
]);
export type Moment = z.infer<typeof Moment>;

export const Prompt = z.strictObject({
  id: Id,
  at: Moment,
  text: text('A prompt', 200),
  on: z.enum(['every', 'first', 'second']),
});
export type Prompt = z.infer<typeof Prompt>;

export const Rebound = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('afterEach'), seconds: seconds('A rest after a side', 1, PLAN_LIMITS.maxChange) }),
  z.strictObject({
    kind: z.literal('afterBoth'),
    seconds: seconds('A rest after both sides', 1, PLAN_LIMITS.maxChange),
  }),
]);
export type Rebound = z.infer<typeof Rebound>;

/**
 * A breath practised inside a hold: it begins when the body has settled and ends with a whole cycle, on each side anew.
 */
export const HoldBreath = z.strictObject({
  /** Id of a technique; it need not be in this library. */
  technique: Id,
  name: text('A name', 120),
  practice: BreathPractice,
  /** How long after the hold begins. */
  settleSeconds: seconds('Settling', 0, PLAN_LIMITS.maxSetup),
  /** Its last set goes on for as many rounds as the hold has room for; otherwise it is done once, as it stands. */
  fill: z.boolean(),
});
export type HoldBreath = z.infer<typeof HoldBreath>;

/**
 * Another set-up for some of the group: where there is not enough of something for all, or not all want the same. It
 * stays as it is for the whole step.
 */
export const OtherSetUp = z.strictObject({
  /** How many people have it; the others have the step's own. */
  people: z
    .int('The number of people is a whole number.')
    .min(1, 'At least one person uses the alternative set-up.')
    .max(PLAN_LIMITS.maxGroup, `A group has at most ${PLAN_LIMITS.maxGroup} people.`),
  setUp: SetUp,
  /** Of a breath: id of the position they sit or lie in; where it is not there, that of the others. */
  seat: Id.optional(),
});
export type OtherSetUp = z.infer<typeof OtherSetUp>;

const OwnLines = (what: string) =>
  z.array(text(what, 300)).max(PLAN_LIMITS.maxLines, `${what}: at most ${PLAN_LIMITS.maxLines} lines.`).nullable();

export const HoldStep = z.strictObject({
  ...common,
  kind: z.literal('hold'),
  /** Id of a position; it need not be in this library. */
  position: Id,
  /** What a hold demands whose position is in no library, as somebody said; null if nobody did: it is not screened. */
  demands: z.array(oneOf('A demand', TRAITS)).max(TRAITS.length, 'Name each demand once.').nullable(),
  sides: HoldSides,
  /** A difference between its sides is intended: it is kept and led, and not pointed out. */
  unevenIntended: z.boolean(),
  /** Where lengths are measured in breaths: the seconds of one breath. null if they are given by the clock. */
  breathSeconds: seconds('One breath', 1, 60).nullable(),
  /** The range a fitting keeps to, in seconds a side; null if none is wanted. */
  range: z
    .strictObject({ min: HoldSeconds, max: HoldSeconds })
    .refine((range) => range.min <= range.max, 'The shorter end of a range comes first.')
    .nullable(),
  /** The range is the library's, and widens with a length that is meant to be shorter or longer. */
  rangeIsUsual: z.boolean(),
  /** Aimed-at strength from 0 to 10; null leaves it to the approach. */
  strength: z.number().min(0).max(10, 'Intensity goes from 0 to 10.').nullable(),
  stages: z.array(Stage).max(PLAN_LIMITS.maxStages, `A hold has at most ${PLAN_LIMITS.maxStages} stages.`),
  setUp: SetUp,
  otherSetUp: OtherSetUp.nullable(),
  setupSeconds: OptionalSeconds('A set-up', PLAN_LIMITS.maxSetup),
  enterSeconds: OptionalSeconds('Getting in'),
  leaveSeconds: OptionalSeconds('Coming out'),
  switchSeconds: OptionalSeconds('A change of sides'),
  prompts: z.array(Prompt).max(PLAN_LIMITS.maxPrompts, `A hold has at most ${PLAN_LIMITS.maxPrompts} prompts.`),
  breath: HoldBreath.nullable(),
  rebound: Rebound,
  /** A release after the rest: what is done, and whether after each side or after both. */
  loosen: z
    .strictObject({
      when: z.enum(['afterEach', 'afterBoth']),
      seconds: seconds('A release', 1, PLAN_LIMITS.maxChange),
      text: text('A release', 200),
    })
    .nullable(),
  /** How to get in and to come out, line by line, in the teacher's own words; null: as the library has it. */
  waysIn: OwnLines('Getting in'),
  waysOut: OwnLines('Coming out'),
  /** What “left” means here, in the teacher's own words: `left knee in front`; null: as the library has it. */
  leftMeans: text('What left means', 120).nullable(),
});
export type HoldStep = z.infer<typeof HoldStep>;

const MoveWords = (what: string) => text(what, 60);

/**
 * A position that is moved into on one phase of the breath and out of on another, and held meanwhile: one step of a
 * slow counted series, as long as its breath is.
 */
export const BreathMoves = z.strictObject({
  /** Id of a position; it need not be in this library. */
  position: Id,
  into: z.enum(['in', 'out']),
  outOf: z.enum(['in', 'out']),
  /** Both sides at once; the whole practice on one side and then on the other; or the sides in turn, in every round. */
  sides: z.enum(['together', 'each', 'inTurn']),
  first: FirstSide,
  /** The teacher's own words for moving in, staying and moving out; what is not there is said as usual. */
  says: z
    .strictObject({ into: MoveWords('Moving in'), stay: MoveWords('Staying'), outOf: MoveWords('Moving out') })
    .optional(),
  /** The change from one side to the other; where it is not there, it is as long as the position's usual one. */
  switchSeconds: seconds('A change of sides', 0, PLAN_LIMITS.maxChange).optional(),
  /** How it ends, on each side: so long, and in these words; where it is not there, with the breath that moves out. */
  exit: z
    .strictObject({ seconds: seconds('Coming out', 0, PLAN_LIMITS.maxChange), text: text('Coming out', 200) })
    .optional(),
});
export type BreathMoves = z.infer<typeof BreathMoves>;

export const BreathStep = z.strictObject({
  ...common,
  kind: z.literal('breath'),
  /** Id of a technique; it need not be in this library. */
  technique: Id,
  practice: BreathPractice,
  /** The position it moves; null for a breath in stillness. */
  moves: BreathMoves.nullable(),
  /** Id of the position one sits or lies in; null if nobody has said, and whatever fits the set-up is screened. */
  seat: Id.nullable(),
  setUp: SetUp,
  otherSetUp: OtherSetUp.nullable(),
  setupSeconds: OptionalSeconds('A set-up', PLAN_LIMITS.maxSetup),
  /** Quiet breathing after the practice. */
  afterSeconds: seconds('Quiet breathing', 0, PLAN_LIMITS.maxPlain),
});
export type BreathStep = z.infer<typeof BreathStep>;

export const RestStep = z.strictObject({
  ...common,
  kind: z.literal('rest'),
  seconds: PlainSeconds('A rest'),
  /** Props of its own; null leaves in place what lies there. */
  setUp: SetUp.nullable(),
  otherSetUp: OtherSetUp.nullable(),
  setupSeconds: OptionalSeconds('A set-up', PLAN_LIMITS.maxSetup),
});
export type RestStep = z.infer<typeof RestStep>;

export const MoveStep = z.strictObject({ ...common, kind: z.literal('move'), seconds: PlainSeconds('A release') });
export type MoveStep = z.infer<typeof MoveStep>;

export const TalkStep = z.strictObject({ ...common, kind: z.literal('talk'), seconds: PlainSeconds('A talk') });
export type TalkStep = z.infer<typeof TalkStep>;

export const Step = z.discriminatedUnion('kind', [HoldStep, BreathStep, RestStep, MoveStep, TalkStep]);
export type Step = z.infer<typeof Step>;
export type StepKind = Step['kind'];
export const STEP_KINDS = ['hold', 'breath', 'rest', 'move', 'talk'] as const satisfies readonly StepKind[];
/** The thin steps: a name and a length. */
export type PlainStep = RestStep | MoveStep | TalkStep;
