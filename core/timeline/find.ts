import type { Ms } from '#core/numbers';
import type { Phase } from './types';

/**
 * The index of the phase that holds at `atMs`: the last one that has begun. Clamped to the first and last phase;
 * -1 for an empty list. Binary search.
 */
export function phaseIndexAt(phases: readonly Pick<Phase, 'startMs'>[], atMs: Ms): number {
  let low = 0;
  let high = phases.length - 1;
  if (high < 0) return -1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((phases[middle] as Pick<Phase, 'startMs'>).startMs <= atMs) low = middle;
    else high = middle - 1;
  }
  return low;
}
