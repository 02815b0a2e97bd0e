import { defineStore } from 'pinia';
import { computed } from 'vue';
import { withCustomEntries, type CustomEntry, type Position, type Technique } from '#core/catalogue';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import type { StoredEntry } from '#api';
import { restore } from '../client/bin';
import { entryClient } from '../client/documents';
import { cachedList } from '../sync/cached-list';

/**
 * The library as this teacher has it: what ships with Zovrin, and custom entries. Deleted ones are no longer
 * offered, but still known, so that the plans that use them stay as they are.
 */
export const useLibrary = defineStore('library', () => {
  const {
    list,
    trouble,
    load: reload,
    ready,
    tell,
  } = cachedList<readonly StoredEntry[]>(entryClient.list, 'zovrin.entries');
  const stored = computed(() => list.value ?? []);

  const own = computed((): CustomEntry[] => stored.value.map(({ document }) => document));
  const all = computed(() => withCustomEntries(builtInLibrary, own.value));
  const offered = computed(() => stored.value.filter(({ deletedAt }) => deletedAt === null));
  const positions = computed((): readonly Position[] => [
    ...POSITIONS,
    ...offered.value.flatMap(({ document }) => (document.kind === 'position' ? [document.entry] : [])),
  ]);
  const techniques = computed((): readonly Technique[] => [
    ...TECHNIQUES,
    ...offered.value.flatMap(({ document }) => (document.kind === 'technique' ? [document.entry] : [])),
  ]);
  const byId = computed(() => new Map(stored.value.map((one) => [one.id, one])));

  /** Takes over an entry as the server has stored it. */
  function keep(entry: StoredEntry): void {
    list.value = [...stored.value.filter(({ id }) => id !== entry.id), entry];
    tell();
  }
  /** Puts an entry into the bin. Throws if the server cannot. */
  async function remove(id: string): Promise<void> {
    await entryClient.remove(id);
    tell();
    await reload();
  }
  async function takeBack(id: string): Promise<void> {
    await restore({ kind: 'entry', id });
    tell();
    await reload();
  }

  return {
    trouble,
    own,
    all,
    positions,
    techniques,
    ready,
    reload,
    keep,
    remove,
    takeBack,
    /** The stored form of a custom entry; undefined for what ships and for what is not there. */
    ownEntry: (id: string): StoredEntry | undefined => byId.value.get(id),
  };
});
