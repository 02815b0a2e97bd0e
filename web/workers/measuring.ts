import { expose } from 'comlink';
import type { Strains } from '#core/body';
import { measureSetUp, type ToMeasure } from '#core/caution';

/** Measures set-ups away from the page: each takes some ten milliseconds. */
const measurer = {
  measure: (wanted: readonly ToMeasure[]): Strains[] => wanted.map(measureSetUp),
};
export type Measurer = typeof measurer;

expose(measurer);
