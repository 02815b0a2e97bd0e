import { newPerson, readPerson, type Person } from '#core/people';
import { personClient } from '../../client/documents';
import { sourceOf, useSyncedDocument } from '../../sync/source';
import { usePeople } from '../../state/people';

/** One person, opened: saved as they are changed, and followed where they are changed in another window. */
export function usePerson(id: string) {
  const people = usePeople();
  const synced = useSyncedDocument<Person, Person>({
    ...sourceOf(`person.${id}`, readPerson, personClient.at(id)),
    initial: newPerson(''),
    onSaved: people.changed,
  });
  void people.ready();
  void synced.ready();
  return {
    ...synced,
    /** Changes some of what is kept of them. Returns the reason if that is refused. */
    put: (name: string, patch: Partial<Person>): string | undefined =>
      synced.change(name, { ...synced.document.value, ...patch }),
  };
}
