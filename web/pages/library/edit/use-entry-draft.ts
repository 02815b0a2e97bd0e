import equal from 'fast-deep-equal';
import { computed, ref } from 'vue';
import { copyOf, readEntry, type CustomEntry } from '#core/catalogue';
import { entryClient } from '../../../client/documents';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';
import { sourceOf, useSyncedDocument } from '../../../sync/source';
import { draftKey, readUnfinished } from './entry-drafts';

/** A copy of a value with one place in it set anew; the place is a path like `names.english` or `waysIn.0`. */
export function withValueAt<T>(value: T, path: string, set: unknown): T {
  const [first, ...rest] = path.split('.');
  if (first === undefined || first === '') return set as T;
  const copy = (Array.isArray(value) ? [...value] : { ...value }) as Record<string, unknown>;
  copy[first] = withValueAt(copy[first], rest.join('.'), set);
  return copy as T;
}

const parentOf = (path: string): string => path.slice(0, Math.max(0, path.lastIndexOf('.')));
/** Whether two places are the same, or fields of the same group: a range is right or wrong as a whole. */
const besides = (one: string, other: string): boolean =>
  one === other || (parentOf(one) !== '' && parentOf(one) === parentOf(other));

function otherVersion(document: CustomEntry): CustomEntry {
  const copy = copyOf(document, `own-${newId()}`);
  copy.entry.names.english = `${copy.entry.names.english.slice(0, 60)} (other version)`;
  return copy;
}

/**
 * A custom entry that is being edited. It may be unfinished: what is wrong is shown at its field once that was touched
 * or saving was tried, and only a complete entry is stored. Until then it is kept in this browser, and survives a
 * reload.
 */
export function useEntryDraft(id: string) {
  const library = useLibrary();
  const tried = ref(false);
  const touched = ref(new Set<string>());
  const synced = useSyncedDocument<CustomEntry>({
    ...sourceOf(draftKey(id), readEntry, entryClient.at(id)),
    readUnfinished,
    saves: 'onRequest',
    send: (revision, entry) =>
      revision === 0 ? entryClient.create(id, entry) : entryClient.at(id).save(revision, entry),
    onSaved({ revision, updatedAt = '' }, document) {
      const createdAt = library.ownEntry(id)?.createdAt ?? updatedAt;
      library.keep({ id, revision, createdAt, updatedAt, deletedAt: null, document });
    },
    async keepCopy(other) {
      const copy = otherVersion(other);
      library.keep(await entryClient.create(copy.entry.id, copy));
    },
  });
  const { document, state, trouble } = synced;
  const issues = computed(() => {
    const read = document.value && readEntry(document.value);
    return read && !read.ok ? read.issues : [];
  });

  /**
   * Opens the entry: its draft, or as it is stored. Returns whether it exists; rejects if that is unknown.
   */
  async function open(): Promise<boolean> {
    await synced.opened().catch((error: unknown) => {
      if (!synced.isMissing.value) throw error;
    });
    return document.value !== undefined;
  }

  /** Sets one place of the entry; changes with the same `merge`, one after the other, are undone together. */
  function change(path: string, value: unknown, merge?: string): undefined {
    if (!document.value) return undefined;
    touched.value.add(path);
    const next = withValueAt(document.value, `entry.${path}`, value);
    synced.apply({ name: `change ${path}`, ...(merge ? { merge } : {}) }, next);
    return undefined;
  }
  /**
   * The problem at a place of the entry, or below it with `deep`; empty if there is none, or it is too early to show
   * it.
   */
  function problem(path: string, deep = false): string {
    const found = issues.value.find(({ field }) => {
      const below = field.replace(/^entry\./, '');
      const here = below === path || (deep && below.startsWith(`${path}.`));
      return here && (tried.value || [...touched.value].some((one) => one === path || besides(one, below)));
    });
    return found?.reason ?? '';
  }

  /** Saves the entry if it is complete. Returns whether it is saved. */
  async function save(): Promise<boolean> {
    tried.value = true;
    const read = document.value && readEntry(document.value);
    if (!read?.ok || synced.isSaving.value) return false;
    // As the server keeps it.
    if (!equal(read.value, document.value)) synced.apply({ name: 'reorder' }, read.value);
    await synced.save();
    return state.value === 'saved';
  }
  /** Why it is not saved, and what happens to it. */
  const notSaved = computed(() => {
    if (state.value === 'waiting') return `Not saved yet. ${trouble.value} Your changes are kept here and sent again.`;
    return state.value === 'refused' ? `Not saved. ${trouble.value} Your changes are kept here.` : '';
  });

  /** Discards unsaved changes; undo restores them. */
  function discard(): void {
    if (synced.lastSaved.value) synced.apply({ name: 'discard' }, synced.lastSaved.value);
  }

  return { ...synced, stored: synced.lastSaved, issues, tried, notSaved, open, change, problem, save, discard };
}
export type EntryDraft = ReturnType<typeof useEntryDraft>;
