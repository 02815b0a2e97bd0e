import { randomUUID } from 'node:crypto';
import { Router, type Request, type Response } from 'express';
import { col, fn } from 'sequelize';
import type { FieldIssue } from '#core/document';
import {
  CreateDocumentRequest,
  PageQuery,
  pageOf,
  SavedDocument,
  SaveDocumentRequest,
  type Resource,
  type StoredDocument,
} from '#api';
import { answer } from '../http/answer';
import { idOf, revisionOf, tagWith } from '../http/requests';
import { accept, HttpProblem, notFound, unprocessableDocument } from '../http/problems';
import { createDocument, saveDocument, type DocumentTable, type StoredRow } from '../store/documents';
import type { DocumentRow } from '../store/models';
import { iso, type Store, type Tables } from '../store/store';
import { readable, readStored } from '../store/stored';

/** A kind of document that is listed, made, read, saved with a revision, and put into the bin. */
export interface DocumentResource<T, S extends StoredDocument<T> = StoredDocument<T>> {
  resource: Resource<T, S>;
  table: 'plans' | 'people' | 'groups' | 'places' | 'courses' | 'journal' | 'entries';
  titleOf: (document: T) => string;
  /** How many there may be, and what is said where there are. */
  max: number;
  full: string;
  /**
   * What else is wrong with a document that is sent at this moment. Throws an HttpProblem if it is refused as a
   * whole.
   */
  refuse?: (document: T, nowMs: number) => FieldIssue[];
  /** Its id, where it is a part of the document. */
  idIn?: (document: T) => string;
  /** What a stored row has besides; nothing where it has no more than all have. */
  extra?: (row: StoredRow) => Omit<S, keyof StoredDocument<T>>;
  /** Whether deleted ones are still read and listed. */
  keepsDeleted?: boolean;
  columns?: (document: T) => Record<string, string>;
  written?: (tables: Tables, id: string, revision: number) => Promise<void>;
}

/** Its table, as it is written through some connection. */
export const tableFor = <T, S extends StoredDocument<T>>(
  of: DocumentResource<T, S>,
  tables: Tables,
): DocumentTable<T> => tableWith(of, tables, of.written);

const tableWith = <T, S extends StoredDocument<T>>(
  of: DocumentResource<T, S>,
  tables: Tables,
  written: DocumentResource<T, S>['written'],
): DocumentTable<T> => ({
  // A plan has a column more, which is written by its name.
  table: tables[of.table] as Tables['people'],
  sql: tables.sql,
  noun: of.resource.noun,
  titleOf: of.titleOf,
  read: (text) => readStored(of.resource.noun, text, of.resource.read),
  stored: (row, document) => storedWith(of, row, document),
  ...(of.columns ? { columns: of.columns } : {}),
  ...(written ? { written: (id: string, revision: number) => written(tables, id, revision) } : {}),
});

function storedWith<T, S extends StoredDocument<T>>(of: DocumentResource<T, S>, row: StoredRow, document: T): S {
  const { id, revision, createdMs, updatedMs } = row;
  return { id, revision, createdAt: iso(createdMs), updatedAt: iso(updatedMs), ...of.extra?.(row), document } as S;
}

/** A row as it is answered. Throws a NotReadable. */
export const storedOf = <T, S extends StoredDocument<T>>(of: DocumentResource<T, S>, row: StoredRow): S =>
  storedWith(of, row, readStored(of.resource.noun, row.document, of.resource.read));

/** Reads a document of a request; throws every wrong field as a 422. */
function acceptDocument<T, S extends StoredDocument<T>>(
  of: DocumentResource<T, S>,
  document: unknown,
  nowMs: number,
): T {
  const read = of.resource.read(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  const refused = of.refuse?.(read.value, nowMs) ?? [];
  if (refused.length > 0) throw unprocessableDocument(refused);
  return read.value;
}

/** Makes a document; asked twice with the same, it is the same. */
export const createIn = <T, S extends StoredDocument<T>>(
  of: DocumentResource<T, S>,
  store: Store,
  id: string,
  document: T,
): Promise<S> =>
  store.write(async (tables) => {
    const kind = tableFor(of, tables);
    const known = await kind.table.findByPk(id, { attributes: ['id'] });
    if (!known && (await kind.table.count()) >= of.max) throw new HttpProblem(422, 'Full', of.full);
    return storedWith(of, await createDocument(kind, id, document, store.now()), document);
  });

async function saveIn<T, S extends StoredDocument<T>>(
  of: DocumentResource<T, S>,
  store: Store,
  request: Request,
): Promise<SavedDocument> {
  const id = idOf(request);
  const { revision, document } = accept(SaveDocumentRequest, request.body);
  const over = revisionOf(request, revision);
  const accepted = acceptDocument(of, document, store.now());
  if (of.idIn && of.idIn(accepted) !== id) {
    throw unprocessableDocument([{ field: 'entry.id', reason: `The id is “${id}” and cannot be changed.` }]);
  }
  const saved = await store.write((tables) => saveDocument(tableFor(of, tables), id, over, accepted, store.now()));
  if (!saved) throw notFound(`${of.resource.noun} with this id`);
  return { id, revision: saved.revision, updatedAt: iso(saved.updatedMs) };
}

/** What is answered otherwise than by the general routes. */
interface Instead {
  list?: (request: Request, response: Response) => Promise<void>;
  create?: (request: Request, response: Response) => Promise<void>;
}

/** Answers with a document that was made, and says where it is. */
export function answerMade<T, S extends StoredDocument<T>>(
  { resource }: Pick<DocumentResource<T, S>, 'resource'>,
  request: Request,
  response: Response,
  made: S,
): void {
  response.location(`${request.baseUrl}/${made.id}`);
  tagWith(response, made.revision);
  answer(response, resource.stored, made, 201);
}

/** Documents of one kind: list by title, make, read, save with a revision, into the bin. */
export function documentRoutes<T, S extends StoredDocument<T>>(
  of: DocumentResource<T, S>,
  store: Store,
  instead: Instead = {},
): Router {
  const routes = Router();
  const deleted = of.keepsDeleted ? {} : { deletedMs: null };
  const columns = 'id, revision, document, createdMs, updatedMs, deletedMs';
  const select = `SELECT ${columns} FROM ${of.table} WHERE id = ?${of.keepsDeleted ? '' : ' AND deletedMs IS NULL'}`;

  const list = async (request: Request, response: Response): Promise<void> => {
    const { limit, offset } = accept(PageQuery, request.query);
    const { rows, count } = await (store[of.table] as Tables['people']).findAndCountAll({
      where: deleted,
      order: [
        [fn('lower', col('title')), 'ASC'],
        ['id', 'ASC'],
      ],
      limit,
      offset,
    });
    const { values: items, unreadable } = readable<DocumentRow, S>(rows, (row) => storedOf(of, row));
    answer(response, pageOf(of.resource.stored), { items, total: count, unreadable });
  };
  const create = async (request: Request, response: Response): Promise<void> => {
    const { id, document } = accept(CreateDocumentRequest, request.body);
    const accepted = acceptDocument(of, document, store.now());
    answerMade(of, request, response, await createIn(of, store, of.idIn?.(accepted) ?? id ?? randomUUID(), accepted));
  };

  routes.get('/', instead.list ?? list);
  routes.post('/', instead.create ?? create);

  routes.get('/:id', async (request, response) => {
    const row = await store.sql.get<StoredRow>(select, idOf(request));
    if (!row) throw notFound(`${of.resource.noun} with this id`);
    tagWith(response, row.revision);
    // It was validated when it was read, and is not validated again.
    response.json(storedOf(of, row));
  });

  routes.put('/:id', async (request, response) => {
    const saved = await saveIn(of, store, request);
    tagWith(response, saved.revision);
    answer(response, SavedDocument, saved);
  });

  routes.delete('/:id', async (request, response) => {
    const id = idOf(request);
    await store.write(async (tables) => {
      const row = await (tables[of.table] as Tables['people']).findOne({ where: { id, ...deleted } });
      if (!row) throw notFound(`${of.resource.noun} with this id`);
      if (row.deletedMs === null) await row.update({ deletedMs: store.now() });
    });
    response.status(204).end();
  });

  return routes;
}
