import type { Router } from 'express';
import { readPerson, type Person } from '#core/people';
import { ListPeopleResponse, StoredPerson } from '#api';
import type { Store } from '../store/store';
import { createIn, documentRoutes, type DocumentRoom } from './documents';

/** How many people a house knows. */
export const MOST_PEOPLE = 2000;

const PEOPLE: DocumentRoom<Person> = {
  table: 'people',
  list: 'people',
  noun: 'person',
  titleOf: ({ name }) => name,
  read: readPerson,
  schema: StoredPerson,
  listSchema: ListPeopleResponse,
  most: MOST_PEOPLE,
  full: `A house knows ${MOST_PEOPLE} people. Take someone out first.`,
};

/** Makes a person known; asked twice with the same, it is the same. */
export const createPerson = (store: Store, id: string, person: Person): Promise<StoredPerson> =>
  createIn(PEOPLE, store, id, person);

/** People: list, make, read, save with a revision, into the bin. */
export const peopleRoutes = (store: Store): Router => documentRoutes(PEOPLE, store);
