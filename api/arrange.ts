import { z } from 'zod';
import { BENDS } from '#core/catalogue';
import { BREATH_SPOTS, OrderRules } from '#core/order';
import { FitOptions } from '#core/fit';
import { ChosenLength, Plan } from '#core/plan';
import { PACE_KINDS, SIMULATED } from '#core/review';
import { milliseconds as Ms } from './units';
import { Unreadable } from './unreadable';

const Document = z.unknown();

/** A plan to be fitted; without `options` to the length of its class, by quarters of a minute. */
export const FitRequest = z.strictObject({ document: Document, options: FitOptions.optional() });

const FittedLength = ChosenLength.extend({
  stepIndex: z.int(),
  times: z.union([z.literal(1), z.literal(2)]),
  from: z.number(),
  fromMs: Ms,
  toMs: Ms,
});
const fitted = { targetMs: Ms, totalMs: Ms, lengths: z.array(FittedLength).readonly() };
const MakeUp = z.object({ betweenMs: Ms, talkMs: Ms, keptForTalkMs: Ms, lockedMs: Ms, freeMs: Ms });
const change = { byMs: Ms, lostMs: Ms };
const ofStep = { stepId: z.string(), name: z.string() };
const Way = z.discriminatedUnion('kind', [
  z.object({ ...change, ...ofStep, kind: z.enum(['remove', 'together', 'unlock', 'bothSides']) }),
  z.object({
    ...change,
    ...ofStep,
    kind: z.literal('range'),
    end: z.enum(['min', 'max']),
    from: z.number(),
    to: z.number(),
  }),
  z.object({ ...change, kind: z.enum(['floor', 'talk']), from: z.number(), to: z.number() }),
]);
const Ways = z.array(Way).readonly();

/** What came of it, in a sentence, and the plan with its new lengths where they fit. */
export const FitResponse = z.object({
  fit: z.discriminatedUnion('kind', [
    z.object({ ...fitted, kind: z.literal('fits'), harm: z.number() }),
    z.object({
      ...fitted,
      kind: z.literal('tooLong'),
      overMs: Ms,
      madeUpOf: MakeUp,
      ways: Ways,
      pair: z.tuple([Way, Way]).readonly().nullable(),
    }),
    z.object({ ...fitted, kind: z.literal('tooShort'), missingMs: Ms, madeUpOf: MakeUp, ways: Ways }),
  ]),
  says: z.string(),
  document: Plan,
});

/** A plan to be put into a quieter order; without `rules` by those of the settings. */
export const OrderRequest = z.strictObject({ document: Document, rules: OrderRules.optional() });

const BrokenRule = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('unanswered'), name: z.string(), bend: z.enum(BENDS), possible: z.boolean() }),
  z.object({
    kind: z.literal('joints'),
    names: z.tuple([z.string(), z.string()]).readonly(),
    joint: z.string(),
  }),
  z.object({ kind: z.literal('neutral'), names: z.tuple([z.string(), z.string()]).readonly() }),
  z.object({ kind: z.literal('rousing'), names: z.tuple([z.string(), z.string()]).readonly() }),
  z.object({ kind: z.literal('breath'), name: z.string(), spot: z.enum(BREATH_SPOTS) }),
]);
const Costed = z.object({
  stepIds: z.array(z.string()).readonly(),
  tally: z.object({ family: z.int(), propMove: z.int(), wall: z.int(), side: z.int() }),
  cost: z.number(),
  propMoves: z.int(),
  broken: z.array(BrokenRule).readonly(),
});

/** The order as it is and as it could be, how near that is to the best, and the plan in that order. */
export const OrderResponse = z.object({
  order: z.object({
    kind: z.literal('ordered'),
    before: Costed,
    after: Costed,
    proof: z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('best') }),
      z.object({ kind: z.literal('atLeast'), cost: z.number() }),
    ]),
    movable: z.int(),
  }),
  says: z.string(),
  document: Plan,
});

/** A plan whose end is forecast from the runs that are kept. The same seed gives the same numbers. */
export const ForecastRequest = z.strictObject({
  document: Document,
  seed: z.int('A seed is a whole number.').min(0).max(0xffff_ffff).default(1),
  evenings: z
    .int('Sessions are a whole number.')
    .min(100, 'At least 100 sessions are simulated.')
    .max(SIMULATED, `At most ${SIMULATED} sessions are simulated.`)
    .default(SIMULATED),
});
/**
 * When the class would end, in milliseconds of its length: one in ten by `earlyMs`, half by `middleMs`, nine by
 * `lateMs`.
 */
export const ForecastResponse = z.object({
  forecast: z.object({
    plannedMs: Ms,
    targetMs: Ms,
    earlyMs: z.number(),
    middleMs: z.number(),
    lateMs: z.number(),
    chance: z.number().min(0).max(1),
    uncertain: z.array(z.number()).readonly(),
    runs: z.int(),
  }),
  says: z.string(),
});

const KindOfTime = z.object({ log: z.number(), variance: z.number(), count: z.int() });
/** How the latest runs went against their plans, by kind of time: what a forecast learns from. */
export const PaceResponse = z.object({
  runs: z.array(z.object({ beganAtMs: Ms, kinds: z.partialRecord(z.enum(PACE_KINDS), KindOfTime), stops: z.number() })),
  unreadable: Unreadable,
});
