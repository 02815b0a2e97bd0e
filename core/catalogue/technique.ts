import { z } from 'zod';
import { BreathPractice } from '#core/breath';

const Words = (max: number) => z.string().trim().min(1).max(max);

/** What a technique asks of a body, for cautions. */
export const BREATH_TRAITS = [
  'holdFull',
  'holdEmpty',
  'strokes',
  'fast',
  'nostrils',
  'bellyPressed',
  'cooling',
  'sound',
  'neckBent',
] as const;

/** A breath technique: what one round of it is, in words, and the practice it usually starts with. */
export const Technique = z.strictObject({
  id: Words(64),
  names: z.strictObject({ english: Words(80), sanskrit: z.string().max(80) }),
  short: Words(24),
  /** What one round is, shown wherever a number of rounds can be typed. */
  round: Words(160),
  practice: BreathPractice,
  /** How long it is usually practised, in seconds. */
  range: z
    .strictObject({ minSeconds: z.number().min(30).max(3600), maxSeconds: z.number().min(30).max(3600) })
    .refine((range) => range.minSeconds <= range.maxSeconds, 'The shortest length is longer than the longest.'),
  /** What should be easy before this is begun. */
  gates: Words(240),
  traits: z.array(z.enum(BREATH_TRAITS)),
  seat: Words(160),
  taught: z.array(Words(240)).min(2).max(6),
  mistakes: Words(300),
  caution: Words(400),
});
export type Technique = z.infer<typeof Technique>;
