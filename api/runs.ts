import { z } from 'zod';
import { Plan } from '#core/plan';
import { RunEvent } from '#core/run';
import { PlanId } from './plans';

const Moment = z.iso.datetime();

/** A run as stored: the plan as it was taught, and what happened, in order. */
export const StoredRun = z.object({
  id: PlanId,
  planId: PlanId,
  planRevision: z.int().min(1),
  createdAt: Moment,
  plan: Plan,
  events: z.array(RunEvent),
});
export type StoredRun = z.infer<typeof StoredRun>;

export const StartRunRequest = z.strictObject({ id: PlanId, planId: PlanId, planRevision: z.int().min(1) });
export type StartRunRequest = z.infer<typeof StartRunRequest>;

/** Events are stored once each by their id, however often they are sent. */
export const AddEventsRequest = z.strictObject({ events: z.array(RunEvent).min(1).max(500) });
export const AddEventsResponse = z.object({ stored: z.int().min(0), total: z.int().min(0) });

/** The events of a run from a place in their order on, from 0. */
export const EventsQuery = z.strictObject({ after: z.coerce.number().int().min(0).max(1_000_000).default(0) });
export const EventsResponse = z.object({ events: z.array(RunEvent) });

export const ListRunsQuery = z.strictObject({
  planId: PlanId.optional(),
  limit: z.coerce.number().int().min(1).max(100).default(30),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export type ListRunsQuery = z.infer<typeof ListRunsQuery>;
export const ListRunsResponse = z.object({ runs: z.array(StoredRun), total: z.int().min(0) });
export type ListRunsResponse = z.infer<typeof ListRunsResponse>;
