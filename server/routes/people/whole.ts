import { Router } from 'express';
import { personFile, type CameTo } from '#core/people';
import { PersonFileResponse, PlanId, StoredPerson } from '#api';
import { answer } from '../../http/answer';
import { accept, notFound } from '../../http/problems';
import { forgetPerson } from '../../store/forget';
import { iso, type Store } from '../../store/store';
import { practisedBetween } from '../practised';

const DAY_MS = 86_400_000;

/** One person as a whole: everything that is kept of them in one file, and forgetting them for good. */
export function wholePersonRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/:id/file', async (request, response) => {
    const id = accept(PlanId, request.params.id);
    const row = await store.people.findOne({ where: { id, deletedMs: null } });
    if (!row) throw notFound('person with this id');
    const person = StoredPerson.shape.document.parse(JSON.parse(row.document));
    const groups = (await store.groups.findAll({ where: { deletedMs: null } })).flatMap(({ document }) => {
      const { name, members } = JSON.parse(document) as { name: string; members: string[] };
      return members.includes(id) ? [name] : [];
    });
    const practised = await practisedBetween(store, 0, store.now() + DAY_MS);
    const cameTo = practised
      .filter(({ people }) => people.includes(id))
      .map(({ title, beganAtMs, total }): CameTo => ({ title, at: iso(beganAtMs), seconds: total.doneMs / 1000 }));
    answer(response, PersonFileResponse, personFile(person, groups, cameTo, iso(store.now())));
  });

  routes.delete('/:id/forever', async (request, response) => {
    const id = accept(PlanId, request.params.id);
    await store.write(async (tables) => {
      if (!(await tables.people.findByPk(id, { attributes: ['id'] }))) throw notFound('person with this id');
      await forgetPerson(tables, id, store.now());
    });
    await store.sweep();
    response.status(204).end();
  });

  return routes;
}
