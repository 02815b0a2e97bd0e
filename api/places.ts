import { z } from 'zod';
import { Place } from '#core/cupboard';
import { storedOf } from './documents';
import { Unreadable } from './unreadable';

/** A place with its cupboard, as stored. */
export const StoredPlace = storedOf(Place);
export type StoredPlace = z.infer<typeof StoredPlace>;

export const ListPlacesResponse = z.object({ places: z.array(StoredPlace), unreadable: Unreadable });

/** A stale write: the place as it is now, and what was sent, so that neither is lost. */
export const PlaceConflict = z.object({ current: StoredPlace, yours: Place });
export type PlaceConflict = z.infer<typeof PlaceConflict>;
