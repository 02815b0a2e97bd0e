import { z } from 'zod';
import { Ratio } from '#core/breath';
import { Id } from '#core/document';
import type { Ms as Milliseconds } from '#core/numbers';
import { Unreadable } from './unreadable';

const Ms: z.ZodType<Milliseconds, Milliseconds> = z.number();
const planned = { plannedMs: Ms, doneMs: Ms, differenceMs: Ms };
const Planned = z.object(planned);
const Between = z.object({ ...planned, times: z.int() });

/**
 * What was practised at one time, without the plan it came from: the trends are computed from it. Lengths in
 * milliseconds.
 */
export const PractisedOnce = z.object({
  id: z.string(),
  kind: z.enum(['run', 'entry']),
  beganAtMs: Ms,
  title: z.string(),
  planId: z.string().nullable(),
  group: z.string(),
  groupId: z.string().nullable(),
  people: z.array(z.string()),
  total: Planned,
  ended: z.boolean(),
  holds: z.array(
    z.object({
      ...planned,
      position: z.string(),
      name: z.string(),
      areas: z.array(z.string()),
      side: z.enum(['left', 'right', 'both', 'none']),
      paired: z.boolean(),
      strength: z.number().nullable(),
    }),
  ),
  breaths: z.array(
    z.object({
      ...planned,
      name: z.string(),
      rounds: z.number().nullable(),
      breathsPerMinute: z.number().nullable(),
      longestRetentionMs: Ms.nullable(),
    }),
  ),
  easyBreaths: z.array(z.object({ ratio: Ratio, effortFor: z.array(z.string()) })),
  setUp: Between,
  entries: Between,
  talk: Between,
});
export type PractisedOnce = z.infer<typeof PractisedOnce>;

/**
 * From a moment on, and up to another, in milliseconds since 1970 UTC; with a group, only its sessions: by its id, or by
 * its name where no id is given.
 */
export const PractisedQuery = z.strictObject({
  group: z.string().max(120).optional(),
  groupId: Id.optional(),
  from: z.coerce.number().int().min(0).default(0),
  until: z.coerce.number().int().min(0).max(8_640_000_000_000_000).default(8_640_000_000_000_000),
});
export const PractisedResponse = z.object({ practised: z.array(PractisedOnce), unreadable: Unreadable });
export type PractisedResponse = z.infer<typeof PractisedResponse>;
