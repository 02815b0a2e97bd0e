import type { RunEvent } from '#core/run';
import { AddEventsResponse, EventsResponse, ListRunsResponse, StoredRun, type StartRunRequest } from '#api';
import { ask, tell } from './http';

const at = (id: string): string => `/runs/${encodeURIComponent(id)}`;

export const listRuns = (limit = 30, planId?: string) =>
  ask(ListRunsResponse, 'GET', `/runs?${new URLSearchParams({ limit: String(limit), ...(planId ? { planId } : {}) })}`);

export const readRun = (id: string) => ask(StoredRun, 'GET', at(id));

export const startRun = (request: StartRunRequest) => ask(StoredRun, 'POST', '/runs', request);

export const addEvents = (id: string, events: RunEvent[]) =>
  ask(AddEventsResponse, 'POST', `${at(id)}/events`, { events });

/** The events of a run from a place in their order on. */
export const eventsAfter = async (id: string, after: number): Promise<RunEvent[]> =>
  (await ask(EventsResponse, 'GET', `${at(id)}/events?after=${after}`)).events;

export const deleteRun = (id: string) => tell('DELETE', at(id));
