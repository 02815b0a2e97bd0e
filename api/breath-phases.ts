import { z } from 'zod';
import { QUARTERS, Through } from '#core/breath';
import { milliseconds as Ms } from './units';

const base = { startMs: Ms, endMs: Ms, set: z.int(), part: z.int(), round: z.int() };

/**
 * The phases of a breath practice: counted quarters of a cycle, uncounted breaths, pumps, retentions, quiet breathing.
 */
export const PhasesOfBreath = [
  z.object({
    ...base,
    kind: z.enum(QUARTERS),
    counts: z.number(),
    countMs: Ms,
    cycle: z.int(),
    through: Through,
  }),
  z.object({ ...base, kind: z.literal('ownPace'), cycles: z.int() }),
  z.object({ ...base, kind: z.literal('strokes'), count: z.int(), perMinute: z.number() }),
  z.object({
    ...base,
    kind: z.literal('retention'),
    held: z.enum(['full', 'empty']),
    asLongAsEasy: z.boolean(),
    pulses: z.int(),
  }),
  z.object({ ...base, kind: z.literal('recover'), cycles: z.int().nullable() }),
  z.object({ ...base, kind: z.literal('quiet') }),
] as const;
