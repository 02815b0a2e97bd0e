import { Router } from 'express';
import { Op } from 'sequelize';
import type { Library } from '#core/catalogue';
import { readJournalEntry } from '#core/journal';
import { practisedOfEntry, sessionsOfGroup } from '#core/review';
import { PractisedOnce, PractisedQuery, type PractisedResponse } from '#api';
import { accept } from '../http/problems';
import { wholeLibrary } from '../store/custom-entries';
import { sliced } from '../store/sliced';
import type { Store } from '../store/store';
import { readable, readStored } from '../store/stored';
import { runWorkings } from '../store/run-workings';

/** A run is begun when its session is, at most this long before or after the moment it was stored. */
const SLACK_MS = 24 * 3600 * 1000;

/** What was practised between two moments, by runs and by the journal. Milliseconds since 1970 UTC. */
export async function practisedBetween(
  store: Store,
  from: number,
  until: number,
): Promise<{ practised: PractisedOnce[]; unreadable: number }> {
  const rows = await store.runs.findAll({
    attributes: ['id'],
    where: { deletedMs: null, createdMs: { [Op.gte]: from - SLACK_MS, [Op.lt]: until + SLACK_MS } },
  });
  const workings = await runWorkings(store, rows);
  const whole = rows.flatMap(({ id }) => workings.get(id) ?? []).filter(({ summary }) => summary.unreadable === 0);
  const { library } = await wholeLibrary(store);
  const entries = await store.journal.findAll({ where: { deletedMs: null } });
  const read = await sliced(entries, ({ id, document }) =>
    readable([document], (text) => practisedOnce(id, text, library)),
  );
  const written = read.flatMap(({ values }) => values);
  const practised = [...whole.flatMap(({ practised: once }) => once ?? []), ...written.flat()];
  return {
    practised: practised.filter(({ beganAtMs }) => beganAtMs >= from && beganAtMs < until),
    unreadable: rows.length - whole.length + entries.length - written.length,
  };
}

/** What was practised by a journal entry; empty if it says nothing. Throws a NotReadable. */
function practisedOnce(id: string, text: string, library: Library): PractisedOnce[] {
  const entry = readStored('journal entry', text, readJournalEntry);
  // Its moment is by the clock of the place, which is that of the server.
  const once = practisedOfEntry(id, entry, new Date(entry.beganAt).getTime(), library);
  return [PractisedOnce.parse(once)];
}

/** What was practised, for the trends, without the plans. */
export function practisedRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (request, response) => {
    const { from, until, group, groupId } = accept(PractisedQuery, request.query);
    const { practised, unreadable } = await practisedBetween(store, from, until);
    const isAll = group === undefined && groupId === undefined;
    // Each was checked against its schema as it was worked out.
    const wanted = isAll ? practised : sessionsOfGroup(practised, { group: group ?? '', groupId: groupId ?? null });
    response.json({ practised: wanted, unreadable } satisfies PractisedResponse);
  });

  return routes;
}
