import type { Router } from 'express';
import { daysLater, daysToCome, readGroup, readPerson, type Group, type Person } from '#core/people';
import { ListGroupsResponse, ListPeopleResponse, StoredGroup, StoredPerson } from '#api';
import { iso, type Store } from '../../store/store';
import { createIn, documentRoutes, type DocumentRoom } from '../documents';

/** How many people a house knows, and how many groups they come in. */
export const MOST_PEOPLE = 2000;
export const MOST_GROUPS = 200;

const PEOPLE: DocumentRoom<Person> = {
  table: 'people',
  list: 'people',
  noun: 'person',
  titleOf: ({ name }) => name,
  read: readPerson,
  // Somewhere it is tomorrow already.
  refuse: (person, nowMs) => daysToCome(person, daysLater(iso(nowMs).slice(0, 10), 1)),
  schema: StoredPerson,
  listSchema: ListPeopleResponse,
  most: MOST_PEOPLE,
  full: `A house knows ${MOST_PEOPLE} people. Take someone out first.`,
};

const GROUPS: DocumentRoom<Group> = {
  table: 'groups',
  list: 'groups',
  noun: 'group',
  titleOf: ({ name }) => name,
  read: readGroup,
  schema: StoredGroup,
  listSchema: ListGroupsResponse,
  most: MOST_GROUPS,
  full: `A house has ${MOST_GROUPS} groups. Take one out first.`,
};

/** Makes a person known; asked twice with the same, it is the same. */
export const createPerson = (store: Store, id: string, person: Person): Promise<StoredPerson> =>
  createIn(PEOPLE, store, id, person);
/** Makes a group; asked twice with the same, it is the same. */
export const createGroup = (store: Store, id: string, group: Group): Promise<StoredGroup> =>
  createIn(GROUPS, store, id, group);

/** People: list, make, read, save with a revision, into the bin. */
export const personRoutes = (store: Store): Router => documentRoutes(PEOPLE, store);
/** Groups: the same. */
export const groupRoutes = (store: Store): Router => documentRoutes(GROUPS, store);
