import { z } from 'zod';

const Seconds = (what: string) =>
  z
    .number(`${what} is a number of seconds.`)
    .min(0, `${what} takes no less than 0 seconds.`)
    .max(120, `${what} takes at most 120 seconds.`);

/**
 * How a house teaches, as far as it decides how long a class is and what is said: kept with each plan, so that a plan and
 * the record of its sessions stay as they were when the house changes its mind.
 */
export const PlanRules = z.strictObject({
  /** The side that is held first: always the same, or left and right in turn by the date of the class. */
  firstSide: z.enum(['left', 'right', 'byDate']),
  /** The side to roll to from the back; null leaves it open. */
  rollTo: z.enum(['left', 'right']).nullable(),
  /** Setting up: so much to begin with, and so much for each prop that is moved. */
  setupBaseSeconds: Seconds('Setting up'),
  setupPerMoveSeconds: Seconds('Moving a prop'),
  /** Getting in, coming out and changing sides, in per cent of what the library has. */
  changesPercent: z
    .int('Per cent are whole numbers.')
    .min(25, 'Getting in and out takes at least 25 % of its usual time.')
    .max(300, 'Getting in and out takes at most 300 % of its usual time.'),
});
export type PlanRules = z.infer<typeof PlanRules>;

/** Left first, 8 s and 6 s a prop, everything else as the library has it. */
export const USUAL_PLAN_RULES: PlanRules = {
  firstSide: 'left',
  rollTo: null,
  setupBaseSeconds: 8,
  setupPerMoveSeconds: 6,
  changesPercent: 100,
};
