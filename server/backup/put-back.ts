import type { Plan } from '#core/plan';
import type { StoredKind } from '#api';
import { KEPT } from '../store/kept';
import { keepRevision, planColumns } from '../store/plan-rows';
import type { Store, Tables } from '../store/store';
import { BackupProblem } from './archive';
import { documentOf, eventText, keyOf, sessionOf } from './compare';
import type { BackedUp } from './contents';

/** A document of a backup. */
export interface BackupKey {
  kind: StoredKind;
  id: string;
}

/** Puts one run back: its plan, and its events in the place of those that are here. */
async function putRun({ runs, events, sql }: Tables, { id, title, text }: BackedUp): Promise<void> {
  const { planId, planRevision, beganMs, plan, events: happened } = sessionOf(text);
  const document = JSON.stringify(plan);
  await runs.upsert({ id, planId, planRevision, title, document, createdMs: beganMs, deletedMs: null });
  await events.destroy({ where: { runId: id } });
  for (const [seq, event] of happened.entries()) {
    await sql.run(
      'INSERT INTO run_events (id, runId, seq, event) VALUES (?, ?, ?, ?)',
      event.id,
      id,
      seq,
      eventText(event),
    );
  }
}

/** Puts one document back: a new row, or one more revision of the row that is here. */
async function putDocument(tables: Tables, backedUp: BackedUp, nowMs: number): Promise<void> {
  const { kind, id, title, createdMs, updatedMs, deletedMs } = backedUp;
  const document = documentOf(backedUp);
  const beside = kind === 'plan' ? planColumns(document as Plan) : {};
  const table = String(tables[KEPT[kind].table].getTableName());
  const known = await tables.sql.get<{ revision: number }>(`SELECT revision FROM ${table} WHERE id = ?`, id);
  const row = {
    id,
    revision: (known?.revision ?? 0) + 1,
    title,
    document: JSON.stringify(document),
    createdMs,
    updatedMs: known ? nowMs : updatedMs,
    deletedMs,
    ...beside,
  };
  const columns = Object.keys(row);
  await tables.sql.run(
    `INSERT OR REPLACE INTO ${table} (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
    ...Object.values(row),
  );
  if (kind === 'plan') await keepRevision(tables, id, row.revision);
}

/**
 * Puts chosen documents of a backup into the store: all of them or, where it is interrupted at any moment, none. What
 * is there now is copied first, for good; the path of that copy is given back. `written` is called after each document.
 * Throws a BackupProblem where one that is chosen is not in the backup.
 */
export async function putBack(
  store: Store,
  documents: readonly BackedUp[],
  chosen: readonly BackupKey[],
  written: (count: number) => void = () => undefined,
): Promise<string> {
  const byKey = new Map(documents.map((document) => [keyOf(document), document]));
  const wanted = [...new Set(chosen.map(keyOf))].map((key) => {
    const document = byKey.get(key);
    if (!document) throw new BackupProblem(`There is no ${key} in this backup. Nothing was changed.`);
    return document;
  });
  const before = await store.keepBeforeRestore();
  await store.write(async (tables) => {
    for (const [index, document] of wanted.entries()) {
      if (document.kind === 'run') await putRun(tables, document);
      else await putDocument(tables, document, store.now());
      written(index + 1);
    }
  });
  store.forgetWorkings();
  return before;
}
