import { freeLengths } from './free';
import type { Fit } from './fit';
import { FIT_GRIDS, type FitOptions } from './options';
import type { Planned } from './planned';

const SECOND_MS = 1000;

/**
 * The coarsest grid, finer than the one that was fitted by, on which the target is met exactly: some hold or rest takes
 * what is left, to whole multiples of it and within its range. Undefined where nothing is left, or no such grid is known.
 */
export function exactGrid(planned: Planned, options: FitOptions, fit: Fit): FitOptions['gridSeconds'] | undefined {
  if (fit.kind !== 'fits') return undefined;
  const leftMs = fit.targetMs - fit.totalMs;
  if (leftMs <= 0) return undefined;
  const finer = FIT_GRIDS.filter((grid) => grid < options.gridSeconds).reverse();
  return finer.find((gridSeconds) => {
    const free = freeLengths(planned, { ...options, gridSeconds });
    return free.some(({ stepId, what, times, choices }) => {
      const fitted = fit.lengths.find(
        (one) => one.stepId === stepId && JSON.stringify(one.what) === JSON.stringify(what),
      );
      if (!fitted || what.kind === 'breath') return false;
      const wantedMs = fitted.to * SECOND_MS + leftMs / times;
      return choices.some(({ ms }) => ms === wantedMs);
    });
  });
}
