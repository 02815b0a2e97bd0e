import type { RunEvent } from '#core/run';
import { AddEventsResponse, EventsResponse, ListRunsResponse, StoredRun, type StartRunRequest } from '#api';
import { ask, tell } from './http';

const at = (id: string): string => `/runs/${encodeURIComponent(id)}`;

export const listRuns = (limit = 30, planId?: string) =>
  ask(ListRunsResponse, 'GET', `/runs?${new URLSearchParams({ limit: String(limit), ...(planId ? { planId } : {}) })}`);

export const readRun = (id: string) => ask(StoredRun, 'GET', at(id));

export const startRun = (request: StartRunRequest) => ask(StoredRun, 'POST', '/runs', request);

/** Adds events to a run. `nowMs`: the clock of the session, where it is under way. */
export const addEvents = (id: string, events: RunEvent[], nowMs?: number) =>
  ask(AddEventsResponse, 'POST', `${at(id)}/events`, { events, nowMs });

/** The events of a run from a place in their order on, with the clock of the session. */
export const eventsAfter = (id: string, after: number): Promise<EventsResponse> =>
  ask(EventsResponse, 'GET', `${at(id)}/events?after=${after}`);

export const deleteRun = (id: string) => tell('DELETE', at(id));
