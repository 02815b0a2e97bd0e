import { defineStore } from 'pinia';
import { computed } from 'vue';
import { knowledgeWith } from '#library/cautions';
import { useLibrary } from './library';

/** What cautions stand on, with the custom entries. Apart from the library, so that only rooms that screen load it. */
export const useKnowledge = defineStore('knowledge', () => {
  const library = useLibrary();
  const knowledge = computed(() => knowledgeWith(library.all, library.positions, library.techniques));
  return { knowledge };
});
