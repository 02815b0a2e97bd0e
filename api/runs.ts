import { z } from 'zod';
import type { Ms as Milliseconds } from '#core/numbers';
import { Plan } from '#core/plan';
import { MEASURED_FROM, RunEvent } from '#core/run';
import { Id } from '#core/document';
import { Moment, pageOf } from './documents';
import { Ribbon } from './ribbon';
import { Totals } from './timeline';
import { Unreadable } from './unreadable';

/** A run as stored: the plan as it was taught, and what happened, in order. */
export const StoredRun = z.object({
  id: Id,
  planId: Id,
  planRevision: z.int().min(1),
  createdAt: Moment,
  plan: Plan,
  events: z.array(RunEvent),
  /** How many events were left out because they cannot be read. */
  unreadable: Unreadable,
});
export type StoredRun = z.infer<typeof StoredRun>;

const Ms: z.ZodType<Milliseconds, Milliseconds> = z.number();

/** What is shown of a run in a list, without its plan and its events. Lengths in milliseconds. */
export const RunSummary = z.object({
  title: z.string(),
  /** When it began, milliseconds since 1970 UTC; null if it never did. */
  startedAtMs: Ms.nullable(),
  lastEventAtMs: Ms.nullable(),
  ended: z.boolean(),
  /** What its lengths were measured from, where it was not led with the clock. */
  measuredFrom: z.enum(MEASURED_FROM).nullable(),
  doneMs: Ms,
  differenceMs: Ms,
  leftDoneMs: Ms,
  rightDoneMs: Ms,
  /** Left less right over the steps with both sides: as it was, and as it was meant. */
  apartMs: Ms,
  meantMs: Ms,
  /** The one sentence that says most about it. */
  says: z.string(),
  totals: Totals,
  ribbon: Ribbon,
  unreadable: Unreadable,
});
export type RunSummary = z.infer<typeof RunSummary>;
export const ListedRun = StoredRun.omit({ plan: true, events: true, unreadable: true }).extend({ summary: RunSummary });
export type ListedRun = z.infer<typeof ListedRun>;

export const StartRunRequest = z.strictObject({
  id: Id,
  planId: Id,
  planRevision: z.int().min(1),
  /** When it began, where that was before now: milliseconds since 1970 UTC. */
  beganAtMs: z.int().min(0).max(8_640_000_000_000_000).optional(),
});
export type StartRunRequest = z.infer<typeof StartRunRequest>;

/** Events are stored once each by their id, however often they are sent. */
export const AddEventsRequest = z.strictObject({
  events: z.array(RunEvent).min(1).max(500),
  /** The clock of the session as it was sent, milliseconds since 1970 UTC. */
  nowMs: z.int().min(0).optional(),
});
export const AddEventsResponse = z.object({ stored: z.int().min(0), total: z.int().min(0) });

/** The events of a run from a place in their order on, from 0. */
export const EventsQuery = z.strictObject({ after: z.coerce.number().int().min(0).max(1_000_000).default(0) });
/**
 * `nowMs`: the clock of the session at this moment, as the window that leads it has it; null if that is not known.
 */
export const EventsResponse = z.object({ events: z.array(RunEvent), nowMs: z.number().nullable() });
export type EventsResponse = z.infer<typeof EventsResponse>;

export const ListRunsQuery = z.strictObject({
  planId: Id.optional(),
  limit: z.coerce.number().int().min(1).max(100).default(30),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export type ListRunsQuery = z.infer<typeof ListRunsQuery>;
export const ListRunsResponse = pageOf(ListedRun);
export type ListRunsResponse = z.infer<typeof ListRunsResponse>;
