import { z } from 'zod';
import { Id, text } from '#core/document';

/** Which side was the tighter one. */
export const TIGHTER = ['left', 'right', 'alike'] as const;
/** Whether the props of a step had the right height. */
export const PROP_HEIGHT = ['tooLow', 'right', 'tooHigh'] as const;

/** How a breath was for most of those who were there. */
export const EASE = ['easy', 'effort'] as const;

/** How easy the breath of a step was; null where nobody noted it. */
export const BreathReview = z.strictObject({
  inOut: z.enum(EASE).nullable(),
  /** The retentions; null as well where there were none. */
  holds: z.enum(EASE).nullable(),
  /** Those for whom it was an effort, by their ids, although it was easy for most. */
  effortFor: z.array(Id).max(500),
});
export type BreathReview = z.infer<typeof BreathReview>;

/** The review of one step. */
export const StepReview = z.strictObject({
  stepId: Id,
  tighter: z.enum(TIGHTER).nullable(),
  props: z.enum(PROP_HEIGHT).nullable(),
  /** For a step with a breath; reviews from before this was asked have none. */
  breath: BreathReview.optional(),
});
export type StepReview = z.infer<typeof StepReview>;

/** A teacher's review of a taught session, besides the intensity of its holds. All of it is optional. */
export const RunReview = z.strictObject({
  steps: z.array(StepReview).max(1000),
  /** What to change next time. */
  change: text('What to change', 2000),
  note: text('A note', 4000),
});
export type RunReview = z.infer<typeof RunReview>;

export const EMPTY_REVIEW: RunReview = { steps: [], change: '', note: '' };

/** A corrected length of one side of a hold, or of a step without sides, in milliseconds. */
export const LengthCorrection = z.strictObject({
  stepId: Id,
  side: z.enum(['left', 'right', 'both', 'none']),
  ms: z.int().min(0, 'A length is not below zero.').max(86_400_000, 'A length is at most a day.'),
});
export type LengthCorrection = z.infer<typeof LengthCorrection>;

export const Correction = z.strictObject({
  lengths: z.array(LengthCorrection).max(500),
  /** When it really ended, milliseconds since 1970 UTC; null if that was right. */
  endedAtMs: z.int().min(0).max(8_640_000_000_000_000).nullable(),
  why: text('A reason', 400),
});
export type Correction = z.infer<typeof Correction>;
