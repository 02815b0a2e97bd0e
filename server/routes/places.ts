import type { Router } from 'express';
import type { Place } from '#core/cupboard';
import { PLACES, type StoredPlace } from '#api';
import type { Store } from '../store/store';
import { createIn, documentRoutes, type DocumentResource } from './document-resource';

/** How many places there can be. */
const MAX_PLACES = 100;

const PLACE: DocumentResource<Place> = {
  resource: PLACES,
  table: 'places',
  titleOf: ({ name }) => name,
  max: MAX_PLACES,
  full: `There are ${MAX_PLACES} places already. Delete one first.`,
};

/** Makes a place; asked twice with the same, it is the same. */
export const createPlace = (store: Store, id: string, place: Place): Promise<StoredPlace> =>
  createIn(PLACE, store, id, place);

/** Places with their cupboards: list, make, read, save with a revision, into the bin. */
export const placeRoutes = (store: Store): Router => documentRoutes(PLACE, store);
