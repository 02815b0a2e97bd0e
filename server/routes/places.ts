import type { Router } from 'express';
import { readPlace, type Place } from '#core/cupboard';
import { ListPlacesResponse, StoredPlace } from '#api';
import type { Store } from '../store/store';
import { createIn, documentRoutes, type DocumentRoom } from './documents';

/** How many places a house has. */
export const MOST_PLACES = 100;

const PLACES: DocumentRoom<Place> = {
  table: 'places',
  list: 'places',
  noun: 'place',
  titleOf: ({ name }) => name,
  read: readPlace,
  schema: StoredPlace,
  listSchema: ListPlacesResponse,
  most: MOST_PLACES,
  full: `There are ${MOST_PLACES} places already. Take one out first.`,
};

/** Makes a place; asked twice with the same, it is the same. */
export const createPlace = (store: Store, id: string, place: Place): Promise<StoredPlace> =>
  createIn(PLACES, store, id, place);

/** Places with their cupboards: list, make, read, save with a revision, into the bin. */
export const placeRoutes = (store: Store): Router => documentRoutes(PLACES, store);
