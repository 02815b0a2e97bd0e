import { Op } from 'sequelize';
import { readClassPeople, withoutPerson } from '#core/caution';
import type { Read } from '#core/document';
import { readJournalEntry } from '#core/journal';
import { readGroup } from '#core/people';
import { readStoredEvent, storedEvent } from '#core/run';
import type { DocumentRow, Models } from './models';
import { readStored, reasonNotToRead } from './stored';

/**
 * Rows whose text holds an id. Ids have no sign that means something to LIKE but the underscore, which only finds more.
 */
const holding = (id: string) => ({ [Op.like]: `%"${id}"%` });

/** What stands in a text that cannot be read in the place of an id: nobody. */
const NOBODY = '"forgotten"';

/** Changes the document of a row that names someone; in one that cannot be read, their id is taken out of the text. */
async function rewrite<T>(
  row: DocumentRow,
  id: string,
  nowMs: number,
  read: (value: unknown) => Read<T>,
  without: (document: T) => T,
): Promise<void> {
  const { document } = row;
  let text = document.replaceAll(`"${id}"`, NOBODY);
  reasonNotToRead(() => (text = JSON.stringify(without(readStored('document', document, read)))));
  if (text !== document) await row.update({ document: text, revision: row.revision + 1, updatedMs: nowMs });
}

/**
 * Forgets someone for good: the person, their place in groups, what was decided for them in classes. Where runs and the
 * journal say that they were there, one more without a name was there. Within a change of the store.
 */
export async function forgetPerson(tables: Models, id: string, nowMs: number): Promise<void> {
  await tables.people.destroy({ where: { id } });
  const naming = { where: { document: holding(id) } };
  const others = (ids: readonly string[]): string[] => ids.filter((one) => one !== id);
  for (const row of await tables.groups.findAll(naming)) {
    await rewrite(row, id, nowMs, readGroup, (group) => ({ ...group, members: others(group.members) }));
  }
  for (const row of await tables.classPeople.findAll(naming)) {
    await rewrite(row, id, nowMs, readClassPeople, (people) => withoutPerson(people, id));
  }
  for (const row of await tables.journal.findAll(naming)) {
    await rewrite(row, id, nowMs, readJournalEntry, (entry) => ({ ...entry, people: others(entry.people) }));
  }
  for (const row of await tables.events.findAll({ where: { event: holding(id) } })) {
    await row.update({ event: withoutPresence(row.event, id) });
  }
}

/** An event in which someone was present, with one more without a name in their place. */
function withoutPresence(text: string, id: string): string {
  const read = readStoredEvent(parsed(text));
  if (!read.ok || read.value.kind !== 'present') return text.replaceAll(`"${id}"`, NOBODY);
  const { people, others } = read.value;
  if (!people.includes(id)) return text;
  return JSON.stringify(
    storedEvent({
      ...read.value,
      people: people.filter((one) => one !== id),
      others: Math.min(MAX_OTHERS, others + 1),
    }),
  );
}
function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
const MAX_OTHERS = 500;
