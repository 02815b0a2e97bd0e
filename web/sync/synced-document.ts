import equal from 'fast-deep-equal';
import { computed, ref, shallowRef } from 'vue';
import { rebase, record, redo, seal, undo, type Change, type History, type Read } from '#core/document';
import { ApiProblem, worthRetrying } from '../client/http';
import type { DocumentSource, Saved, Stored } from './document-source';
import { draftText, readDraft, type Draft } from './draft';
import { removeDrafts } from './drafts';
import { historyAfter, historyOnto, historyWithKept, type Resolution } from './meet';
import { browserWindow, type SyncWindow } from './sync-window';
import { retrying } from './retry';
import { recoverDraft } from './recover-draft';

/**
 * Where a document stands: `waiting` for the server to be back, `refused` by it, in `conflict` with what was saved
 * elsewhere.
 */
export type SyncState = 'loading' | 'saved' | 'unsaved' | 'saving' | 'waiting' | 'refused' | 'conflict';

/** Documents that were left and whose last save is on its way, by their keys. */
const closing = new Map<string, Promise<void>>();

/** Why the server refused a save, in words. */
function refusal(error: unknown): string {
  if (!(error instanceof ApiProblem)) return (error as Error).message;
  const [first] = error.problem.errors ?? [];
  return first ? `${first.reason} (${first.field})` : error.problem.detail;
}

/**
 * A document that is opened, changed and kept saved, with undo. Every change is written to this browser at once and
 * sent to the server; until the server has acknowledged it, it survives a lost line, a reload, a crash and a closed
 * window. What was saved in another window meanwhile is merged with what was changed here; only where both changed the
 * same thing does somebody have to choose.
 */
export function syncedDocument<T extends object, Initial extends T | undefined = undefined>(
  source: DocumentSource<T, Initial>,
  window: SyncWindow = browserWindow,
) {
  const readHere = source.readUnfinished ?? ((value: unknown) => valueOf(source.read(value)));
  const history = shallowRef<History<T>>();
  const revision = ref(0);
  const state = ref<SyncState>('loading');
  const trouble = ref('');
  const isMissing = ref(false);
  const storageFull = ref(false);
  const savedAt = ref<Date>();
  /** What was saved elsewhere and does not go together with what was changed here. */
  const conflict = shallowRef<Stored<T>>();
  /** The version of `revision`, from which the changes here set out; undefined if there is none yet. */
  const base = shallowRef<T>();
  /**
   * Versions that were sent and not answered: the server may have any of them, so only an answer makes it known again.
   */
  const unanswered = shallowRef<readonly T[]>([]);
  let sending: Promise<void> | undefined;
  let loading: Promise<void> | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isClosed = false;
  /** It was forgotten for good: nothing of it is kept or sent any more. */
  let isForgotten = false;
  /** Another window has saved since this one last looked. */
  let hasNews = false;

  const drafts = window.drafts();
  let draftStore: Awaited<typeof drafts> | undefined;
  const undoSteps = window.undo<T>(source.key, readHere);
  const channel = window.channel(`zovrin.${source.key}`);
  const retry = retrying(() => void save());

  const document = computed(() => (history.value ? history.value.now : source.initial) as T | Initial);
  const dirty = computed(() => {
    const now = history.value?.now;
    if (now === undefined) return false;
    return !equal(now, base.value) || unanswered.value.some((one) => !equal(one, now));
  });
  const isDirty = (): boolean => dirty.value;

  /** Keeps what is not acknowledged in this browser, and nothing where all is. */
  function keep(): void {
    if (!history.value || !draftStore || isForgotten) return;
    if (!isDirty()) {
      draftStore.drop(source.key);
      storageFull.value = false;
      return;
    }
    const draft: Draft<T> = {
      revision: revision.value,
      document: history.value.now,
      base: base.value,
      unanswered: [...unanswered.value],
      editedAt: Date.now(),
    };
    storageFull.value = !draftStore.write(source.key, draftText(draft));
  }

  function put(next: History<T>): void {
    if (isForgotten) return;
    history.value = next;
    keep();
    void undoSteps.write(next);
    if (state.value === 'conflict') return;
    state.value = isDirty() ? 'unsaved' : 'saved';
    clearTimeout(timer);
    retry.reset();
    if (!isDirty() || source.saves === 'onRequest') return;
    if (source.saveAfterMs === undefined) void save();
    else timer = setTimeout(() => void save(), source.saveAfterMs);
  }

  function accept({ revision: now, updatedAt }: Saved): void {
    revision.value = now;
    if (updatedAt !== undefined) savedAt.value = new Date(updatedAt);
  }

  const here = (now: History<T>) => ({
    history: now,
    base: base.value,
    unanswered: unanswered.value,
    keyOf: source.keyOf,
    read: readHere,
  });

  /** Puts what was saved elsewhere under what was changed here. False if the two cannot be merged. */
  function follow(other: Stored<T>): boolean {
    const next = history.value && historyOnto(here(history.value), other.document);
    if (!next) return false;
    history.value = next;
    accept(other);
    base.value = other.document;
    unanswered.value = [];
    return true;
  }

  /**
   * Compares with what the server has: it is our own lost save, it can be merged, or somebody has to choose.
   */
  function meet(other: Stored<T>): void {
    // If our own answer was lost, the other windows have not heard yet.
    if (unanswered.value.length > 0) channel.post('saved');
    if (follow(other)) {
      if (history.value) void undoSteps.write(history.value);
      conflict.value = undefined;
      state.value = isDirty() ? 'unsaved' : 'saved';
      source.onSaved?.(other, other.document);
    } else {
      conflict.value = other;
      state.value = 'conflict';
    }
    keep();
  }

  /** Begins with what the server has, and what was left here of it; neither is the document of a new one. */
  function begin(stored: Stored<T> | undefined, left: readonly Draft<T>[]): void {
    const taken = recoverDraft(stored, left, { keyOf: source.keyOf, read: readHere });
    if (!taken) return;
    [history.value, base.value, unanswered.value] = [taken.history, taken.base, taken.unanswered];
    [revision.value, conflict.value] = [taken.revision, taken.isConflict ? stored : undefined];
    state.value = taken.isConflict ? 'conflict' : isDirty() ? 'unsaved' : 'saved';
    if (stored && !taken.isConflict) accept(stored);
  }

  /** Puts the steps of undo that were kept before those of this page, as they are on the document that was opened. */
  async function resumeUndo(from: T): Promise<void> {
    const storedHistory = await undoSteps.read();
    if (!storedHistory || !history.value || isClosed || isForgotten) return;
    history.value = historyWithKept(history.value, storedHistory, from, source.keyOf);
    void undoSteps.write(history.value);
  }

  async function open(): Promise<void> {
    try {
      // Who edited it before in this window may still be sending.
      await closing.get(source.key);
      draftStore = await drafts;
      const left = (await draftStore.leftovers(source.key)).flatMap((one) => {
        const draft = readDraft(one.text, readHere);
        return draft ? [{ ...one, draft }] : [];
      });
      left.sort((one, other) => one.draft.editedAt - other.draft.editedAt);
      const stored = await source.fetch().catch((error: unknown) => {
        // What was never stored is only here.
        if (isNotFound(error) && left.some(({ draft }) => draft.revision === 0)) return undefined;
        throw error;
      });
      [trouble.value, isMissing.value] = ['', false];
      begin(
        stored,
        left.map(({ draft }) => draft),
      );
      if (stored) void resumeUndo(stored.document);
      // It is kept under this name before it is removed under another; in a conflict, what waits stays there.
      keep();
      for (const { draft, remove } of left) {
        if (state.value !== 'conflict' || equal(draft.document, history.value?.now)) remove();
      }
      if (stored && left.length > 0) channel.post('saved');
      if (state.value === 'unsaved' && source.saves !== 'onRequest') void save();
      else if (hasNews) void followOthers();
    } catch (error) {
      isMissing.value = isNotFound(error);
      trouble.value = (error as Error).message;
      loading = undefined;
      throw error;
    }
  }

  /** Reads it again. What went wrong is said in `trouble`. */
  function load(): Promise<void> {
    loading = open();
    return loading.catch(() => undefined);
  }
  /** Resolves when it is here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loading?.catch(() => undefined) ?? load();
  /** Resolves when it is here; rejects if it cannot be had. */
  async function opened(): Promise<void> {
    await (loading ?? (loading = open()));
  }

  /**
   * Finds out what became of what was sent and not answered, before anything else is sent. Returns whether the server
   * has another version than the one that is known here; that is met then. Rejects if the server cannot say.
   */
  async function learnOutcome(): Promise<boolean> {
    const stored = await source.fetch().catch((error: unknown) => {
      // What was to be made has not been.
      if (isNotFound(error) && revision.value === 0) return undefined;
      throw error;
    });
    if (stored && stored.revision !== revision.value) {
      meet(stored);
      return true;
    }
    unanswered.value = [];
    return !isDirty();
  }

  async function sendAll(): Promise<void> {
    while (history.value && isDirty() && !conflict.value) {
      let sent = history.value.now;
      clearTimeout(timer);
      state.value = 'saving';
      try {
        if (unanswered.value.length > 0 && (await learnOutcome())) continue;
        sent = history.value.now;
        unanswered.value = [...unanswered.value, sent];
        keep();
        const saved = await source.send(revision.value, sent);
        accept(saved);
        [base.value, unanswered.value, trouble.value] = [sent, [], ''];
        retry.reset();
        state.value = isDirty() ? 'unsaved' : 'saved';
        keep();
        channel.post('saved');
        source.onSaved?.(saved, sent);
        if (source.saves === 'onRequest') return;
      } catch (error) {
        const other = source.conflictOf(error);
        if (other) {
          trouble.value = '';
          meet(other);
          continue;
        }
        const isLater = worthRetrying(error);
        if (!isLater) unanswered.value = unanswered.value.filter((one) => one !== sent);
        state.value = isLater ? 'waiting' : 'refused';
        trouble.value = isLater ? (error as Error).message : refusal(error);
        keep();
        // What was changed meanwhile is tried at once.
        if (isLater && history.value.now !== sent) continue;
        if (isLater && !isClosed) retry.later();
        return;
      }
    }
    if (conflict.value || !history.value) return;
    [state.value, trouble.value] = ['saved', ''];
    keep();
  }

  /** Sends what is not acknowledged. One request at a time; what changes meanwhile is sent after it. Never rejects. */
  function save(): Promise<void> {
    if (!history.value || conflict.value || isForgotten) return Promise.resolve();
    sending ??= sendAll().finally(() => {
      sending = undefined;
      if (hasNews) void followOthers();
    });
    return sending;
  }

  /** Another window has saved: what it saved is taken over, once nothing is on its way from here. */
  async function followOthers(): Promise<void> {
    hasNews = true;
    if (isBusy() || isForgotten || !history.value || conflict.value) return;
    hasNews = false;
    const stored = await source.fetch().catch(() => undefined);
    if (isBusy()) hasNews = true;
    else if (stored && stored.revision > revision.value) takeNews(stored);
  }
  const isBusy = (): boolean => sending !== undefined || isClosed;
  function takeNews(stored: Stored<T>): void {
    meet(stored);
    if (state.value === 'unsaved' && source.saves !== 'onRequest') void save();
  }
  channel.listen((news) => (news === 'forgotten' ? letGo() : void followOthers()));

  /**
   * Lets go of a document that was forgotten for good, here or in another window: nothing of it is shown, kept or sent.
   */
  function letGo(): void {
    isForgotten = true;
    clearTimeout(timer);
    retry.stop();
    draftStore?.drop(source.key);
    [history.value, base.value, unanswered.value, conflict.value] = [undefined, undefined, [], undefined];
    [isMissing.value, state.value, trouble.value] = [true, 'saved', ''];
  }

  /** Changes the document. Returns the reason if that is refused, and then nothing has changed. */
  function change(name: string, next: T, merge?: string): string | undefined {
    const read = source.read(next);
    if (!read.ok) return read.issues[0]?.reason ?? 'This does not fit.';
    return apply({ name, ...(merge === undefined ? {} : { merge }) }, read.value);
  }
  /** Changes the document to one that is known to be right, or that may be unfinished. */
  function apply(change: Change, next: T): string | undefined {
    if (!history.value) return 'This has not been loaded yet.';
    if (!equal(next, history.value.now)) put(record(history.value, change, next));
    return undefined;
  }
  /** Makes a change in every version, so that no undo takes it back: what happened outside of the document, and stays. */
  function changeForGood(onto: (version: T) => T): void {
    if (history.value) put(rebase(history.value, onto(history.value.now), onto));
  }
  function step(way: typeof undo | typeof redo): void {
    if (!history.value) return;
    const next = way(history.value);
    // Put together with what was saved elsewhere, an earlier version may be one that cannot be.
    if (next !== history.value && readHere(next.now) !== undefined) put(next);
  }

  /**
   * Ends a conflict: what only one of the two changed is kept of both, and where both changed the same thing the chosen
   * version counts. Rejects if the other version could not be kept as a copy; then nothing has changed.
   */
  const isStill = (other: Stored<T>): boolean => conflict.value === other;
  async function resolve(choice: Resolution): Promise<void> {
    const other = conflict.value;
    if (!other || !history.value) return;
    const mine = history.value.now;
    await source.keepCopy?.(choice === 'mine' ? other.document : mine);
    if (!isStill(other)) return;
    const next = historyAfter(here(history.value), other.document, choice);
    accept(other);
    [base.value, unanswered.value, conflict.value, state.value] = [other.document, [], undefined, 'saved'];
    put(next);
    await save();
  }

  /**
   * Leaves the document: unsaved changes are sent now, other windows are notified, and what cannot be sent stays here
   * for the next visit. Resolves when nothing is on its way any more.
   */
  async function close(): Promise<void> {
    if (isClosed) return closing.get(source.key);
    isClosed = true;
    clearTimeout(timer);
    const ended = (source.saves === 'onRequest' ? (sending ?? Promise.resolve()) : save()).then(() => {
      retry.stop();
      channel.close();
      draftStore?.release();
      if (closing.get(source.key) === ended) closing.delete(source.key);
    });
    closing.set(source.key, ended);
    await ended;
  }

  return {
    document,
    revision,
    state,
    savedAt,
    trouble,
    isMissing,
    isLoaded: computed(() => history.value !== undefined),
    isDirty: dirty,
    /** The version that the server has, as far as is known here. */
    lastSaved: computed(() => base.value),
    isSaving: computed(() => state.value === 'saving'),
    storageFull,
    conflict,
    /**
     * What undo would take back, and redo make again: the name of the change, and the change itself where it is data.
     */
    lastChange: computed(() => history.value?.past.at(-1)),
    nextChange: computed(() => history.value?.future[0]),
    canUndo: computed(() => (history.value?.past.length ?? 0) > 0),
    canRedo: computed(() => (history.value?.future.length ?? 0) > 0),
    ready,
    opened,
    load,
    change,
    apply,
    changeForGood,
    /** Ends merging: the next change starts its own step of undo. */
    seal: (): void => void (history.value &&= seal(history.value)),
    undo: () => step(undo),
    redo: () => step(redo),
    save,
    /** Resolves when what was changed has been sent, or could not be. */
    settled: (): Promise<void> => sending ?? Promise.resolve(),
    resolve,
    close,
    /** Removes everything of it from this browser, and keeps and sends nothing more of it. */
    async forget(): Promise<void> {
      letGo();
      channel.post('forgotten');
      removeDrafts(source.key);
      await undoSteps.forget();
    },
  };
}
export type SyncedDocument<T extends object, Initial extends T | undefined = undefined> = ReturnType<
  typeof syncedDocument<T, Initial>
>;

const valueOf = <T>(read: Read<T>): T | undefined => (read.ok ? read.value : undefined);
const isNotFound = (error: unknown): boolean => error instanceof ApiProblem && error.status === 404;
