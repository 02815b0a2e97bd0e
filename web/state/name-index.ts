import { defineStore } from 'pinia';
import { computed } from 'vue';
import { nameIndex } from '#core/exchange';
import { alsoCalled } from '#library/synonyms';
import { useLibrary } from './library';

/** The names of everything in this library, to find them in an outline. */
export const useNameIndex = defineStore('nameIndex', () => {
  const library = useLibrary();
  const index = computed(() => nameIndex({ positions: library.positions, techniques: library.techniques, alsoCalled }));
  return { index };
});
