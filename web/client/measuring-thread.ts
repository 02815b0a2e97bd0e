import { wrap, type Remote } from 'comlink';
import type { Strains } from '#core/body';
import type { ToMeasure } from '#core/caution';
import type { Measurer } from '../workers/measuring';

let thread: { measurer: Remote<Measurer>; failed: Promise<never> } | undefined;

function theThread(): NonNullable<typeof thread> {
  if (thread) return thread;
  const worker = new Worker(new URL('../workers/measuring.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) =>
    worker.addEventListener(
      'error',
      () => {
        worker.terminate();
        thread = undefined;
        reject(new Error('The thread that measures set-ups has failed.'));
      },
      { once: true },
    ),
  );
  failed.catch(() => undefined);
  return (thread = { measurer: wrap<Measurer>(worker), failed });
}

/** Measures set-ups in a thread of their own, started with the first. Rejects if the thread fails. */
export function measureSetUps(wanted: readonly ToMeasure[]): Promise<Strains[]> {
  const { measurer, failed } = theThread();
  // Plain values, whatever the page has wrapped them in.
  const plain = JSON.parse(JSON.stringify(wanted)) as ToMeasure[];
  return Promise.race([measurer.measure(plain), failed]);
}
