import { useTitle } from '@vueuse/core';
import { computed } from 'vue';

/** The title of the page in the browser: its parts from the nearest to the farthest, those that are known. */
export const usePageTitle = (parts: () => readonly (string | undefined)[]): void =>
  void useTitle(computed(() => [...parts().filter(Boolean), 'Zovrin'].join(' · ')));
