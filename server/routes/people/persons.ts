import type { Router } from 'express';
import { daysLater, daysToCome, type Group, type Person } from '#core/people';
import { GROUPS, PEOPLE, type StoredGroup, type StoredPerson } from '#api';
import { iso, type Store } from '../../store/store';
import { createIn, documentRoutes, type DocumentResource } from '../document-resource';

/** How many people and groups there are. */
const MAX_PEOPLE = 2000;
const MAX_GROUPS = 200;

const PERSON: DocumentResource<Person> = {
  resource: PEOPLE,
  table: 'people',
  titleOf: ({ name }) => name,
  // Somewhere it is tomorrow already.
  refuse: (person, nowMs) => daysToCome(person, daysLater(iso(nowMs).slice(0, 10), 1)),
  max: MAX_PEOPLE,
  full: `There are ${MAX_PEOPLE} people already. Delete someone first.`,
};

const GROUP: DocumentResource<Group> = {
  resource: GROUPS,
  table: 'groups',
  titleOf: ({ name }) => name,
  max: MAX_GROUPS,
  full: `There are ${MAX_GROUPS} groups already. Delete one first.`,
};

/** Makes a person known; asked twice with the same, it is the same. */
export const createPerson = (store: Store, id: string, person: Person): Promise<StoredPerson> =>
  createIn(PERSON, store, id, person);
/** Makes a group; asked twice with the same, it is the same. */
export const createGroup = (store: Store, id: string, group: Group): Promise<StoredGroup> =>
  createIn(GROUP, store, id, group);

/** People: list, make, read, save with a revision, into the bin. */
export const personRoutes = (store: Store): Router => documentRoutes(PERSON, store);
/** Groups: the same. */
export const groupRoutes = (store: Store): Router => documentRoutes(GROUP, store);
