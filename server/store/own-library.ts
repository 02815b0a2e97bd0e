import { fn, col, Op, where } from 'sequelize';
import { readEntry, withOwnEntries, type Library, type OwnEntry } from '#core/catalogue';
import { entriesOf, type Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import type { DocumentRow, Models } from './models';

/** Whether an entry ships with Zovrin. */
export const isBuiltIn = (id: string): boolean =>
  builtInLibrary.position(id) !== undefined || builtInLibrary.technique(id) !== undefined;

/** Reads an entry of the database: one that was checked when it was written, migrated if it is older. */
export function storedEntry(text: string): OwnEntry {
  const read = readEntry(JSON.parse(text));
  if (!read.ok) throw new Error(`A stored entry does not fit its schema: ${JSON.stringify(read.issues)}`);
  return read.value;
}

/** The entries of one's own with these ids, deleted ones too; ids that are none are passed over. */
export async function ownEntriesByIds(
  { entries }: Pick<Models, 'entries'>,
  ids: readonly string[],
): Promise<Map<string, OwnEntry>> {
  const asked = ids.filter((id) => !isBuiltIn(id));
  const rows = asked.length > 0 ? await entries.findAll({ where: { id: asked } }) : [];
  return new Map(rows.map(({ id, document }) => [id, storedEntry(document)]));
}

/** What a plan is made from: the library that ships, the teacher's own, and what the plan carries itself. */
export async function libraryFor(
  tables: Pick<Models, 'entries'>,
  plan: Plan,
  carried: readonly OwnEntry[] = [],
): Promise<Library> {
  const own = await ownEntriesByIds(tables, entriesOf(plan));
  return withOwnEntries(builtInLibrary, [...own.values(), ...carried]);
}

/** Puts a new entry into the store. */
export const addEntry = ({ entries }: Pick<Models, 'entries'>, own: OwnEntry, now: number): Promise<DocumentRow> =>
  entries.create({
    id: own.entry.id,
    revision: 1,
    title: own.entry.names.english,
    document: JSON.stringify(own),
    createdMs: now,
    updatedMs: now,
    deletedMs: null,
  });

/** Rows whose document has a step made from this entry. */
export const usesEntry = (id: string) =>
  where(
    fn(
      'max',
      ...['position', 'technique'].map((key) => fn('instr', col('document'), `"${key}":${JSON.stringify(id)}`)),
    ),
    { [Op.gt]: 0 },
  );

/** Whether any plan, earlier version of a plan, or run stands on this entry. */
export async function isUsed({ plans, revisions, runs }: Models, id: string): Promise<boolean> {
  const used = { where: usesEntry(id) };
  const counts = [await plans.count(used), await revisions.count(used), await runs.count(used)];
  return counts.some((count) => count > 0);
}
