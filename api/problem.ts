import { z } from 'zod';

/** An answer that something is wrong, after RFC 9457, with the fields it is about. */
export const Problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  errors: z.array(z.object({ field: z.string(), reason: z.string() })).optional(),
});
export type Problem = z.infer<typeof Problem>;
