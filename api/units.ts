import { z } from 'zod';
import type { Ms } from '#core/numbers';

/** A moment or a length of time in whole milliseconds. */
export const milliseconds: z.ZodType<Ms, Ms> = z.int();
