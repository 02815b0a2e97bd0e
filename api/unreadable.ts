import { z } from 'zod';

/** How many rows were left out of a list because this Zovrin cannot read them: of a newer version, or damaged. */
export const Unreadable = z.int().min(0);

export const StoredKind = z.enum([
  'plan',
  'variants',
  'run',
  'entry',
  'person',
  'group',
  'class',
  'place',
  'course',
  'journal',
  'settings',
]);
export type StoredKind = z.infer<typeof StoredKind>;

/** A row that cannot be read, and why. */
export const UnreadableRow = z.object({
  kind: StoredKind,
  /** As it is stored. */
  id: z.string(),
  title: z.string(),
  reason: z.string(),
  /** Whether it can be put into the bin; what is kept beside something else goes with that. */
  deletable: z.boolean(),
});
export type UnreadableRow = z.infer<typeof UnreadableRow>;

export const ListUnreadableResponse = z.object({ rows: z.array(UnreadableRow) });
