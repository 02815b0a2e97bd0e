import { z } from 'zod';
import { Id, oneOf, seconds, text } from '#core/document';
import { BREATH_LIMITS as MOST } from './limits';
import { BreathPart, QUARTERS } from './parts';

/**
 * A change over the rounds of a set: one quarter of every cycle grows or shrinks from its own counts to `to`, in whole
 * counts or in tenths of a count.
 */
export const Ramp = z
  .strictObject({
    of: oneOf('What changes', QUARTERS),
    to: z
      .number('Counts are a number.')
      .min(0, 'A count cannot be below zero.')
      .max(MOST.maxCounts, `A phase has at most ${MOST.maxCounts} counts.`)
      .multipleOf(0.1, 'Counts go in tenths at the finest.'),
    steps: z.enum(['counts', 'tenths']),
    /** It comes back: `to` is reached half-way, and the last round is as the first. */
    back: z.literal(true).optional(),
  })
  .superRefine(({ of, to, steps }, context) => {
    const refuse = (message: string) => context.addIssue({ code: 'custom', path: ['to'], message });
    if (steps === 'counts' && !Number.isInteger(to)) refuse('A change in whole counts ends at a whole count.');
    if ((of === 'in' || of === 'out') && to < 1) refuse('A breath in or out has at least one count.');
  });
export type Ramp = z.infer<typeof Ramp>;

const EYES = ['open', 'closed', 'free'] as const;

/** Parts repeated for a number of rounds. What one round is, is the technique's to say; here it is all parts once. */
export const BreathSet = z
  .strictObject({
    id: Id,
    label: text('A label', 120),
    parts: z.array(BreathPart).min(1, 'A set needs at least one part.').max(8, 'A set has at most eight parts.'),
    rounds: z
      .int('Rounds are whole numbers.')
      .min(1, 'At least one round.')
      .max(MOST.maxRounds, `A set has at most ${MOST.maxRounds} rounds.`),
    ramp: Ramp.nullable(),
    restSeconds: seconds('A rest between sets', 0, 600),
    eyes: oneOf('Eyes', EYES),
    hands: text('A place of the hands', 120),
    /** What is said with it: a step in which the technique is taught. */
    says: text('What is said', 240),
  })
  .superRefine(({ parts, rounds, ramp }, context) => {
    if (!ramp) return;
    const refuse = (path: string[], message: string) => context.addIssue({ code: 'custom', path, message });
    if (!parts.some(({ kind }) => kind === 'cycle')) refuse(['ramp'], 'Only a counted breath can grow or shrink.');
    if (ramp.back && rounds < 3) refuse(['rounds'], 'A change there and back needs at least three rounds.');
    if (rounds < 2) refuse(['rounds'], 'A change over the rounds needs at least two rounds.');
  });
export type BreathSet = z.infer<typeof BreathSet>;
