import type { ModelStatic } from 'sequelize';
import { HttpProblem } from '../http/problems';
import type { DocumentRow } from './models';

/** A kind of document that is kept in a table of its own: its table, its title, and how a row is told. */
export interface DocumentTable<T, S> {
  table: ModelStatic<DocumentRow>;
  /** What it is called where it was changed elsewhere: `person`. */
  noun: string;
  titleOf: (document: T) => string;
  stored: (row: DocumentRow) => S;
}

/** Both versions go back, so that neither is lost. */
function changedElsewhere<T, S>(kind: DocumentTable<T, S>, row: DocumentRow, yours: T): HttpProblem {
  const detail = `This ${kind.noun} was changed elsewhere since you opened it.`;
  return new HttpProblem(409, 'Changed elsewhere', detail, undefined, { current: kind.stored(row), yours });
}

/** Puts a new document into its table. The same one sent again, its answer lost, is the same. */
export async function createDocument<T, S>(
  kind: DocumentTable<T, S>,
  id: string,
  document: T,
  now: number,
): Promise<S> {
  const text = JSON.stringify(document);
  const existing = await kind.table.findByPk(id);
  if (existing?.document === text) return kind.stored(existing);
  if (existing) throw changedElsewhere(kind, existing, document);
  const row = { id, revision: 1, title: kind.titleOf(document), document: text, createdMs: now, updatedMs: now };
  return kind.stored(await kind.table.create({ ...row, deletedMs: null }));
}

/** Saves a document over the revision it was made from. A save whose answer was lost, sent again, is the same save. */
export async function saveDocument<T, S>(
  kind: DocumentTable<T, S>,
  row: DocumentRow,
  revision: number,
  document: T,
  now: number,
): Promise<S> {
  const text = JSON.stringify(document);
  if (row.revision === revision + 1 && row.document === text) return kind.stored(row);
  if (row.revision !== revision) throw changedElsewhere(kind, row, document);
  const change = { revision: revision + 1, document: text, title: kind.titleOf(document), updatedMs: now };
  return kind.stored(await row.update(change));
}

/** Saves the one document with this id, or makes it where there is none yet: of such there is one from the beginning. */
export async function putDocument<T, S>(
  kind: DocumentTable<T, S>,
  id: string,
  revision: number,
  document: T,
  now: number,
): Promise<S> {
  const row = await kind.table.findByPk(id);
  return row ? saveDocument(kind, row, revision, document, now) : createDocument(kind, id, document, now);
}
