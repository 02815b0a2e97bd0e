import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { fieldIssues, record, redo, startHistory, undo, type History } from '#core/document';
import { DEFAULT_HOUSE, House, readHouse } from '#core/house';
import { houseConflictOf, readHouseRules, saveHouseRules } from '../client/house';
import { kept } from './browser';

const UNSENT = 'zovrin.house.unsent';

/** The house rules: read once, saved as they are changed, with undo. Until they are here, the usual ones count. */
export const useHouse = defineStore('house', () => {
  const history = shallowRef<History<House>>(startHistory(DEFAULT_HOUSE));
  const revision = ref(0);
  const trouble = ref('');
  /** Rules that were saved in another window meanwhile. */
  const theirs = shallowRef<{ revision: number; document: House }>();
  const saving = ref(false);
  let again = false;
  let loaded: Promise<void> | undefined;

  const rules = computed(() => history.value.now);

  /** What was changed here and never acknowledged: by a lost line, a closed tab. */
  function unsent(): { revision: number; document: House } | undefined {
    try {
      const { revision: from, document } = JSON.parse(kept.read(UNSENT) ?? '') as Record<string, unknown>;
      const read = readHouse(document);
      return read.ok && typeof from === 'number' ? { revision: from, document: read.value } : undefined;
    } catch {
      return undefined;
    }
  }

  function load(): Promise<void> {
    loaded = readHouseRules().then(
      (stored) => {
        history.value = startHistory(stored.document);
        [revision.value, trouble.value] = [stored.revision, ''];
        const left = unsent();
        if (!left) return;
        // The revision it was made from goes with it, so that rules saved since are not written over.
        history.value = record(history.value, { name: 'kept from before' }, left.document);
        revision.value = left.revision;
        void save();
      },
      (error: Error) => {
        [trouble.value, loaded] = [error.message, undefined];
      },
    );
    return loaded;
  }
  /** Resolves when the rules are here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loaded ?? load();

  /** Sends what stands now; while one save is under way the newest waits for it. */
  async function save(): Promise<void> {
    kept.write(UNSENT, JSON.stringify({ revision: revision.value, document: rules.value }));
    if (saving.value) {
      again = true;
      return;
    }
    saving.value = true;
    try {
      const stored = await saveHouseRules(revision.value, rules.value);
      [revision.value, trouble.value] = [stored.revision, ''];
      if (!again) kept.remove(UNSENT);
    } catch (error) {
      theirs.value = houseConflictOf(error)?.current;
      trouble.value = theirs.value ? '' : (error as Error).message;
    } finally {
      saving.value = false;
    }
    if (again && !theirs.value) {
      again = false;
      await save();
    }
  }

  /** Changes the rules. Gives the reason where that is refused, and then nothing has changed. */
  function change(name: string, next: House): string | undefined {
    const parsed = House.safeParse(next);
    if (!parsed.success) return fieldIssues(parsed.error)[0]?.reason ?? 'This does not fit.';
    history.value = record(history.value, { name }, parsed.data);
    void save();
    return undefined;
  }
  function step(way: typeof undo | typeof redo): void {
    history.value = way(history.value);
    void save();
  }
  /** Ends a conflict: with one's own rules, or with those of the other window, which can be undone. */
  function settle(mine: boolean): void {
    const other = theirs.value;
    if (!other) return;
    theirs.value = undefined;
    revision.value = other.revision;
    if (mine) void save();
    else {
      history.value = record(history.value, { name: 'take the other rules' }, other.document);
      kept.remove(UNSENT);
    }
  }

  return {
    rules,
    trouble,
    theirs,
    saving,
    ready,
    save,
    change,
    settle,
    undo: () => step(undo),
    redo: () => step(redo),
    canUndo: computed(() => history.value.past.length > 0),
    canRedo: computed(() => history.value.future.length > 0),
  };
});
