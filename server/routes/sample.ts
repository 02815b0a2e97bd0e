import { Router } from 'express';
import { SampleState } from '#api';
import { DEMO_PLANS, demoCourses, demoGroups, demoJournal, demoPeople, demoPlaces, demoRuns } from '#library/demo';
import { loadSample } from '../demo';
import { answer } from '../http/answer';
import type { Store, Tables } from '../store/store';

const idsOf = (rows: readonly { id: string }[]): string[] => rows.map(({ id }) => id);

/** Every table that the sample house has rows in, with the ids of those rows. */
const SAMPLE = [
  ['plans', idsOf([...DEMO_PLANS, ...demoCourses.flatMap(({ plans }) => plans)])],
  ['courses', idsOf(demoCourses)],
  ['runs', idsOf([...demoRuns, ...demoCourses.flatMap(({ runs }) => runs)])],
  ['people', idsOf(demoPeople)],
  ['groups', idsOf(demoGroups)],
  ['places', idsOf(demoPlaces)],
  ['journal', idsOf(demoJournal)],
] as const;
/** The tables with the ids; of their rows only the id and the bin are looked at, which all have. */
const sampleRows = (tables: Tables): [Tables['people'], string[]][] =>
  SAMPLE.map(([name, ids]) => [tables[name] as Tables['people'], ids]);

/** How many rows of the sample house are there, those in the bin included where `all`. */
async function countSample(tables: Tables, all: boolean): Promise<number> {
  const counts = sampleRows(tables).map(([table, id]) =>
    table.count({ where: all ? { id } : { id, deletedMs: null } }),
  );
  return (await Promise.all(counts)).reduce((sum, count) => sum + count, 0);
}

/**
 * The sample house, to look around in: loaded beside what is there, and removed again into the bin. What was changed
 * in it meanwhile comes back with it.
 */
export function sampleRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    answer(response, SampleState, { loaded: (await countSample(store, false)) > 0 });
  });

  routes.post('/', async (_request, response) => {
    if ((await countSample(store, true)) === 0) await loadSample(store);
    else {
      await store.write(async (tables) => {
        for (const [table, id] of sampleRows(tables)) await table.update({ deletedMs: null }, { where: { id } });
      });
    }
    response.status(204).end();
  });

  routes.delete('/', async (_request, response) => {
    await store.write(async (tables) => {
      for (const [table, id] of sampleRows(tables)) {
        await table.update({ deletedMs: store.now() }, { where: { id, deletedMs: null } });
      }
    });
    response.status(204).end();
  });

  return routes;
}
