import { newPerson, Person, readPerson } from '#core/people';
import { personConflictOf, readPersonById, savePerson } from '../../client/people';
import { keptDocument } from '../../sync/kept-document';
import { usePeople } from '../../state/people';

/** One person, opened: saved as they are changed, and followed where they are changed in another window. */
export function usePerson(id: string) {
  const people = usePeople();
  const kept = keptDocument<Person>({
    unsentKey: `zovrin.person.unsent.${id}`,
    start: newPerson(''),
    schema: Person,
    read: readPerson,
    fetch: () => readPersonById(id),
    send: (revision, person) => savePerson(id, revision, person),
    conflictOf: personConflictOf,
    saved: people.changed,
    elsewhere: () => people.people?.find((one) => one.id === id),
  });
  void people.ready();
  void kept.ready();
  return {
    ...kept,
    /** Changes some of what is kept of them. Gives the reason where that is refused. */
    put: (name: string, patch: Partial<Person>): string | undefined =>
      kept.change(name, { ...kept.document.value, ...patch }),
  };
}
