import { z } from 'zod';
import { Variants } from '#core/jobs';

/** What is kept beside a plan; revision 0 before anything was. */
export const StoredVariants = z.object({ revision: z.int().min(0), document: Variants });
export type StoredVariants = z.infer<typeof StoredVariants>;

/** A stale write: the variants as they are now, and what was sent, so that neither is lost. */
export const VariantsConflict = z.object({ current: StoredVariants, yours: Variants });
export type VariantsConflict = z.infer<typeof VariantsConflict>;
