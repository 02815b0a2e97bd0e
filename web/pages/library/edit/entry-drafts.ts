import { upgradedEntry, CustomEntry } from '#core/catalogue';
import { newId } from '../../../client/new-id';
import { draftText, readDraft } from '../../../sync/draft';
import { openDrafts, waitingDrafts } from '../../../sync/drafts';

/** An invalid unfinished entry is kept; only something of another shape is dropped. */
const OF_SHAPE = new Set(['invalid_type', 'unrecognized_keys', 'invalid_union', 'invalid_key']);

/** Reads an entry that may be unfinished; undefined for anything of another shape. */
export function readUnfinished(stored: unknown): CustomEntry | undefined {
  const value = upgradedEntry(stored);
  const parsed = CustomEntry.safeParse(value);
  const misshapen = !parsed.success && parsed.error.issues.some(({ code }) => OF_SHAPE.has(code));
  return misshapen ? undefined : (value as CustomEntry);
}

/** The key of the drafts of an entry. */
export const draftKey = (id: string): string => `entry.${id}`;

/** Begins a custom entry in this browser. Returns its id. */
export async function beginEntry(make: (id: string) => CustomEntry): Promise<string> {
  const id = `own-${newId()}`;
  const drafts = await openDrafts();
  const draft = { revision: 0, document: make(id), base: undefined, unanswered: [], editedAt: Date.now() };
  drafts.write(draftKey(id), draftText(draft));
  drafts.release();
  return id;
}

/** Unsaved entries in this browser that no other open window is editing. */
export async function waitingEntries(): Promise<CustomEntry[]> {
  const drafts = await waitingDrafts('entry');
  return drafts
    .flatMap((text) => readDraft(text, readUnfinished) ?? [])
    .sort((one, other) => other.editedAt - one.editedAt)
    .map(({ document }) => document);
}

/** Where an entry is changed. */
export const editPath = ({ kind, entry }: CustomEntry): string =>
  kind === 'position' ? `/library/${entry.id}/edit` : `/library/breath/${entry.id}/edit`;
