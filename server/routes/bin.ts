import { Router } from 'express';
import { Op } from 'sequelize';
import { BinKind, BinResponse, PlanId } from '#api';
import { answer } from '../http/answer';
import { accept, notFound } from '../http/problems';
import { isUsed } from '../store/own-library';
import { BIN_MS, iso, type Store } from '../store/store';

/** Takes out for good what has lain in the bin for longer than it is kept. */
export async function emptyBin(store: Store): Promise<void> {
  const tooOld = { deletedMs: { [Op.lt]: store.now() - BIN_MS } };
  await store.write(async (tables) => {
    const { plans, revisions, runs, events, entries, people, places } = tables;
    const runIds = (await runs.findAll({ where: tooOld, attributes: ['id'] })).map(({ id }) => id);
    const planIds = (await plans.findAll({ where: tooOld, attributes: ['id'] })).map(({ id }) => id);
    await events.destroy({ where: { runId: runIds } });
    await runs.destroy({ where: { id: runIds } });
    await revisions.destroy({ where: { planId: planIds } });
    await plans.destroy({ where: { id: planIds } });
    await people.destroy({ where: tooOld });
    await places.destroy({ where: tooOld });
    // An entry that a plan or a run still stands on stays, deleted as it is.
    for (const { id } of await entries.findAll({ where: tooOld, attributes: ['id'] })) {
      if (!(await isUsed(tables, id))) await entries.destroy({ where: { id } });
    }
  });
}

/** The bin: what was deleted in the last 30 days, and taking it back. */
export function binRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const deleted = { where: { deletedMs: { [Op.ne]: null } }, attributes: ['id', 'title', 'deletedMs'] };
    const [plans, runs, entries, people, places] = await Promise.all([
      store.plans.findAll(deleted),
      store.runs.findAll(deleted),
      store.entries.findAll(deleted),
      store.people.findAll(deleted),
      store.places.findAll(deleted),
    ]);
    const item = (kind: BinKind) => (row: { id: string; title: string; deletedMs: number | null }) => {
      const deletedMs = row.deletedMs ?? 0;
      return { kind, id: row.id, title: row.title, deletedAt: iso(deletedMs), goneAt: iso(deletedMs + BIN_MS) };
    };
    const items = [
      ...plans.map(item('plan')),
      ...runs.map(item('run')),
      ...entries.map(item('entry')),
      ...people.map(item('person')),
      ...places.map(item('place')),
    ];
    answer(response, BinResponse, { items: items.sort((a, b) => b.deletedAt.localeCompare(a.deletedAt)) });
  });

  routes.post('/:kind/:id/restore', async (request, response) => {
    const kind = accept(BinKind, request.params.kind);
    const where = { id: accept(PlanId, request.params.id), deletedMs: { [Op.ne]: null } };
    const [restored] = await store.write((tables) => {
      const back = { deletedMs: null };
      switch (kind) {
        case 'plan':
          return tables.plans.update(back, { where });
        case 'run':
          return tables.runs.update(back, { where });
        case 'entry':
          return tables.entries.update(back, { where });
        case 'person':
          return tables.people.update(back, { where });
        case 'place':
          return tables.places.update(back, { where });
      }
    });
    if (restored === 0) throw notFound(`such ${kind} in the bin`);
    response.status(204).end();
  });

  return routes;
}
