import { z } from 'zod';
import { FitOptions } from '#core/fit';
import { OrderRules } from '#core/order';
import { SIMULATED } from '#core/review';
import { Unreadable } from './unreadable';

const Ms = z.number();
const Document = z.unknown();

/** A plan to be fitted; without `options` to the length of its class, by quarters of a minute. */
export const FitRequest = z.strictObject({ document: Document, options: FitOptions.optional() });

const Length = z.looseObject({ stepId: z.string(), from: z.number(), to: z.number(), fromMs: Ms, toMs: Ms });
/** What came of it (`kind`), in a sentence, and the plan with its new lengths where there are any. */
export const FitResponse = z.object({
  fit: z.looseObject({ kind: z.string(), lengths: z.array(Length) }),
  says: z.string(),
  document: z.unknown(),
});
export type FitResponse = z.infer<typeof FitResponse>;

/** A plan to be put into a quieter order; without `rules` by those of the house. */
export const OrderRequest = z.strictObject({ document: Document, rules: OrderRules.optional() });
export const OrderResponse = z.object({
  order: z.looseObject({ kind: z.string() }),
  says: z.string(),
  document: z.unknown(),
});
export type OrderResponse = z.infer<typeof OrderResponse>;

/** A plan whose end is forecast from the runs that are kept. The same seed gives the same numbers. */
export const ForecastRequest = z.strictObject({
  document: Document,
  seed: z.int('A seed is a whole number.').min(0).max(0xffff_ffff).default(1),
  evenings: z
    .int('Evenings are counted whole.')
    .min(100, 'At least 100 evenings are simulated.')
    .max(SIMULATED, `At most ${SIMULATED} evenings are simulated.`)
    .default(SIMULATED),
});
export const ForecastResponse = z.object({
  forecast: z.looseObject({
    plannedMs: Ms,
    earlyMs: Ms,
    middleMs: Ms,
    lateMs: Ms,
    chance: z.number(),
    runs: z.int(),
  }),
  says: z.string(),
});
export type ForecastResponse = z.infer<typeof ForecastResponse>;

/** How the latest runs went against their plans, by kind of time: what a forecast learns from. */
export const PaceResponse = z.object({
  runs: z.array(
    z.object({
      beganAtMs: Ms,
      kinds: z.record(z.string(), z.object({ log: z.number(), variance: z.number(), count: z.int() })),
      stops: z.number(),
    }),
  ),
  unreadable: Unreadable,
});
export type PaceResponse = z.infer<typeof PaceResponse>;
