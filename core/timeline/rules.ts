import { z } from 'zod';
import type { Seconds } from '#core/numbers';

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
  bells: { start: true, half: true, soon: false, switch: true, end: true, props: true },
};
