import { Router } from 'express';
import { personFile, readGroup, readPerson, type AttendedClass } from '#core/people';
import { ForgetResponse, PersonFileResponse } from '#api';
import { answer } from '../../http/answer';
import { idOf } from '../../http/requests';
import { notFound } from '../../http/problems';
import { forgetInBackups } from '../../store/forget-in-backups';
import { forgetPerson } from '../../store/forget';
import { iso, type Store } from '../../store/store';
import { readable, readStored } from '../../store/stored';
import { practisedBetween } from '../practised';

const DAY_MS = 86_400_000;

/** One person as a whole: everything that is kept of them in one file, and forgetting them for good. */
export function wholePersonRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/:id/file', async (request, response) => {
    const id = idOf(request);
    const row = await store.people.findOne({ where: { id, deletedMs: null } });
    if (!row) throw notFound('person with this id');
    const person = readStored('person', row.document, readPerson);
    const rows = await store.groups.findAll({ where: { deletedMs: null } });
    const groups = readable(rows, ({ document }) => readStored('group', document, readGroup))
      .values.filter(({ members }) => members.includes(id))
      .map(({ name }) => name);
    const { practised } = await practisedBetween(store, 0, store.now() + DAY_MS);
    const cameTo = practised
      .filter(({ people }) => people.includes(id))
      .map(({ title, beganAtMs, total }): AttendedClass => ({
        title,
        at: iso(beganAtMs),
        seconds: total.doneMs / 1000,
      }));
    answer(response, PersonFileResponse, personFile(person, groups, cameTo, iso(store.now())));
  });

  routes.delete('/:id/forever', async (request, response) => {
    const id = idOf(request);
    await store.write(async (tables) => {
      if (!(await tables.people.findByPk(id, { attributes: ['id'] }))) throw notFound('person with this id');
      await forgetPerson(tables, id, store.now());
    });
    store.forgetWorkings();
    const swept = await store.sweep();
    if (!swept) sweepLater(store);
    answer(response, ForgetResponse, { swept, backupsLeft: await forgetInBackups(store.file, id, store.now()) });
  });

  return routes;
}

const LATER_MS = 30_000;
/** Goes on trying to empty the log, until nobody reads it any more. */
function sweepLater(store: Store): void {
  const again = async (): Promise<void> => {
    if (!(await store.sweep().catch(() => true))) sweepLater(store);
  };
  setTimeout(() => void again(), LATER_MS).unref();
}
