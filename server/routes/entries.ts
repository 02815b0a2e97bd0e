import { Router } from 'express';
import { readEntry, type OwnEntry } from '#core/catalogue';
import { CreateEntryRequest, ListEntriesResponse, PlanId, SaveEntryRequest, StoredEntry } from '#api';
import { answer } from '../http/answer';
import { accept, HttpProblem, notFound, unprocessable, unprocessableDocument } from '../http/problems';
import type { DocumentRow, Models } from '../store/models';
import { createDocument, saveDocument, type DocumentTable } from '../store/documents';
import { isBuiltIn, storedEntry } from '../store/own-library';
import { iso, type Store } from '../store/store';
import { readable } from '../store/stored';

/** How many entries of one's own a library holds. */
export const MOST_ENTRIES = 1000;

const stored = (row: DocumentRow): StoredEntry => ({
  id: row.id,
  revision: row.revision,
  createdAt: iso(row.createdMs),
  updatedAt: iso(row.updatedMs),
  deletedAt: row.deletedMs === null ? null : iso(row.deletedMs),
  document: storedEntry(row.document),
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

const kindOf = ({ entries }: Pick<Models, 'entries'>): DocumentTable<OwnEntry, StoredEntry> => ({
  table: entries,
  noun: 'entry',
  titleOf: ({ entry }) => entry.names.english,
  stored,
});

async function create(store: Store, document: OwnEntry): Promise<StoredEntry> {
  return store.write(async (tables) => {
    const { id } = document.entry;
    if (!(await tables.entries.findByPk(id)) && (await tables.entries.count()) >= MOST_ENTRIES) {
      throw new HttpProblem(422, 'Full', `A library holds ${MOST_ENTRIES} entries of your own. Delete one first.`);
    }
    return createDocument(kindOf(tables), id, document, store.now());
  });
}

async function save(store: Store, id: string, revision: number, own: OwnEntry): Promise<StoredEntry> {
  if (own.entry.id !== id) {
    throw unprocessable([{ field: 'document.entry.id', reason: `The id is “${id}” and cannot be changed.` }]);
  }
  return store.write(async (tables) =>
    saveDocument(kindOf(tables), await entryRow(tables, id), revision, own, store.now()),
  );
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
    const { values: entries, unreadable } = readable(rows, stored);
    answer(response, ListEntriesResponse, { entries, unreadable });
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
