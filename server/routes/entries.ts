import { Router } from 'express';
import { readEntry, type OwnEntry } from '#core/catalogue';
import type { EntryConflict } from '#api';
import { CreateEntryRequest, ListEntriesResponse, PlanId, SaveEntryRequest, StoredEntry } from '#api';
import { answer } from '../http/answer';
import { accept, HttpProblem, notFound, unprocessable, unprocessableDocument } from '../http/problems';
import type { DocumentRow, Models } from '../store/models';
import { addEntry, isBuiltIn, storedEntry } from '../store/own-library';
import { iso, type Store } from '../store/store';

/** How many entries of one's own a library holds. */
export const MOST_ENTRIES = 1000;

const stored = (row: DocumentRow, document = storedEntry(row.document)): StoredEntry => ({
  id: row.id,
  revision: row.revision,
  createdAt: iso(row.createdMs),
  updatedAt: iso(row.updatedMs),
  deletedAt: row.deletedMs === null ? null : iso(row.deletedMs),
  document,
});

/** Reads an entry of a request; throws every wrong field as a 422. What ships with Zovrin is copied, not changed. */
function acceptEntry(document: unknown): OwnEntry {
  const read = readEntry(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  const { id, names } = read.value.entry;
  if (isBuiltIn(id)) throw builtIn(names.english);
  if (!PlanId.safeParse(id).success) {
    throw unprocessable([{ field: 'document.entry.id', reason: 'An id has letters, digits, - and _, at most 64.' }]);
  }
  return read.value;
}

const builtIn = (name: string): HttpProblem =>
  new HttpProblem(
    409,
    'Ships with Zovrin',
    `“${name}” ships with Zovrin and stays as it is. Make a copy and change that.`,
  );

async function entryRow({ entries }: Models, id: string): Promise<DocumentRow> {
  const row = await entries.findByPk(id);
  if (!row) throw notFound('entry with this id');
  return row;
}

/** Both versions go back, so that neither is lost. */
function changedElsewhere(row: DocumentRow, yours: OwnEntry, detail: string): HttpProblem {
  const conflict: EntryConflict = { current: stored(row), yours };
  return new HttpProblem(409, 'Changed elsewhere', detail, undefined, { ...conflict });
}

async function create(store: Store, document: OwnEntry): Promise<StoredEntry> {
  return store.write(async (tables) => {
    const existing = await tables.entries.findByPk(document.entry.id);
    // The same entry sent again, its answer lost, is the same entry.
    if (existing?.document === JSON.stringify(document)) return stored(existing, document);
    if (existing) throw changedElsewhere(existing, document, 'An entry with this id exists.');
    if ((await tables.entries.count()) >= MOST_ENTRIES) {
      throw new HttpProblem(422, 'Full', `A library holds ${MOST_ENTRIES} entries of your own. Delete one first.`);
    }
    return stored(await addEntry(tables, document, store.now()), document);
  });
}

async function save(store: Store, id: string, revision: number, own: OwnEntry): Promise<StoredEntry> {
  if (own.entry.id !== id) {
    throw unprocessable([{ field: 'document.entry.id', reason: `The id is “${id}” and cannot be changed.` }]);
  }
  return store.write(async (tables) => {
    const row = await entryRow(tables, id);
    const document = JSON.stringify(own);
    if (row.revision === revision + 1 && row.document === document) return stored(row, own);
    if (row.revision !== revision) {
      throw changedElsewhere(row, own, 'This entry was changed elsewhere since you opened it.');
    }
    await row.update({ revision: revision + 1, document, title: own.entry.names.english, updatedMs: store.now() });
    return stored(row, own);
  });
}

/** Entries of a teacher's own library: list, make, read, save with a revision, into the bin. */
export function entryRoutes(store: Store): Router {
  const routes = Router();
  const idOf = (params: { id?: string }): string => {
    const id = accept(PlanId, params.id);
    if (isBuiltIn(id)) throw builtIn(id);
    return id;
  };

  routes.get('/', async (_request, response) => {
    const rows = await store.entries.findAll({
      order: [
        ['createdMs', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    answer(response, ListEntriesResponse, { entries: rows.map((row) => stored(row)) });
  });

  routes.post('/', async (request, response) => {
    const { document } = accept(CreateEntryRequest, request.body);
    answer(response, StoredEntry, await create(store, acceptEntry(document)), 201);
  });

  routes.get('/:id', async (request, response) => {
    answer(response, StoredEntry, stored(await entryRow(store, idOf(request.params))));
  });

  routes.put('/:id', async (request, response) => {
    const id = idOf(request.params);
    const { revision, document } = accept(SaveEntryRequest, request.body);
    answer(response, StoredEntry, await save(store, id, revision, acceptEntry(document)));
  });

  routes.delete('/:id', async (request, response) => {
    const id = idOf(request.params);
    await store.write(async (tables) => {
      const row = await entryRow(tables, id);
      if (row.deletedMs === null) await row.update({ deletedMs: store.now() });
    });
    response.status(204).end();
  });

  return routes;
}
