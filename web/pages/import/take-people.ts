import { filledIn, withConditions, type PersonRow } from '#core/exchange';
import { newGroup } from '#core/people';
import { groupClient, personClient } from '../../client/documents';
import { newId } from '../../client/new-id';
import { usePeople } from '../../state/people';

/** What becomes of somebody in a table: a new person, what is missing of one who is here, or nothing. */
export type PersonBecomes = 'new' | 'fill' | 'skip';

/** What is done with somebody, where nothing else was decided: nobody is there twice. */
export const usually = ({ same }: PersonRow): PersonBecomes =>
  same === null ? 'new' : same.kind === 'here' ? 'fill' : 'skip';

/** Stores somebody of a table, and gives their id. Throws what the client throws. */
export async function takePerson(
  row: PersonRow,
  becomes: Exclude<PersonBecomes, 'skip'>,
  decided: Readonly<Record<string, string>>,
): Promise<string> {
  const person = withConditions(row, decided, newId);
  if (becomes === 'fill' && row.same?.kind === 'here') {
    const here = personClient.at(row.same.id);
    const { revision, document } = await here.read();
    await here.save(revision, filledIn(document, person));
    return row.same.id;
  }
  return (await personClient.create(newId(), person)).id;
}

/** Puts people into the group of a name, which is made where there is none. Throws what the client throws. */
export async function putIntoGroup(name: string, ids: readonly string[]): Promise<void> {
  const known = usePeople().groups?.find(({ document }) => document.name.toLowerCase() === name.toLowerCase());
  if (!known) {
    await groupClient.create(newId(), { ...newGroup(name.slice(0, 80)), members: [...new Set(ids)] });
    return;
  }
  const group = groupClient.at(known.id);
  const { revision, document } = await group.read();
  await group.save(revision, { ...document, members: [...new Set([...document.members, ...ids])] });
}
