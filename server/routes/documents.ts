import { Router } from 'express';
import type { FieldIssue } from '#core/document';
import { CreateDocumentRequest, PlanId, SavedDocument, SaveDocumentRequest } from '#api';
import type { z } from 'zod';
import { answer } from '../http/answer';
import { accept, HttpProblem, notFound, unprocessableDocument } from '../http/problems';
import { createDocument, saveDocument, type DocumentTable } from '../store/documents';
import type { DocumentRow, Models } from '../store/models';
import { iso, type Store } from '../store/store';
import { readable, readStored } from '../store/stored';

type Read<T> = { ok: true; value: T } | { ok: false; issues: FieldIssue[] };

/** A document with its revision and its moments, as it is answered. */
interface Stored<T> {
  id: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  document: T;
}

/** A kind of document that is listed, made, read, saved with a revision, and put into the bin. */
export interface DocumentRoom<T> {
  table: 'people' | 'groups' | 'places' | 'journal';
  /** `person`, and under which name the list is answered. */
  noun: string;
  list: 'people' | 'groups' | 'places' | 'entries';
  titleOf: (document: T) => string;
  read: (value: unknown) => Read<T>;
  /** What else is wrong with a document that is sent at this moment. */
  refuse?: (document: T, nowMs: number) => FieldIssue[];
  schema: z.ZodType<Stored<T>>;
  listSchema: z.ZodType;
  /** How many there may be, and what is said where there are. */
  most: number;
  full: string;
}

function storedWith<T>({ noun, read }: DocumentRoom<T>): (row: DocumentRow) => Stored<T> {
  return ({ id, revision, createdMs, updatedMs, document }) => ({
    id,
    revision,
    createdAt: iso(createdMs),
    updatedAt: iso(updatedMs),
    document: readStored(noun, document, read),
  });
}

const kindOf = <T>(room: DocumentRoom<T>, tables: Models): DocumentTable<T, Stored<T>> => ({
  table: tables[room.table],
  noun: room.noun,
  titleOf: room.titleOf,
  stored: storedWith(room),
});

/** Makes a document; asked twice with the same, it is the same. */
export const createIn = <T>(room: DocumentRoom<T>, store: Store, id: string, document: T): Promise<Stored<T>> =>
  store.write(async (tables) => {
    const table = tables[room.table];
    const known = await table.findByPk(id);
    if (!known && (await table.count()) >= room.most) throw new HttpProblem(422, 'Full', room.full);
    return createDocument(kindOf(room, tables), id, document, store.now());
  });

/** Documents of one kind: list by title, make, read, save with a revision, into the bin. */
export function documentRoutes<T>(room: DocumentRoom<T>, store: Store): Router {
  const routes = Router();
  const stored = storedWith(room);
  const idOf = (params: { id?: string }): string => accept(PlanId, params.id);
  const acceptDocument = (document: unknown): T => {
    const read = room.read(document);
    if (!read.ok) throw unprocessableDocument(read.issues);
    const refused = room.refuse?.(read.value, store.now()) ?? [];
    if (refused.length > 0) throw unprocessableDocument(refused);
    return read.value;
  };
  const live = async (tables: Models, id: string): Promise<DocumentRow> => {
    const row = await tables[room.table].findOne({ where: { id, deletedMs: null } });
    if (!row) throw notFound(`${room.noun} with this id`);
    return row;
  };

  routes.get('/', async (_request, response) => {
    const rows = await store[room.table].findAll({ where: { deletedMs: null } });
    const { values, unreadable } = readable(rows, stored);
    const sorted = values.sort((a, b) => room.titleOf(a.document).localeCompare(room.titleOf(b.document)));
    answer(response, room.listSchema, { [room.list]: sorted, unreadable });
  });

  routes.post('/', async (request, response) => {
    const { id, document } = accept(CreateDocumentRequest, request.body);
    answer(response, room.schema, await createIn(room, store, id, acceptDocument(document)), 201);
  });

  routes.get('/:id', async (request, response) => {
    answer(response, room.schema, stored(await live(store, idOf(request.params))));
  });

  routes.put('/:id', async (request, response) => {
    const id = idOf(request.params);
    const { revision, document } = accept(SaveDocumentRequest, request.body);
    const accepted = acceptDocument(document);
    const saved = await store.write(async (tables) =>
      saveDocument(kindOf(room, tables), await live(tables, id), revision, accepted, store.now()),
    );
    answer(response, SavedDocument, { revision: saved.revision });
  });

  routes.delete('/:id', async (request, response) => {
    const id = idOf(request.params);
    await store.write(async (tables) => (await live(tables, id)).update({ deletedMs: store.now() }));
    response.status(204).end();
  });

  return routes;
}
