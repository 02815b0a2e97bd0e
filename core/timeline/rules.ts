import { z } from 'zod';
import type { Seconds } from '#core/numbers';
import type { Plan } from '#core/plan';

const Length: z.ZodType<Seconds, Seconds> = z.number().min(0).max(600);

/** The teacher's settings that a timeline needs. Lengths in seconds. */
export const TimelineRules = z.strictObject({
  firstSide: z.enum(['left', 'right']),
  /** Set-up: so much to begin with, so much for each prop move, never more than the cap. */
  setup: z.strictObject({ baseSeconds: Length, perMoveSeconds: Length, capSeconds: Length }),
  /** Getting in and coming out and changes of sides for positions that are not in the library. */
  enterSeconds: Length,
  leaveSeconds: Length,
  switchSeconds: Length,
  /** Getting in, coming out and changing sides, in per cent of what the library has. */
  changesPercent: z.number().min(25).max(300).default(100),
  bells: z.strictObject({
    start: z.boolean(),
    half: z.boolean(),
    /** A quarter of a minute before a hold of a minute or more ends. */
    soon: z.boolean().default(false),
    switch: z.boolean(),
    end: z.boolean(),
    /** When props are to be put down or taken away. */
    props: z.boolean().default(true),
  }),
});
export type TimelineRules = z.infer<typeof TimelineRules>;

/** Left first; set-up 8 s and 6 s a move, at most 120 s; every bell on but the one shortly before the end. */
export const DEFAULT_RULES: TimelineRules = {
  firstSide: 'left',
  setup: { baseSeconds: 8, perMoveSeconds: 6, capSeconds: 120 },
  enterSeconds: 20,
  leaveSeconds: 20,
  switchSeconds: 15,
  changesPercent: 100,
  bells: { start: true, half: true, soon: false, switch: true, end: true, props: true },
};

const DAY_MS = 86_400_000;

/** The day of a class as a number that grows by one a day; undefined without a date. */
const dayNumber = (startsAt: string | null): number | undefined =>
  startsAt === null ? undefined : Math.round(Date.parse(`${startsAt.slice(0, 10)}T00:00:00Z`) / DAY_MS);

/**
 * The rules for a plan: its own, where it has any, over those that are given. Where the first side goes by the date, it is
 * left on even days and right on odd ones, counted on from day to day; left where the class has no date.
 */
export function rulesFor(
  { rules: own, startsAt }: Pick<Plan, 'rules' | 'startsAt'>,
  rules: TimelineRules,
): TimelineRules {
  if (!own) return rules;
  const day = dayNumber(startsAt) ?? 0;
  return {
    ...rules,
    firstSide: own.firstSide === 'byDate' ? (day % 2 === 0 ? 'left' : 'right') : own.firstSide,
    setup: { ...rules.setup, baseSeconds: own.setupBaseSeconds, perMoveSeconds: own.setupPerMoveSeconds },
    changesPercent: own.changesPercent,
  };
}
