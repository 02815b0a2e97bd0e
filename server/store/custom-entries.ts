import { fn, col, Op, where } from 'sequelize';
import { readEntry, withCustomEntries, type Library, type CustomEntry } from '#core/catalogue';
import { entriesOf, type Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import type { DocumentRow, Models } from './models';
import { sliced } from './sliced';
import type { Store } from './store';
import type { WholeLibrary } from './workings';
import { readable, readStored } from './stored';

/** Whether an entry ships with Zovrin. */
export const isBuiltIn = (id: string): boolean =>
  builtInLibrary.position(id) !== undefined || builtInLibrary.technique(id) !== undefined;

/** Reads a stored entry, migrated if it is older. Throws a NotReadable where this Zovrin cannot. */
const storedEntry = (text: string): CustomEntry => readStored('entry', text, readEntry);

/** The custom entries with these ids, deleted ones too; ids that are none are passed over. */
export async function customEntriesByIds(
  { entries }: Pick<Models, 'entries'>,
  ids: readonly string[],
): Promise<Map<string, CustomEntry>> {
  const custom = ids.filter((id) => !isBuiltIn(id));
  const rows = custom.length > 0 ? await entries.findAll({ where: { id: custom } }) : [];
  // One that cannot be read is as if it were not here: plans open without the entries they use.
  const { values } = readable(rows, ({ id, document }): [string, CustomEntry] => [id, storedEntry(document)]);
  return new Map(values);
}

/** What a plan is made from: the library that ships, the teacher's own, and what the plan carries itself. */
export async function libraryFor(
  tables: Pick<Models, 'entries'>,
  plan: Plan,
  carried: readonly CustomEntry[] = [],
): Promise<Library> {
  const own = await customEntriesByIds(tables, entriesOf(plan));
  return withCustomEntries(builtInLibrary, [...own.values(), ...carried]);
}

/** Every entry there is, as one library, the custom ones by themselves, and a stamp that changes with those. */
export async function wholeLibrary(store: Store): Promise<WholeLibrary> {
  const workings = await store.workings();
  const rows = await store.entries.findAll({ attributes: ['id', 'revision'], order: [['id', 'ASC']], raw: true });
  const stamp = rows.map(({ id, revision }) => `${id}.${revision}`).join();
  if (workings.library?.stamp === stamp) return workings.library;
  const documents = await store.entries.findAll({ attributes: ['document'], raw: true });
  const entries = await sliced(documents, ({ document }) => readable([document], storedEntry).values);
  const own = entries.flat();
  workings.library = { library: withCustomEntries(builtInLibrary, own), own, stamp };
  return workings.library;
}

/** Puts a new entry into the store. */
export const addEntry = ({ entries }: Pick<Models, 'entries'>, own: CustomEntry, now: number): Promise<DocumentRow> =>
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

/** Whether any plan, earlier version of a plan, run, or course stands on this entry. */
export async function isUsed({ plans, revisions, runs, courses }: Models, id: string): Promise<boolean> {
  const used = { where: usesEntry(id) };
  const counts = [
    await plans.count(used),
    await revisions.count(used),
    await runs.count(used),
    await courses.count(used),
  ];
  return counts.some((count) => count > 0);
}
