import { defineStore } from 'pinia';
import { computed } from 'vue';
import { knowledgeWith } from '#library/cautions';
import { useLibrary } from './library';

/**
 * The knowledge for cautions, with the custom entries. Separate from the library, so that only pages that screen load
 * it.
 */
export const useKnowledge = defineStore('knowledge', () => {
  const library = useLibrary();
  const knowledge = computed(() => knowledgeWith(library.all, library.positions, library.techniques));
  return { knowledge };
});
