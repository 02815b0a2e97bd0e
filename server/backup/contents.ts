import { Op } from 'sequelize';
import type { StoredKind } from '#api';
import { KEPT } from '../store/kept';
import type { DocumentRow, Models, RunRow } from '../store/models';
import { eventsOf } from '../store/stored-runs';

/** A document as it stands in a backup: its open format as text, and when it was made and changed. */
export interface BackedUp {
  kind: StoredKind;
  id: string;
  title: string;
  text: string;
  createdMs: number;
  updatedMs: number;
  /** When it was deleted, of an entry that plans may still stand on; null otherwise. */
  deletedMs: number | null;
}

/** What a backup holds, and how many rows were left out of it because their text is damaged. */
export interface Contents {
  documents: BackedUp[];
  damaged: number;
}

/** The format of a session in a backup: the plan as it was led, and the events as they were stored. */
export const SESSION_FORMAT = 'zovrin-session';

const isJson = (text: string): boolean => {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
};

/** So many runs are read with their events at once. */
const RUNS_AT_ONCE = 50;

async function runsOf(tables: Models): Promise<Contents> {
  const rows: RunRow[] = await tables.runs.findAll({ where: { deletedMs: null }, order: [['id', 'ASC']], raw: true });
  const documents: BackedUp[] = [];
  for (let from = 0; from < rows.length; from += RUNS_AT_ONCE) {
    const some = rows.slice(from, from + RUNS_AT_ONCE);
    const events = await eventsOf(
      tables,
      some.map(({ id }) => id),
    );
    for (const { id, title, planId, planRevision, document, createdMs } of some) {
      const head = JSON.stringify({ format: SESSION_FORMAT, version: 1, planId, planRevision, beganMs: createdMs });
      const happened = (events.get(id) ?? []).map(({ event }) => event);
      const text = `${head.slice(0, -1)},"plan":${document},"events":[${happened.join(',')}]}`;
      documents.push({ kind: 'run', id, title, text, createdMs, updatedMs: createdMs, deletedMs: null });
    }
  }
  const sound = documents.filter(({ text }) => isJson(text));
  return { documents: sound, damaged: documents.length - sound.length };
}

async function documentsOf(
  tables: Models,
  kind: Exclude<StoredKind, 'run'>,
  livePlans: Set<string>,
): Promise<Contents> {
  const { table, deletable } = KEPT[kind];
  // Deleted entries stay for the plans that are made from them.
  const where = deletable && kind !== 'entry' ? { deletedMs: { [Op.is]: null } } : {};
  const rows = await (tables[table] as Models['people']).findAll({ where, order: [['id', 'ASC']], raw: true });
  const besidePlans = kind === 'variants' || kind === 'class';
  const wanted = rows.filter(({ id }: DocumentRow) => !besidePlans || livePlans.has(id));
  const documents = wanted.map(({ id, title, document: text, createdMs, updatedMs, deletedMs }: DocumentRow) => {
    return { kind, id, title, text, createdMs, updatedMs, deletedMs };
  });
  const sound = documents.filter(({ text }) => isJson(text));
  return { documents: sound, damaged: documents.length - sound.length };
}

/**
 * Everything that a backup holds: what is about people only where that is wanted. Earlier versions of plans and what
 * lies in the bin are not in it.
 */
export async function contentsOf(tables: Models, withPeople: boolean): Promise<Contents> {
  const live = await tables.plans.findAll({ where: { deletedMs: null }, attributes: ['id'], raw: true });
  const livePlans = new Set(live.map(({ id }) => id));
  const isWanted = (kind: StoredKind): boolean => withPeople || !KEPT[kind].isOfPeople || !!KEPT[kind].withoutPeople;
  const kinds = (Object.keys(KEPT) as StoredKind[]).filter(isWanted);
  const all: Contents = { documents: [], damaged: 0 };
  for (const kind of kinds) {
    const { documents, damaged } = kind === 'run' ? await runsOf(tables) : await documentsOf(tables, kind, livePlans);
    const { withoutPeople } = KEPT[kind];
    for (const document of documents) {
      const { text } = document;
      all.documents.push(withPeople || !withoutPeople ? document : { ...document, text: withoutPeople(text) });
    }
    all.damaged += damaged;
  }
  return all;
}
