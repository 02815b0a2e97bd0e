import { z } from 'zod';
import { Person } from '#core/people';
import { PlanId } from './plans';

const Moment = z.iso.datetime();
const Revision = z.int().min(1);

/** Someone who is taught, as stored. */
export const StoredPerson = z.object({
  id: PlanId,
  revision: Revision,
  createdAt: Moment,
  updatedAt: Moment,
  document: Person,
});
export type StoredPerson = z.infer<typeof StoredPerson>;

export const ListPeopleResponse = z.object({ people: z.array(StoredPerson) });

/** `document` is read with `readPerson`. */
export const CreatePersonRequest = z.strictObject({ id: PlanId, document: z.unknown() });
export const SavePersonRequest = z.strictObject({ revision: Revision, document: z.unknown() });

/** A stale write: the person as it is now, and what was sent, so that neither is lost. */
export const PersonConflict = z.object({ current: StoredPerson, yours: Person });
export type PersonConflict = z.infer<typeof PersonConflict>;
