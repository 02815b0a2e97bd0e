import { defineStore } from 'pinia';
import type { PaceOfRun } from '#core/review';
import { readPaces } from '../client/paces';
import { cachedList } from '../sync/cached-list';

/**
 * How the latest runs went against their plans: what forecasts learn from. Read once, and again when a run has ended.
 */
export const usePaces = defineStore('paces', () => {
  const { list: runs, trouble, load, ready } = cachedList<readonly PaceOfRun[]>(readPaces);
  return { runs, trouble, ready, load };
});
