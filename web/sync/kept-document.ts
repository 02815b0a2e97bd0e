import { computed, ref, shallowRef, watch } from 'vue';
import type { z } from 'zod';
import {
  fieldIssues,
  mergeChanges,
  rebase,
  record,
  redo,
  startHistory,
  undo,
  type History,
  type KeyOf,
  type Read,
} from '#core/document';
import { vault } from './vault';
import { latestOnly } from './latest';

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
  send: (revision: number, document: T) => Promise<{ revision: number }>;
  conflictOf: (error: unknown) => { current: Revised<T> } | undefined;
  /** By what the things in its lists are known, where that is not their id. */
  keyOf?: KeyOf;
  /** Told whenever the server has it. */
  saved?: () => void;
  /** What is known of it elsewhere in this window: where that is newer, it is followed. */
  elsewhere?: () => Revised<T> | undefined;
}

/**
 * A document that is read once and saved as it is changed, with undo. What the server has not acknowledged survives a
 * lost line, a reload and a closed tab. What was saved in another window meanwhile is put together with what was changed
 * here; where both changed the same thing, it is shown, and neither is lost until one is chosen.
 */
export function keptDocument<T>(of: KeptDocument<T>) {
  const history = shallowRef<History<T>>(startHistory(of.start));
  const revision = ref(0);
  const here = ref(false);
  const trouble = ref('');
  const missing = ref(false);
  /** What was saved in another window meanwhile, and does not go together with what was changed here. */
  const theirs = shallowRef<Revised<T>>();
  const saving = ref(false);
  /** The version of `revision`, from which the changes here set out. */
  let base = of.start;
  /** What was sent and not answered: the server may have it all the same. */
  let unanswered = '';
  let changed = false;
  let sending: Promise<void> | undefined;
  let loaded: Promise<void> | undefined;

  const document = computed(() => history.value.now);

  /** What was changed here and never acknowledged: by a lost line, a closed tab. */
  function unsent(): (Revised<T> & { base: T | undefined }) | undefined {
    try {
      const left = JSON.parse(vault.read(of.unsentKey) ?? '') as Record<string, unknown>;
      const [read, from] = [of.read(left.document), of.read(left.base)];
      if (!read.ok || typeof left.revision !== 'number') return undefined;
      return { revision: left.revision, document: read.value, base: from.ok ? from.value : undefined };
    } catch {
      return undefined;
    }
  }

  const loads = latestOnly();
  function load(): Promise<void> {
    const isLatest = loads();
    loaded = of.fetch().then(
      (stored) => {
        if (!isLatest()) return;
        history.value = startHistory(stored.document);
        [revision.value, trouble.value, missing.value, here.value] = [stored.revision, '', false, true];
        base = stored.document;
        const left = unsent();
        if (!left) return;
        // The revision it was made from goes with it, so that what was saved since is not written over.
        history.value = record(history.value, { name: 'kept from before' }, left.document);
        revision.value = left.revision;
        base = left.base ?? left.document;
        void save();
      },
      (error: Error) => {
        if (!isLatest()) return;
        missing.value = 'status' in error && error.status === 404;
        [trouble.value, loaded] = [error.message, undefined];
      },
    );
    return loaded;
  }
  /** Resolves when the document is here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loaded ?? load();

  /** Puts what was saved elsewhere under what was changed here. False where the two do not go together. */
  function follow(other: Revised<T>): boolean {
    const onto = (version: T): T | undefined => {
      const both = mergeChanges(base, version, other.document, of.keyOf);
      return both !== undefined && of.schema.safeParse(both).success ? both : undefined;
    };
    const now = onto(document.value);
    if (now === undefined) return false;
    history.value = rebase(history.value, now, onto);
    [revision.value, base] = [other.revision, other.document];
    return true;
  }

  async function send(): Promise<void> {
    saving.value = true;
    while (changed && !theirs.value) {
      changed = false;
      const sent = document.value;
      try {
        const stored = await of.send(revision.value, sent);
        [revision.value, trouble.value] = [stored.revision, ''];
        base = sent;
        unanswered = '';
        if (changed) keep();
        else vault.remove(of.unsentKey);
        of.saved?.();
      } catch (error) {
        const other = of.conflictOf(error)?.current;
        trouble.value = other ? '' : (error as Error).message;
        if (!other) {
          unanswered = JSON.stringify(sent);
          continue;
        }
        // Our own earlier save, whose answer was lost, is no change by somebody else.
        if (JSON.stringify(other.document) === unanswered) base = other.document;
        if (follow(other)) changed = true;
        else theirs.value = other;
      }
    }
    saving.value = false;
  }
  const keep = (): void => {
    vault.write(of.unsentKey, JSON.stringify({ revision: revision.value, base, document: document.value }));
  };
  /** Sends what stands now; while one save is under way the newest waits for it. Resolves when nothing waits any more. */
  function save(): Promise<void> {
    keep();
    changed = true;
    sending ??= send().finally(() => (sending = undefined));
    return sending;
  }
  /** Resolves when what was changed has been sent, or could not be. */
  const settled = (): Promise<void> => sending ?? Promise.resolve();

  if (of.elsewhere) {
    watch(of.elsewhere, (known) => {
      const undisturbed = here.value && !sending && !theirs.value && vault.read(of.unsentKey) === null;
      if (known && undisturbed && known.revision > revision.value) follow(known);
    });
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
    [revision.value, base] = [other.revision, other.document];
    if (mine) void save();
    else {
      changed = false;
      history.value = record(history.value, { name: 'take the others' }, other.document);
      vault.remove(of.unsentKey);
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
    settled,
    /** Nothing that was not sent is left in this browser. */
    forget: () => vault.remove(of.unsentKey),
    change,
    settle,
    undo: () => step(undo),
    redo: () => step(redo),
    canUndo: computed(() => history.value.past.length > 0),
    canRedo: computed(() => history.value.future.length > 0),
  };
}
