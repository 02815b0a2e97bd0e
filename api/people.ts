import { z } from 'zod';
import { Person } from '#core/people';
import { storedOf } from './documents';

/** Someone who is taught, as stored. */
export const StoredPerson = storedOf(Person);
export type StoredPerson = z.infer<typeof StoredPerson>;

export const ListPeopleResponse = z.object({ people: z.array(StoredPerson) });

/** A stale write: the person as it is now, and what was sent, so that neither is lost. */
export const PersonConflict = z.object({ current: StoredPerson, yours: Person });
export type PersonConflict = z.infer<typeof PersonConflict>;
