import { computed, ref, shallowRef } from 'vue';
import type { z } from 'zod';
import { fieldIssues, record, redo, startHistory, undo, type History, type Read } from '#core/document';
import { kept } from './browser';

interface Revised<T> {
  revision: number;
  document: T;
}

/** A document the server keeps, and how it is asked for and sent. */
export interface KeptDocument<T> {
  /** Under which name this browser keeps what was never acknowledged. */
  unsentKey: string;
  /** What counts until the document is here. */
  start: T;
  schema: z.ZodType<T>;
  read: (value: unknown) => Read<T>;
  fetch: () => Promise<Revised<T>>;
  send: (revision: number, document: T) => Promise<Revised<T>>;
  conflictOf: (error: unknown) => { current: Revised<T> } | undefined;
  /** Told whenever the server has it. */
  saved?: () => void;
}

/**
 * A document that is read once and saved as it is changed, with undo. What the server has not acknowledged survives a
 * lost line, a reload and a closed tab; what was saved in another window meanwhile is shown, and neither is lost until
 * one is chosen.
 */
export function keptDocument<T>(of: KeptDocument<T>) {
  const history = shallowRef<History<T>>(startHistory(of.start));
  const revision = ref(0);
  const here = ref(false);
  const trouble = ref('');
  const missing = ref(false);
  /** What was saved in another window meanwhile. */
  const theirs = shallowRef<Revised<T>>();
  const saving = ref(false);
  let again = false;
  let loaded: Promise<void> | undefined;

  const document = computed(() => history.value.now);

  /** What was changed here and never acknowledged: by a lost line, a closed tab. */
  function unsent(): Revised<T> | undefined {
    try {
      const { revision: from, document: left } = JSON.parse(kept.read(of.unsentKey) ?? '') as Record<string, unknown>;
      const read = of.read(left);
      return read.ok && typeof from === 'number' ? { revision: from, document: read.value } : undefined;
    } catch {
      return undefined;
    }
  }

  function load(): Promise<void> {
    loaded = of.fetch().then(
      (stored) => {
        history.value = startHistory(stored.document);
        [revision.value, trouble.value, missing.value, here.value] = [stored.revision, '', false, true];
        const left = unsent();
        if (!left) return;
        // The revision it was made from goes with it, so that what was saved since is not written over.
        history.value = record(history.value, { name: 'kept from before' }, left.document);
        revision.value = left.revision;
        void save();
      },
      (error: Error) => {
        missing.value = 'status' in error && error.status === 404;
        [trouble.value, loaded] = [error.message, undefined];
      },
    );
    return loaded;
  }
  /** Resolves when the document is here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loaded ?? load();

  /** Sends what stands now; while one save is under way the newest waits for it. */
  async function save(): Promise<void> {
    kept.write(of.unsentKey, JSON.stringify({ revision: revision.value, document: document.value }));
    if (saving.value) {
      again = true;
      return;
    }
    saving.value = true;
    try {
      const stored = await of.send(revision.value, document.value);
      [revision.value, trouble.value] = [stored.revision, ''];
      if (!again) kept.remove(of.unsentKey);
      of.saved?.();
    } catch (error) {
      theirs.value = of.conflictOf(error)?.current;
      trouble.value = theirs.value ? '' : (error as Error).message;
    } finally {
      saving.value = false;
    }
    if (again && !theirs.value) {
      again = false;
      await save();
    }
  }

  /** Changes the document. Gives the reason where that is refused, and then nothing has changed. */
  function change(name: string, next: T): string | undefined {
    const parsed = of.schema.safeParse(next);
    if (!parsed.success) return fieldIssues(parsed.error)[0]?.reason ?? 'This does not fit.';
    history.value = record(history.value, { name }, parsed.data);
    void save();
    return undefined;
  }
  function step(way: typeof undo | typeof redo): void {
    history.value = way(history.value);
    void save();
  }
  /** Ends a conflict: with one's own, or with that of the other window, which can be undone. */
  function settle(mine: boolean): void {
    const other = theirs.value;
    if (!other) return;
    theirs.value = undefined;
    revision.value = other.revision;
    if (mine) void save();
    else {
      history.value = record(history.value, { name: 'take the others' }, other.document);
      kept.remove(of.unsentKey);
    }
  }

  return {
    document,
    here,
    trouble,
    missing,
    theirs,
    saving,
    ready,
    load,
    save,
    change,
    settle,
    undo: () => step(undo),
    redo: () => step(redo),
    canUndo: computed(() => history.value.past.length > 0),
    canRedo: computed(() => history.value.future.length > 0),
  };
}
