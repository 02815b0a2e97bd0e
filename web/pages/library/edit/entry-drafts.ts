import { newestEntry, OwnEntry } from '#core/catalogue';
import { newId } from '../../../client/new-id';
import { draftsOf } from '../../../sync/drafts';

/** What is wrong with an unfinished entry is no reason to lose it; what has not even its shape is. */
const OF_SHAPE = new Set(['invalid_type', 'unrecognized_keys', 'invalid_union', 'invalid_key']);

/** Entries that are written on in this browser and not stored yet. */
export const ENTRY_DRAFTS = draftsOf<OwnEntry>('zovrin.entry.', (kept) => {
  const value = newestEntry(kept);
  const parsed = OwnEntry.safeParse(value);
  const misshapen = !parsed.success && parsed.error.issues.some(({ code }) => OF_SHAPE.has(code));
  return misshapen ? undefined : (value as OwnEntry);
});

/** Begins an entry of one's own in this browser. Gives its id. */
export async function beginEntry(make: (id: string) => OwnEntry): Promise<string> {
  const id = `own-${newId()}`;
  await ENTRY_DRAFTS.keep(id, { revision: 0, document: make(id), unanswered: [] });
  return id;
}

/** Where an entry is changed. */
export const editPath = ({ kind, entry }: OwnEntry): string =>
  kind === 'position' ? `/library/${entry.id}/edit` : `/library/breath/${entry.id}/edit`;
