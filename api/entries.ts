import { z } from 'zod';
import { OwnEntry } from '#core/catalogue';
import { PlanId } from './plans';
import { Unreadable } from './unreadable';

const Moment = z.iso.datetime();
const Revision = z.int().min(1);

/** An entry of a teacher's own library as stored. A deleted one still serves the plans that use it. */
export const StoredEntry = z.object({
  id: PlanId,
  revision: Revision,
  createdAt: Moment,
  updatedAt: Moment,
  deletedAt: Moment.nullable(),
  document: OwnEntry,
});
export type StoredEntry = z.infer<typeof StoredEntry>;

/** All of them, the deleted ones too: an interface that draws plans needs them all. */
export const ListEntriesResponse = z.object({ entries: z.array(StoredEntry), unreadable: Unreadable });

/** `document` is read with `readEntry`; its id is the entry's. */
export const CreateEntryRequest = z.strictObject({ document: z.unknown() });
export const SaveEntryRequest = z.strictObject({ revision: Revision, document: z.unknown() });

/** A stale write: the entry as it is now, and what was sent, so that neither is lost. */
export const EntryConflict = z.object({ current: StoredEntry, yours: OwnEntry });
export type EntryConflict = z.infer<typeof EntryConflict>;
