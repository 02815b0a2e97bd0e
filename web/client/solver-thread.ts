import { proxy, wrap, type Remote } from 'comlink';
import { jobOf, type JobKind, type Jobs } from '#core/jobs';
import type { Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import type { Helper } from '../workers/solver';

/** A thread that does jobs. */
export interface Thread {
  run: Remote<Helper>['run'];
  stop: () => void;
  /** Rejects when the thread itself fails. */
  failed: Promise<never>;
}

/** Starts a thread. It loads its script by itself, so that the first job waits for that. */
export function startThread(): Thread {
  const worker = new Worker(new URL('../workers/solver.ts', import.meta.url), { type: 'module' });
  const { run } = wrap<Helper>(worker);
  const failed = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new Error('The thread has failed.')), { once: true }),
  );
  // A failure while nothing is requested is reported to the next caller.
  failed.catch(() => undefined);
  return { run, stop: () => worker.terminate(), failed };
}

/** A plain copy, whatever the page has wrapped a value in: only that can be sent to a thread. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/**
 * Has a thread do one job for a plan. Rejects if the job or the thread fails. `ticks` hears the progress, from 0 to 1.
 */
export const runJob = <K extends JobKind>(
  { run, failed }: Thread,
  kind: K,
  plan: Plan,
  library: Library,
  what: Jobs[K]['ask'],
  ticks: (share: number) => void,
): Promise<Jobs[K]['answer']> =>
  Promise.race([run(plain(jobOf(kind, plan, library, what)), proxy(ticks)), failed]) as Promise<Jobs[K]['answer']>;
