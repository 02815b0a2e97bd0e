import { z } from 'zod';
import { House } from '#core/settings';

/** The house rules as stored; revision 0 before they were ever changed. */
export const StoredHouse = z.object({ revision: z.int().min(0), document: House });
export type StoredHouse = z.infer<typeof StoredHouse>;

/** `document` is read with `readHouse`. */
export const SaveHouseRequest = z.strictObject({ revision: z.int().min(0), document: z.unknown() });

/** A stale write: the rules as they are now, and what was sent, so that neither is lost. */
export const HouseConflict = z.object({ current: StoredHouse, yours: House });
export type HouseConflict = z.infer<typeof HouseConflict>;
