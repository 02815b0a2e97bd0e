import { Router } from 'express';
import { Op } from 'sequelize';
import { withOwnEntries } from '#core/catalogue';
import { readJournalEntry } from '#core/journal';
import { practisedOfEntry, practisedOfRun, type Practised } from '#core/record';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { PractisedQuery, PractisedResponse, type PractisedOnce } from '#api';
import { answer } from '../http/answer';
import { accept } from '../http/problems';
import { storedEntry } from '../store/own-library';
import type { Store } from '../store/store';
import { eventsOf, stored } from './runs';

/** A run is begun when its session is, at most this long before or after the moment it was stored. */
const SLACK_MS = 24 * 3600 * 1000;

/** What was practised between two moments, by runs and by the journal. Milliseconds since 1970 UTC. */
export async function practisedBetween(store: Store, from: number, until: number): Promise<Practised[]> {
  const rows = await store.runs.findAll({
    where: { deletedMs: null, createdMs: { [Op.gte]: from - SLACK_MS, [Op.lt]: until + SLACK_MS } },
  });
  const events = await eventsOf(
    store,
    rows.map(({ id }) => id),
  );
  const own = (await store.entries.findAll()).map(({ document }) => storedEntry(document));
  const library = withOwnEntries(builtInLibrary, own);
  const runs = rows.flatMap((row) => {
    const { id, planId, plan, events: happened } = stored(row, events.get(row.id) ?? []);
    const timeline = compileTimeline(plan, library);
    return practisedOfRun({ id, planId, plan, timeline, events: happened }, library) ?? [];
  });
  const written = (await store.journal.findAll({ where: { deletedMs: null } })).flatMap(({ id, document }) => {
    const read = readJournalEntry(JSON.parse(document));
    // Its moment is told by the clock of the place, which is that of the server.
    return read.ok ? practisedOfEntry(id, read.value, new Date(read.value.beganAt).getTime(), library) : [];
  });
  return [...runs, ...written].filter(({ beganAtMs }) => beganAtMs >= from && beganAtMs < until);
}

/** What was practised: what weeks are told from, without the plans. */
export function practisedRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (request, response) => {
    const { from, until } = accept(PractisedQuery, request.query);
    const practised = await practisedBetween(store, from, until);
    answer(response, PractisedResponse, { practised: practised as unknown as PractisedOnce[] });
  });

  return routes;
}
