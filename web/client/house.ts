import type { House } from '#core/settings';
import { HouseConflict, SavedDocument, StoredHouse } from '#api';
import { ApiProblem, ask } from './http';

export const readHouseRules = () => ask(StoredHouse, 'GET', '/house');
export const saveHouseRules = (revision: number, document: House) =>
  ask(SavedDocument, 'PUT', '/house', { revision, document });

/** Both versions of a stale write, or undefined where the error is something else. */
export function houseConflictOf(error: unknown): HouseConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? HouseConflict.safeParse(error.body).data : undefined;
}
