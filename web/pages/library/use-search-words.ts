import { computed, shallowRef } from 'vue';
import type { EntryWords } from '#core/catalogue';
import { listUsedEntries } from '../../client/plans';
import { useEntryWords } from '../../state/entry-words';

/** What the library is searched by: the words of every entry, and which are in a plan that was changed lately. */
export function useSearchWords() {
  const words = useEntryWords();
  const used = shallowRef<ReadonlySet<string>>(new Set());
  void listUsedEntries().then(
    ({ items }) => (used.value = new Set(items)),
    // Without an answer nothing is known to be used lately, and the rest is found as ever.
    () => undefined,
  );
  return computed((): EntryWords => ({ ...words.value, usedLately: (id) => used.value.has(id) }));
}
