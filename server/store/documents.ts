import type { ModelStatic } from 'sequelize';
import { outcomeOfSave } from '#core/document';
import { HttpProblem } from '../http/problems';
import type { DocumentRow } from './models';
import type { Statements } from './statements';

/** A table of documents with their revisions, and what stands beside each document in its row. */
export interface DocumentTable<T> {
  table: ModelStatic<DocumentRow>;
  sql: Statements;
  /** What one of them is called: `person`. */
  noun: string;
  titleOf: (document: T) => string;
  /** Reads the text of a row. Throws a NotReadable. */
  read: (text: string) => T;
  /** A row as it is answered, with its document. */
  stored: (row: StoredRow, document: T) => unknown;
  /** Other columns that follow from the document. */
  columns?: (document: T) => Record<string, string>;
  /** What else is written with every revision. */
  written?: (id: string, revision: number) => Promise<void>;
}

/** What of a row an answer is made from. */
export type StoredRow = Pick<DocumentRow, 'id' | 'revision' | 'document' | 'createdMs' | 'updatedMs'> &
  Partial<Pick<DocumentRow, 'deletedMs'>>;
type SavedRow = Pick<DocumentRow, 'id' | 'revision' | 'updatedMs'>;

/** Both versions go back, so that neither is lost. */
function changedElsewhere<T>(kind: DocumentTable<T>, row: StoredRow, yours: T): HttpProblem {
  const current = kind.stored(row, kind.read(row.document));
  const detail = `This ${kind.noun} was changed elsewhere since you opened it.`;
  return new HttpProblem(409, 'Changed elsewhere', detail, undefined, { current, yours });
}

const nameOf = <T>({ table }: DocumentTable<T>): string => String(table.getTableName());
const columnsOf = <T>({ titleOf, columns }: DocumentTable<T>, document: T): Record<string, string> => ({
  title: titleOf(document),
  ...columns?.(document),
});

/** Puts a new document into its table. The same one sent again, its answer lost, is the same. */
export async function createDocument<T>(
  kind: DocumentTable<T>,
  id: string,
  document: T,
  now: number,
): Promise<StoredRow> {
  const existing = await kind.table.findByPk(id);
  if (existing) {
    const current = { revision: existing.revision, document: kind.read(existing.document) };
    if (outcomeOfSave(current, { revision: existing.revision - 1, document }) === 'storedBefore') return existing;
    throw changedElsewhere(kind, existing, document);
  }
  const values = { ...columnsOf(kind, document), document: JSON.stringify(document) };
  const row = { id, revision: 1, createdMs: now, updatedMs: now, deletedMs: null, ...values } as DocumentRow;
  const made = await kind.table.create(row);
  await kind.written?.(id, 1);
  return made;
}

/**
 * Saves a document over the revision it was made from. A save whose answer was lost, sent again, is the same save.
 * Returns undefined if there is no such document. Throws an HttpProblem (409), with both versions, where it was
 * changed elsewhere.
 */
export async function saveDocument<T>(
  kind: DocumentTable<T>,
  id: string,
  revision: number,
  document: T,
  now: number,
): Promise<SavedRow | undefined> {
  const columns = { ...columnsOf(kind, document), document: JSON.stringify(document) };
  const sets = ['revision', 'updatedMs', ...Object.keys(columns)].map((column) => `${column} = ?`).join(', ');
  const next = { id, revision: revision + 1, updatedMs: now };
  const changed = await kind.sql.run(
    `UPDATE ${nameOf(kind)} SET ${sets} WHERE id = ? AND revision = ? AND deletedMs IS NULL`,
    ...[next.revision, now, ...Object.values(columns), id, revision],
  );
  if (changed > 0) {
    await kind.written?.(id, next.revision);
    return next;
  }
  const row = await kind.sql.get<StoredRow>(`SELECT * FROM ${nameOf(kind)} WHERE id = ? AND deletedMs IS NULL`, id);
  if (!row) return undefined;
  const current = { revision: row.revision, document: kind.read(row.document) };
  if (outcomeOfSave(current, { revision, document }) === 'storedBefore') return row;
  throw changedElsewhere(kind, row, document);
}

/**
 * Saves the only document with this id, or makes it where there is none yet: such a one is there from revision 0 on.
 */
export async function putDocument<T>(
  kind: DocumentTable<T>,
  id: string,
  revision: number,
  document: T,
  now: number,
): Promise<SavedRow> {
  return (await saveDocument(kind, id, revision, document, now)) ?? createDocument(kind, id, document, now);
}
