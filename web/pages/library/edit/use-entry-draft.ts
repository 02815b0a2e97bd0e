import { computed, ref, shallowRef } from 'vue';
import { copyOf, readEntry, type OwnEntry } from '#core/catalogue';
import { record, redo, startHistory, undo, type History } from '#core/document';
import type { StoredEntry } from '#api';
import { createEntry, entryConflictOf, saveEntry } from '../../../client/entries';
import { ApiProblem, Unreachable } from '../../../client/http';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';
import { ENTRY_DRAFTS } from './entry-drafts';

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

/** Which version of an entry goes on under its id; the other is kept as an entry of its own. */
export type ConflictChoice = 'mine' | 'theirs';

function otherVersion(document: OwnEntry): OwnEntry {
  const copy = copyOf(document, `own-${newId()}`);
  copy.entry.names.english = `${copy.entry.names.english.slice(0, 60)} (other version)`;
  return copy;
}

/**
 * An entry of one's own on the desk. It may be unfinished: what is wrong is told at its field once that was touched or
 * saving was tried, and only a whole entry is stored. Until then it is kept in this browser, and survives a reload.
 */
export function useEntryDraft(id: string) {
  const library = useLibrary();
  const history = shallowRef<History<OwnEntry>>();
  const stored = shallowRef<StoredEntry>();
  const revision = ref(0);
  const tried = ref(false);
  const touched = ref(new Set<string>());
  const trouble = ref('');
  const saving = ref(false);
  const storageFull = ref(false);
  const conflict = shallowRef<StoredEntry>();
  let unanswered: string[] = [];

  const document = computed(() => history.value?.now);
  const issues = computed(() => {
    const read = document.value && readEntry(document.value);
    return read && !read.ok ? read.issues : [];
  });
  const dirty = computed(
    () => document.value !== undefined && JSON.stringify(document.value) !== JSON.stringify(stored.value?.document),
  );
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0);
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0);

  /** Takes the entry up: as it was left here, or as it is stored. Gives whether there is one. */
  async function open(): Promise<boolean> {
    const draft = await ENTRY_DRAFTS.take(id);
    stored.value = library.ownEntry(id);
    const begin = draft?.document ?? stored.value?.document;
    if (!begin) return false;
    history.value = startHistory(stored.value?.document ?? begin);
    revision.value = draft?.revision ?? stored.value?.revision ?? 0;
    unanswered = draft?.unanswered ?? [];
    // A save whose answer was lost has become the stored version: what is typed since builds on that.
    if (stored.value && unanswered.includes(JSON.stringify(stored.value.document))) {
      revision.value = stored.value.revision;
    }
    if (draft && stored.value) put(record(history.value, { name: 'kept from before' }, draft.document));
    else if (draft) await keep();
    return true;
  }

  async function keep(): Promise<void> {
    if (!document.value) return;
    if (!dirty.value) return ENTRY_DRAFTS.drop(id);
    const draft = { revision: revision.value, document: document.value, unanswered };
    storageFull.value = !(await ENTRY_DRAFTS.keep(id, draft));
  }
  function put(next: History<OwnEntry>): void {
    history.value = next;
    void keep();
  }

  /** Sets one place of the entry; changes with the same `merge`, one after the other, are undone together. */
  function change(path: string, value: unknown, merge?: string): undefined {
    if (!history.value) return undefined;
    touched.value.add(path);
    const next = withValueAt(history.value.now, `entry.${path}`, value);
    if (JSON.stringify(next) === JSON.stringify(history.value.now)) return undefined;
    put(record(history.value, { name: `change ${path}`, ...(merge ? { merge } : {}) }, next));
    return undefined;
  }
  /** What is wrong at a place of the entry, or below it with `deep`; empty where nothing is, or it is not yet time to say. */
  function problem(path: string, deep = false): string {
    const found = issues.value.find(({ field }) => {
      const below = field.replace(/^entry\./, '');
      const here = below === path || (deep && below.startsWith(`${path}.`));
      return here && (tried.value || [...touched.value].some((one) => one === path || besides(one, below)));
    });
    return found?.reason ?? '';
  }

  /** Stores the entry, if it is whole. Gives whether it is stored now. */
  async function save(): Promise<boolean> {
    tried.value = true;
    const read = document.value && readEntry(document.value);
    if (!history.value || !read?.ok || saving.value) return false;
    // What is being typed is taken up as its field is left, so saving is always offered; there may be nothing to save.
    if (!dirty.value) return true;
    // As the server will keep it, to the order of its fields, so that it is known again.
    const sent = read.value;
    history.value = { ...history.value, now: sent };
    saving.value = true;
    unanswered = [...unanswered, JSON.stringify(sent)].slice(-5);
    let ownEarlier: StoredEntry | undefined;
    await keep();
    try {
      take(await (revision.value === 0 ? createEntry(sent) : saveEntry(revision.value, sent)));
      return true;
    } catch (error) {
      const met = entryConflictOf(error);
      if (!met) trouble.value = said(error);
      // One's own earlier save, whose answer was lost, is nothing to choose from: it is built upon.
      else if (unanswered.includes(JSON.stringify(met.current.document))) ownEarlier = met.current;
      else conflict.value = met.current;
      if (!ownEarlier) return false;
    } finally {
      saving.value = false;
    }
    [stored.value, revision.value] = [ownEarlier, ownEarlier.revision];
    return save();
  }
  function said(error: unknown): string {
    if (error instanceof Unreachable)
      return `Not saved. ${error.message} Your changes are kept here; save again later.`;
    if (error instanceof ApiProblem) return `Not saved. ${error.message}`;
    return 'Not saved. Your changes are kept here.';
  }
  function take(entry: StoredEntry): void {
    [stored.value, revision.value, trouble.value, unanswered] = [entry, entry.revision, '', []];
    conflict.value = undefined;
    library.keep(entry);
    void keep();
  }

  /** Ends a conflict; the version that does not go on is stored as an entry of its own first. Throws where it can not be. */
  async function resolve(choice: ConflictChoice): Promise<void> {
    const met = conflict.value;
    if (!met || !history.value) return;
    library.keep(await createEntry(otherVersion(choice === 'mine' ? met.document : history.value.now)));
    conflict.value = undefined;
    [stored.value, revision.value, unanswered] = [met, met.revision, []];
    if (choice === 'theirs') put(record(history.value, { name: 'take the other version' }, met.document));
    else await save();
  }

  /** Throws away what is not saved; undo brings it back as long as this page is open. */
  function discard(): void {
    if (history.value && stored.value) put(record(history.value, { name: 'discard' }, stored.value.document));
  }

  return {
    document,
    stored,
    issues,
    dirty,
    tried,
    trouble,
    saving,
    storageFull,
    conflict,
    canUndo,
    canRedo,
    open,
    change,
    problem,
    save,
    resolve,
    discard,
    undo: () => history.value && canUndo.value && put(undo(history.value)),
    redo: () => history.value && canRedo.value && put(redo(history.value)),
  };
}
export type EntryDraft = ReturnType<typeof useEntryDraft>;
