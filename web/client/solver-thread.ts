import { proxy } from 'comlink';
import { jobOf, type JobKind, type Jobs } from '#core/jobs';
import type { Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import type { Helper } from '../workers/solver';
import { plain, threadOf, type Thread } from './thread';

/** A thread that does jobs. */
export type SolverThread = Thread<Helper>;

/** Starts a thread. It loads its script by itself, so that the first job waits for that. */
export const startThread = (): SolverThread =>
  threadOf(new Worker(new URL('../workers/solver.ts', import.meta.url), { type: 'module' }), 'The thread has failed.');

/**
 * Has a thread do one job for a plan. Rejects if the job or the thread fails. `ticks` hears the progress, from 0 to 1.
 */
export const runJob = <K extends JobKind>(
  { remote, failed }: SolverThread,
  kind: K,
  plan: Plan,
  library: Library,
  what: Jobs[K]['ask'],
  ticks: (share: number) => void,
): Promise<Jobs[K]['answer']> =>
  Promise.race([remote.run(plain(jobOf(kind, plan, library, what)), proxy(ticks)), failed]) as Promise<
    Jobs[K]['answer']
  >;
