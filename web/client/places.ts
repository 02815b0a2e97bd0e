import type { Place } from '#core/cupboard';
import { ListPlacesResponse, PlaceConflict, SavedDocument, StoredPlace } from '#api';
import { ApiProblem, ask, tell } from './http';

const at = (id: string): string => `/places/${encodeURIComponent(id)}`;

export const listPlaces = async (): Promise<StoredPlace[]> => (await ask(ListPlacesResponse, 'GET', '/places')).places;

export const readPlaceById = (id: string) => ask(StoredPlace, 'GET', at(id));

export const createPlace = (id: string, document: Place) => ask(StoredPlace, 'POST', '/places', { id, document });

export const savePlace = (id: string, revision: number, document: Place) =>
  ask(SavedDocument, 'PUT', at(id), { revision, document });

export const deletePlace = (id: string) => tell('DELETE', at(id));

/** Both versions of a stale write, or undefined where the error is something else. */
export function placeConflictOf(error: unknown): PlaceConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? PlaceConflict.safeParse(error.body).data : undefined;
}
