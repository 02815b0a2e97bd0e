import type { Strains } from '#core/body';
import type { ToMeasure } from '#core/caution';
import type { Measurer } from '../workers/measuring';
import { keptThread, plain } from './thread';

const ask = keptThread<Measurer>(
  () => new Worker(new URL('../workers/measuring.ts', import.meta.url), { type: 'module' }),
  'The thread that measures set-ups has failed.',
);

/** Measures set-ups in a thread of their own, started with the first. Rejects if the thread fails. */
export const measureSetUps = (wanted: readonly ToMeasure[]): Promise<Strains[]> =>
  ask((measurer) => measurer.measure(plain(wanted) as ToMeasure[]));
