import { z } from 'zod';
import { FAMILIES } from '#core/catalogue';
import { Id, seconds, words } from '#core/document';
import { PLAN_LIMITS } from '#core/plan';
import { Ratio } from '#core/breath';
import { COURSE_LIMITS } from './limits';

const Week = z
  .int('Weeks are whole numbers.')
  .min(1, 'The first week is week 1.')
  .max(COURSE_LIMITS.maxWeeks, `A course has at most ${COURSE_LIMITS.maxWeeks} weeks.`);
const HoldSeconds = seconds('A length', PLAN_LIMITS.minHold, PLAN_LIMITS.maxHold);
const GRIDS = [5, 15, 30, 60] as const;
const Grid = z.union(
  GRIDS.map((grid) => z.literal(grid)),
  'Lengths go by 5, 15, 30 or 60 seconds.',
);

/** Which holds a length is of: a step, one stage of it, or all holds of positions of one family. */
const Holds = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('step'), step: Id }),
  z.strictObject({ kind: z.literal('stage'), step: Id, stage: Id }),
  z.strictObject({ kind: z.literal('family'), family: z.enum(FAMILIES) }),
]);

const thread = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.strictObject({ id: Id, kind: z.literal(kind), ...shape });
/** The week by which the aim is to be reached. */
const byWeek = { byWeek: Week };

/**
 * What grows over the weeks of a course. Lengths are seconds a side, the same on both sides; `from` is what week 1 has.
 */
export const Thread = z.discriminatedUnion('kind', [
  /**
   * A hold or a rest, all holds of a family, or a stage of a hold, which may also get shorter: its props leave earlier.
   * `mostAWeek`: it changes by no more in a week.
   */
  thread('length', {
    of: Holds,
    from: HoldSeconds,
    to: HoldSeconds,
    grid: Grid,
    mostAWeek: seconds('A step from week to week', 1, PLAN_LIMITS.maxHold),
    ...byWeek,
  }),
  /** The counts of a breath, along the ladder and through its gates. `easyAWeek`: sessions a week that are counted on. */
  thread('breath', {
    step: Id,
    from: Ratio,
    to: Ratio,
    easyAWeek: z
      .int('Sessions are counted in whole numbers.')
      .min(1, 'At least one session a week.')
      .max(14, 'At most 14 sessions a week.'),
    ...byWeek,
  }),
  /** How many pieces a row of a set-up has: a stack that gets lower, a prop that leaves. */
  thread('props', {
    step: Id,
    row: Id,
    from: z.int().min(0).max(COURSE_LIMITS.maxPieces),
    to: z
      .int('Pieces are counted in whole numbers.')
      .min(0, 'There cannot be fewer than no pieces.')
      .max(COURSE_LIMITS.maxPieces, `A row holds at most ${COURSE_LIMITS.maxPieces} pieces.`),
    ...byWeek,
  }),
  /** A position or technique that comes in a week, after a step (null: first), once what it needs is known. */
  thread('new', {
    entry: Id,
    week: Week,
    after: Id.nullable(),
    needs: z.array(Id).max(COURSE_LIMITS.maxNeeds, `At most ${COURSE_LIMITS.maxNeeds} things come before it.`),
  }),
  /** The share of the class that is talk, in hundredths: stillness grows as it shrinks. */
  thread('talk', {
    from: z.int().min(0).max(100),
    to: z.int('A share is a whole number of hundredths.').min(0, 'At least 0 %.').max(100, 'At most 100 %.'),
    ...byWeek,
  }),
]);
export type Thread = z.infer<typeof Thread>;
export type ThreadOf<K extends Thread['kind']> = Extract<Thread, { kind: K }>;

/** The theme of a week. */
export const Theme = z.strictObject({ week: Week, theme: words('A theme', COURSE_LIMITS.maxTheme) });
export { Week };
