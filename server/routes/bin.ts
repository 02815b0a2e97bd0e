import { Router } from 'express';
import { Op, type Model, type ModelStatic } from 'sequelize';
import { BinKind, BinResponse } from '#api';
import { answer } from '../http/answer';
import { idOf } from '../http/requests';
import { accept, notFound } from '../http/problems';
import { advanceBinClock } from '../store/bin-clock';
import { forgetPerson } from '../store/forget';
import type { Lock } from '../lock/lock';
import { isUsed } from '../store/custom-entries';
import { KEPT } from '../store/kept';
import type { Models } from '../store/models';
import { BIN_MS, iso, type Store } from '../store/store';

/** Deletes for good what has been in the bin for longer than it is kept, by the clock of the bin. */
export async function emptyBin(store: Store): Promise<void> {
  await store.write(async (tables) => {
    const tooOld = { deletedMs: { [Op.lt]: (await advanceBinClock(tables, store.now())) - BIN_MS } };
    const { plans, revisions, runs, events, entries, people, groups, places, courses, journal, variants, classPeople } =
      tables;
    const runIds = (await runs.findAll({ where: tooOld, attributes: ['id'] })).map(({ id }) => id);
    const planIds = (await plans.findAll({ where: tooOld, attributes: ['id'] })).map(({ id }) => id);
    await events.destroy({ where: { runId: runIds } });
    await runs.destroy({ where: { id: runIds } });
    await revisions.destroy({ where: { planId: planIds } });
    await variants.destroy({ where: { id: planIds } });
    await classPeople.destroy({ where: { id: planIds } });
    await plans.destroy({ where: { id: planIds } });
    for (const table of [groups, places, courses, journal]) await table.destroy({ where: tooOld });
    for (const { id } of await people.findAll({ where: tooOld, attributes: ['id'] })) {
      await forgetPerson(tables, id, store.now());
    }
    // An entry that a plan or a run still stands on stays, deleted as it is.
    for (const { id } of await entries.findAll({ where: tooOld, attributes: ['id'] })) {
      if (!(await isUsed(tables, id))) await entries.destroy({ where: { id } });
    }
  });
  // Who was forgotten is no longer in what was worked out before.
  store.forgetWorkings();
}

/** What every table has that the bin asks of it. */
type BinnedRow = Model<{ id: string; title: string; deletedMs: number | null }> & {
  id: string;
  title: string;
  deletedMs: number | null;
};
const binned = (tables: Models, kind: BinKind): ModelStatic<BinnedRow> =>
  tables[KEPT[kind].table] as ModelStatic<BinnedRow>;

/** The bin: what was deleted in the last 30 days, and taking it back; people only where the lock is open. */
export function binRoutes(store: Store, lock: Lock): Router {
  const routes = Router();

  routes.get('/', async (request, response) => {
    const open = await lock.isOpen(request);
    const kinds = BinKind.options.filter((kind) => open || !KEPT[kind].isOfPeople);
    const deleted = { where: { deletedMs: { [Op.ne]: null } }, attributes: ['id', 'title', 'deletedMs'] };
    const lying = await Promise.all(
      kinds.map(async (kind) => {
        const rows = await binned(store, kind).findAll(deleted);
        return rows.map(({ id, title, deletedMs: since }) => {
          const deletedMs = since ?? 0;
          return { kind, id, title, deletedAt: iso(deletedMs), goneAt: iso(deletedMs + BIN_MS) };
        });
      }),
    );
    answer(response, BinResponse, { items: lying.flat().sort((a, b) => b.deletedAt.localeCompare(a.deletedAt)) });
  });

  routes.post('/:kind/:id/restore', async (request, response) => {
    const kind = accept(BinKind, request.params.kind);
    if (KEPT[kind].isOfPeople) await lock.mustBeOpen(request);
    const where = { id: idOf(request), deletedMs: { [Op.ne]: null } };
    const [restored] = await store.write((tables) => binned(tables, kind).update({ deletedMs: null }, { where }));
    if (restored === 0) throw notFound(`such ${kind} in the bin`);
    response.status(204).end();
  });

  return routes;
}
