import { Op } from 'sequelize';
import { readClassPeople, withoutPerson } from '#core/caution';
import { readJournalEntry } from '#core/journal';
import { readGroup } from '#core/people';
import type { RunEvent } from '#core/run';
import type { DocumentRow, Models } from './models';

/** Rows whose text holds an id. Ids have no sign that means something to LIKE but the underscore, which only finds more. */
const holding = (id: string) => ({ [Op.like]: `%"${id}"%` });

async function rewrite(row: DocumentRow, document: unknown, nowMs: number): Promise<void> {
  const text = JSON.stringify(document);
  if (text !== row.document) await row.update({ document: text, revision: row.revision + 1, updatedMs: nowMs });
}

/**
 * Forgets someone for good: the person, their place in groups, what was decided for them in classes. Where runs and the
 * journal say that they were there, one more without a name was there. Within a change of the store.
 */
export async function forgetPerson(tables: Models, id: string, nowMs: number): Promise<void> {
  await tables.people.destroy({ where: { id } });
  for (const row of await tables.groups.findAll({ where: { document: holding(id) } })) {
    const read = readGroup(JSON.parse(row.document));
    if (read.ok) {
      await rewrite(row, { ...read.value, members: read.value.members.filter((one) => one !== id) }, nowMs);
    }
  }
  for (const row of await tables.classPeople.findAll({ where: { document: holding(id) } })) {
    const read = readClassPeople(JSON.parse(row.document));
    if (read.ok) await rewrite(row, withoutPerson(read.value, id), nowMs);
  }
  for (const row of await tables.journal.findAll({ where: { document: holding(id) } })) {
    const read = readJournalEntry(JSON.parse(row.document));
    if (read.ok) await rewrite(row, { ...read.value, people: read.value.people.filter((one) => one !== id) }, nowMs);
  }
  for (const row of await tables.events.findAll({ where: { event: holding(id) } })) {
    const event = JSON.parse(row.event) as RunEvent;
    if (event.kind !== 'present' || !event.people.includes(id)) continue;
    const nameless = {
      ...event,
      people: event.people.filter((one) => one !== id),
      others: Math.min(500, event.others + 1),
    };
    await row.update({ event: JSON.stringify(nameless) });
  }
}
