import type { ClassPeople } from '#core/caution';
import type { Group, Person } from '#core/people';
import {
  ClassPeopleConflict,
  ForgetResponse,
  GroupConflict,
  ListGroupsResponse,
  ListPeopleResponse,
  PersonConflict,
  PersonFileResponse,
  SavedDocument,
  StoredClassPeople,
  StoredGroup,
  StoredPerson,
} from '#api';
import { ApiProblem, ask, tell } from './http';

const at = (id: string): string => `/people/${encodeURIComponent(id)}`;

export const listPeople = async (): Promise<StoredPerson[]> => (await ask(ListPeopleResponse, 'GET', '/people')).people;

export const readPersonById = (id: string) => ask(StoredPerson, 'GET', at(id));

export const createPerson = (id: string, document: Person) => ask(StoredPerson, 'POST', '/people', { id, document });

export const savePerson = (id: string, revision: number, document: Person) =>
  ask(SavedDocument, 'PUT', at(id), { revision, document });

export const deletePerson = (id: string) => tell('DELETE', at(id));

/** Both versions of a stale write, or undefined where the error is something else. */
export function personConflictOf(error: unknown): PersonConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? PersonConflict.safeParse(error.body).data : undefined;
}

export const listGroups = async (): Promise<StoredGroup[]> =>
  (await ask(ListGroupsResponse, 'GET', '/people/groups')).groups;

const groupAt = (id: string): string => `/people/groups/${encodeURIComponent(id)}`;
export const readGroupById = (id: string) => ask(StoredGroup, 'GET', groupAt(id));
export const createGroup = (id: string, document: Group) =>
  ask(StoredGroup, 'POST', '/people/groups', { id, document });
export const saveGroup = (id: string, revision: number, document: Group) =>
  ask(SavedDocument, 'PUT', groupAt(id), { revision, document });
export const deleteGroup = (id: string) => tell('DELETE', groupAt(id));
export function groupConflictOf(error: unknown): GroupConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? GroupConflict.safeParse(error.body).data : undefined;
}

const classAt = (planId: string): string => `/people/classes/${encodeURIComponent(planId)}`;
/** What was decided for people in a plan. */
export const readClassPeople = (planId: string) => ask(StoredClassPeople, 'GET', classAt(planId));
export const saveClassPeople = (planId: string, revision: number, document: ClassPeople) =>
  ask(SavedDocument, 'PUT', classAt(planId), { revision, document });
export function classConflictOf(error: unknown): ClassPeopleConflict | undefined {
  return error instanceof ApiProblem && error.status === 409
    ? ClassPeopleConflict.safeParse(error.body).data
    : undefined;
}

/** Everything that is kept of someone. */
export const readPersonFile = (id: string) => ask(PersonFileResponse, 'GET', `${at(id)}/file`);
/** Forgets someone for good. */
export const forgetPerson = (id: string) => ask(ForgetResponse, 'DELETE', `${at(id)}/forever`);
