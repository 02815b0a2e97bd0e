import type { Request, Response } from 'express';
import { SavedDocument, SaveDocumentRequest, type OnlyDocument, type OnlyResource } from '#api';
import { answer } from '../http/answer';
import { revisionOf, tagWith } from '../http/requests';
import { accept, unprocessableDocument } from '../http/problems';
import { putDocument, type DocumentTable, type StoredRow } from '../store/documents';
import { iso, type Store, type Tables } from '../store/store';
import { readStored } from '../store/stored';

/** A kind of document of which there is one, and the table that it is kept in. */
export interface OnlyKind<T> {
  resource: OnlyResource<T>;
  table: 'house' | 'variants' | 'classPeople';
  title: string;
}

const readRow = <T>({ resource }: OnlyKind<T>, text: string): T => readStored(resource.noun, text, resource.read);

const tableFor = <T>(of: OnlyKind<T>, tables: Tables): DocumentTable<T> => ({
  table: tables[of.table],
  sql: tables.sql,
  noun: of.resource.noun,
  titleOf: () => of.title,
  read: (text) => readRow(of, text),
  stored: (row, document): OnlyDocument<T> => ({ revision: row.revision, updatedAt: iso(row.updatedMs), document }),
});

/** The document as it is stored, or what there is before it was ever saved. Throws a NotReadable. */
export async function onlyDocument<T>(of: OnlyKind<T>, store: Tables, id: string): Promise<OnlyDocument<T>> {
  const row: StoredRow | null = await store[of.table].findByPk(id);
  if (!row) return { revision: 0, updatedAt: null, document: of.resource.initial };
  return { revision: row.revision, updatedAt: iso(row.updatedMs), document: readRow(of, row.document) };
}

/** Saves it over a revision, 0 if there was none. */
export const putOnly = <T>(of: OnlyKind<T>, tables: Tables, id: string, revision: number, document: T, now: number) =>
  putDocument(tableFor(of, tables), id, revision, document, now);

/** Answers with the document of an id. */
export async function answerOnly<T>(of: OnlyKind<T>, store: Store, id: string, response: Response): Promise<void> {
  const stored = await onlyDocument(of, store, id);
  tagWith(response, stored.revision);
  answer(response, of.resource.stored, stored);
}

/** Saves the document of a request, whose id is found out within the change. */
export async function saveOnly<T>(
  of: OnlyKind<T>,
  store: Store,
  idIn: (tables: Tables) => Promise<string>,
  request: Request,
  response: Response,
): Promise<void> {
  const { revision, document } = accept(SaveDocumentRequest, request.body);
  const over = revisionOf(request, revision);
  const read = of.resource.read(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  const saved = await store.write(async (tables) =>
    putOnly(of, tables, await idIn(tables), over, read.value, store.now()),
  );
  tagWith(response, saved.revision);
  answer(response, SavedDocument, { id: saved.id, revision: saved.revision, updatedAt: iso(saved.updatedMs) });
}
