import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { PaceOfRun } from '#core/record';
import { readPaces } from '../client/arrange';

/** How the latest runs went against their plans: what forecasts learn from. Read once, and again when a run has ended. */
export const usePaces = defineStore('paces', () => {
  const runs = shallowRef<readonly PaceOfRun[]>();
  const trouble = ref('');
  let loading: Promise<void> | undefined;

  function load(): Promise<void> {
    loading = readPaces().then(
      (found) => {
        [runs.value, trouble.value] = [found, ''];
      },
      (error: Error) => {
        [trouble.value, loading] = [error.message, undefined];
      },
    );
    return loading;
  }
  /** Resolves when the runs are here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loading ?? load();

  return { runs, trouble, ready, load };
});
