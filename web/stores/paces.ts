import { defineStore } from 'pinia';
import type { PaceOfRun } from '#core/record';
import { readPaces } from '../client/arrange';
import { keptList } from './kept-list';

/** How the latest runs went against their plans: what forecasts learn from. Read once, and again when a run has ended. */
export const usePaces = defineStore('paces', () => {
  const { list: runs, trouble, load, ready } = keptList<readonly PaceOfRun[]>(readPaces);
  return { runs, trouble, ready, load };
});
