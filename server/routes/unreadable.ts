import { Router } from 'express';
import { Op, type ModelStatic } from 'sequelize';
import { ListUnreadableResponse, StoredKind, type UnreadableRow } from '#api';
import { answer } from '../http/answer';
import { accept, notFound } from '../http/problems';
import { KEPT } from '../store/kept';
import type { DocumentRow, Models } from '../store/models';
import { sliced } from '../store/sliced';
import type { Store } from '../store/store';
import { reasonNotToRead } from '../store/stored';
import { eventsOf, readEvent } from '../store/stored-runs';

/** So many rows are read at once: the loop is not held while they are made. */
const BATCH = 200;

/** What every such table has. */
type Row = Pick<DocumentRow, 'id' | 'title' | 'document' | 'deletedMs'>;
const tableOf = (store: Models, kind: StoredKind) => store[KEPT[kind].table] as ModelStatic<DocumentRow>;

/** The rows of one kind that cannot be read, with the reason. */
async function unreadableOf(store: Store, kind: StoredKind): Promise<UnreadableRow[]> {
  const { read, deletable } = KEPT[kind];
  const attributes = ['id', 'title', 'document'];
  const found: UnreadableRow[] = [];
  for (let last = ''; ;) {
    const where = { deletedMs: null, id: { [Op.gt]: last } };
    const rows: Row[] = await tableOf(store, kind).findAll({
      where,
      attributes,
      order: [['id', 'ASC']],
      limit: BATCH,
      raw: true,
    });
    await sliced(rows, ({ id, title, document: text }) => {
      const reason = reasonNotToRead(() => read(text));
      if (reason !== undefined) found.push({ kind, id, title, reason, deletable });
    });
    if (rows.length < BATCH) return found;
    last = rows.at(-1)?.id ?? '';
  }
}

/** Sessions of which single events cannot be read. */
async function unreadableEvents(store: Store): Promise<UnreadableRow[]> {
  const counts = new Map<string, number>();
  for (let last = ''; ;) {
    const rows = await store.events.findAll({
      attributes: ['id', 'runId', 'event'],
      where: { id: { [Op.gt]: last } },
      order: [['id', 'ASC']],
      limit: BATCH,
      raw: true,
    });
    await sliced(rows, ({ runId, event }) => {
      if (reasonNotToRead(() => readEvent(event)) !== undefined) counts.set(runId, (counts.get(runId) ?? 0) + 1);
    });
    if (rows.length < BATCH) break;
    last = rows.at(-1)?.id ?? '';
  }
  const runs = await store.runs.findAll({ where: { id: [...counts.keys()], deletedMs: null }, raw: true });
  return runs.map(({ id, title }) => {
    const count = counts.get(id) ?? 0;
    const reason = `${count === 1 ? '1 event' : `${count} events`} of this session cannot be read; the others are shown.`;
    return { kind: 'run', id, title, reason, deletable: true };
  });
}

/** What is stored and cannot be read: all of it with its reasons, and the stored text of each, to be kept as a file. */
export function unreadableRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const kinds: UnreadableRow[][] = [];
    for (const kind of StoredKind.options) kinds.push(await unreadableOf(store, kind));
    const documents = kinds.flat();
    const events = (await unreadableEvents(store)).filter(({ id }) => !documents.some((row) => row.id === id));
    answer(response, ListUnreadableResponse, { rows: [...documents, ...events] });
  });

  routes.get('/:kind/:id', async (request, response) => {
    const kind = accept(StoredKind, request.params.kind);
    const row = await tableOf(store, kind).findByPk(request.params.id);
    if (!row) throw notFound(`${kind} with this id`);
    const events = kind === 'run' ? ((await eventsOf(store, [row.id])).get(row.id) ?? []) : [];
    const text = [row.document, ...events.map(({ event }) => event)].join('\n');
    response.type('text/plain').attachment(`${kind}.txt`).send(text);
  });

  return routes;
}
