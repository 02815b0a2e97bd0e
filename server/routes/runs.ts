import { Router } from 'express';
import { selfContained } from '#core/plan';
import { storedEvent, type RunEvent } from '#core/run';
import {
  AddEventsRequest,
  AddEventsResponse,
  EventsQuery,
  EventsResponse,
  ListRunsQuery,
  ListRunsResponse,
  StartRunRequest,
  StoredRun,
} from '#api';
import { answer } from '../http/answer';
import { idOf } from '../http/requests';
import { accept, HttpProblem, notFound } from '../http/problems';
import type { Models, RunRow } from '../store/models';
import { runWorkings } from '../store/run-workings';
import { libraryFor } from '../store/custom-entries';
import { iso, type Store } from '../store/store';
import { readable } from '../store/stored';
import { storedPlan } from '../store/stored-plans';
import type { SessionClocks } from '../session-clocks';
import { eventsOf, readEvent, storedRun } from '../store/stored-runs';

const withEvents = async (tables: Models, row: RunRow): Promise<StoredRun> =>
  storedRun(row, (await eventsOf(tables, [row.id])).get(row.id) ?? []);

async function liveRun(tables: Models, id: string): Promise<RunRow> {
  const row = await tables.runs.findOne({ where: { id, deletedMs: null } });
  if (!row) throw notFound('run with this id');
  return row;
}

/** The run of a plan that was begun last, if there is any. */
export async function latestRun(store: Store, planId: string): Promise<StoredRun | null> {
  const row = await store.runs.findOne({ where: { planId, deletedMs: null }, order: [['createdMs', 'DESC']] });
  return row ? withEvents(store, row) : null;
}

/** Begins a run of a plan as it was at a revision. Asked twice with the same id, it is the same run. */
export async function startRun(store: Store, request: StartRunRequest): Promise<StoredRun> {
  const { id, planId, planRevision, beganAtMs: createdMs = store.now() } = request;
  return store.write(async (tables) => {
    const existing = await tables.runs.findByPk(id);
    if (existing) {
      if (existing.planId !== planId)
        throw new HttpProblem(409, 'Taken', 'A run with this id exists for another plan.');
      return withEvents(tables, existing);
    }
    const plan = await tables.plans.findOne({ where: { id: planId, deletedMs: null } });
    const revision = plan && (await tables.revisions.findOne({ where: { planId, revision: planRevision } }));
    if (!revision) throw notFound('such revision of this plan');
    const taught = storedPlan(revision.document);
    // With the times its positions have now: the record does not change when a library entry does.
    const document = JSON.stringify(selfContained(taught, await libraryFor(tables, taught)));
    const { title } = taught;
    const row = await tables.runs.create({ id, planId, planRevision, title, document, createdMs, deletedMs: null });
    return storedRun(row, []);
  });
}

/** Adds events at the end of a run, each once. Gives how many were new and how many there are now. */
export async function addEvents(store: Store, runId: string, events: readonly RunEvent[]) {
  return store.write(async (tables) => {
    await liveRun(tables, runId);
    const known = await tables.events.findAll({
      where: { id: events.map(({ id }) => id) },
      attributes: ['id', 'runId'],
    });
    if (known.some((row) => row.runId !== runId)) {
      throw new HttpProblem(409, 'Taken', 'An event with this id belongs to another run.');
    }
    const seen = new Set(known.map(({ id }) => id));
    const fresh = events.filter(({ id }) => !seen.has(id) && seen.add(id));
    const total = await tables.events.count({ where: { runId } });
    await tables.events.bulkCreate(
      fresh.map((event, i) => ({ id: event.id, runId, seq: total + i, event: JSON.stringify(storedEvent(event)) })),
    );
    return { stored: fresh.length, total: total + fresh.length };
  });
}

/** Runs: list, begin, read, add what happened, into the bin. */
export function runRoutes(store: Store, clocks: SessionClocks): Router {
  const routes = Router();

  routes.get('/', async (request, response) => {
    const { planId, limit, offset } = accept(ListRunsQuery, request.query);
    const where = { deletedMs: null, ...(planId ? { planId } : {}) };
    const { rows, count } = await store.runs.findAndCountAll({
      attributes: ['id', 'planId', 'planRevision', 'createdMs'],
      where,
      order: [
        ['createdMs', 'DESC'],
        ['id', 'ASC'],
      ],
      limit,
      offset,
    });
    const workings = await runWorkings(store, rows);
    const items = rows.flatMap(({ id, planId: ofPlan, planRevision, createdMs }) => {
      const worked = workings.get(id);
      return worked ? { id, planId: ofPlan, planRevision, createdAt: iso(createdMs), summary: worked.summary } : [];
    });
    answer(response, ListRunsResponse, { items, total: count, unreadable: rows.length - items.length });
  });

  routes.post('/', async (request, response) => {
    answer(response, StoredRun, await startRun(store, accept(StartRunRequest, request.body)), 201);
  });

  routes.get('/:id', async (request, response) => {
    const row = await liveRun(store, idOf(request));
    answer(response, StoredRun, await withEvents(store, row));
  });

  routes.get('/:id/events', async (request, response) => {
    const { after } = accept(EventsQuery, request.query);
    const { id } = await liveRun(store, idOf(request));
    const rows = (await eventsOf(store, [id])).get(id) ?? [];
    const { values } = readable(rows.slice(after), ({ event }) => readEvent(event));
    answer(response, EventsResponse, { events: values, nowMs: clocks.nowMs(id) });
  });

  routes.post('/:id/events', async (request, response) => {
    const { events, nowMs } = accept(AddEventsRequest, request.body);
    const id = idOf(request);
    const added = await addEvents(store, id, events);
    if (nowMs !== undefined) clocks.heard(id, events, nowMs);
    answer(response, AddEventsResponse, added);
  });

  routes.delete('/:id', async (request, response) => {
    const id = idOf(request);
    await store.write(async (tables) => (await liveRun(tables, id)).update({ deletedMs: store.now() }));
    response.status(204).end();
  });

  return routes;
}
