import { z } from 'zod';
import { BreathPractice } from '#core/breath';

const Words = (max: number) => z.string().trim().min(1).max(max);

/** A breath technique: what one round of it is, in words, and the practice it usually starts with. */
export const Technique = z.strictObject({
  id: Words(64),
  names: z.strictObject({ english: Words(80), sanskrit: z.string().max(80) }),
  short: Words(24),
  /** What one round is, shown wherever a number of rounds can be typed. */
  round: Words(160),
  practice: BreathPractice,
  seat: Words(160),
  taught: z.array(Words(240)).min(2).max(6),
  mistakes: Words(300),
  caution: Words(400),
});
export type Technique = z.infer<typeof Technique>;
