import { z } from 'zod';

/** Whether the sample house is here, or anything that is left of it. */
export const SampleState = z.object({ loaded: z.boolean() });
export type SampleState = z.infer<typeof SampleState>;
