import { Worker } from 'node:worker_threads';
import { doJob, type Job, type JobKind, type Jobs } from '#core/arrange';
import { HttpProblem } from '../http/problems';

/** Works out a job; throws an HttpProblem where it takes too long or too much is asked at once. */
export type Solve = <K extends JobKind>(job: Job<K>) => Promise<Jobs[K]['answer']>;

/** Where it is called, for tests. */
export const solveHere: Solve = (job) => Promise.resolve(doJob(job));

interface Limits {
  /** After so long it is given up. */
  mostMs: number;
  /** So many are worked out at once, and so many more may wait. */
  atOnce: number;
  waiting: number;
}

const USUAL: Limits = { mostMs: 30_000, atOnce: 2, waiting: 8 };

const busy = (): HttpProblem =>
  new HttpProblem(503, 'Busy', 'Too much is being worked out at once. Send this again in a moment.');
const tooLong = (mostMs: number): HttpProblem =>
  new HttpProblem(
    422,
    'Takes too long',
    `This was not worked out within ${Math.round(mostMs / 1000)} seconds. Pin or lock some steps, or ask for less.`,
  );

/** Works jobs out in threads of their own, from a file that is one of `worker.ts`, a few at once. */
export function solveBeside(file: URL, limits: Limits = USUAL): Solve {
  let atWork = 0;
  const queue: (() => void)[] = [];

  async function turn(): Promise<void> {
    if (atWork >= limits.atOnce) {
      if (queue.length >= limits.waiting) throw busy();
      await new Promise<void>((begin) => queue.push(begin));
    }
    atWork++;
  }

  function run<K extends JobKind>(job: Job<K>): Promise<Jobs[K]['answer']> {
    // While the server is run from its sources, so is the thread.
    const worker = new Worker(file, file.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {});
    return new Promise((resolve, reject) => {
      const end = setTimeout(() => reject(tooLong(limits.mostMs)), limits.mostMs);
      const settle = (done: () => void): void => {
        clearTimeout(end);
        done();
      };
      worker.once('message', (answer: Jobs[K]['answer']) => settle(() => resolve(answer)));
      worker.once('error', (error) => settle(() => reject(error)));
      worker.once('exit', () => settle(() => reject(new Error('The thread ended without an answer.'))));
      worker.postMessage(job);
    }).finally(() => void worker.terminate()) as Promise<Jobs[K]['answer']>;
  }

  return async (job) => {
    await turn();
    try {
      return await run(job);
    } finally {
      atWork--;
      queue.shift()?.();
    }
  };
}
