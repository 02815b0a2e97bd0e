import { z } from 'zod';

export const Approach = z.enum(['restorative', 'yin', 'pranayama', 'blended']);
/** How a plan is taught; it carries defaults for length, strength and rests. */
export type Approach = z.infer<typeof Approach>;

export const APPROACHES = Approach.options;

export const APPROACH_LABELS: Record<Approach, string> = {
  restorative: 'Restorative',
  yin: 'Yin',
  pranayama: 'Pranayama',
  blended: 'Blended',
};
