import type { Person } from '#core/people';
import { ListPeopleResponse, PersonConflict, StoredPerson } from '#api';
import { ApiProblem, ask, tell } from './http';

const at = (id: string): string => `/people/${encodeURIComponent(id)}`;

export const listPeople = async (): Promise<StoredPerson[]> => (await ask(ListPeopleResponse, 'GET', '/people')).people;

export const readPersonById = (id: string) => ask(StoredPerson, 'GET', at(id));

export const createPerson = (id: string, document: Person) => ask(StoredPerson, 'POST', '/people', { id, document });

export const savePerson = (id: string, revision: number, document: Person) =>
  ask(StoredPerson, 'PUT', at(id), { revision, document });

export const deletePerson = (id: string) => tell('DELETE', at(id));

/** Both versions of a stale write, or undefined where the error is something else. */
export function personConflictOf(error: unknown): PersonConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? PersonConflict.safeParse(error.body).data : undefined;
}
