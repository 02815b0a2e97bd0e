import Piscina from 'piscina';
import type { Job, JobKind, Jobs } from '#core/jobs';
import { HttpProblem } from '../http/problems';
import work from './worker';

/** What comes of a job: its answer, and of a timeline its text. */
type Answer<K extends JobKind> = K extends 'timeline' ? string : Jobs[K]['answer'];

/** Who waits for a job. */
export interface Waiting {
  /** Aborted when nobody waits any more: the connection is closed. */
  signal?: AbortSignal;
  /** Who asked, so that one does not take the place of all. */
  client?: string;
}

export interface Solver {
  /**
   * Works out a job. Throws an HttpProblem where it takes too long, needs too much memory, or too much is asked at
   * once.
   */
  solve<K extends JobKind>(job: Job<K>, waiting?: Waiting): Promise<Answer<K>>;
  close(): Promise<void>;
}

/** Where it is called, for tests. */
export const solveInline: Solver = {
  solve: <K extends JobKind>(job: Job<K>) => Promise.resolve(work(job) as Answer<K>),
  close: () => Promise.resolve(),
};

interface Limits {
  /** After so long a job is given up, from when it was asked for. */
  timeoutMs: number;
  /** So many are worked out at once, and so many more may wait. */
  threads: number;
  queue: number;
  /** So many of one client are worked out or wait: one, and one that waits. */
  perClient: number;
  /** What one thread may take, in MiB. */
  memoryMib: number;
}

const DEFAULTS: Limits = { timeoutMs: 30_000, threads: 2, queue: 8, perClient: 2, memoryMib: 512 };
/** A thread that has nothing to do is ended after so long. */
const IDLE_MS = 30_000;
const RETRY_S = 2;

const busy = (): HttpProblem =>
  new HttpProblem(
    503,
    'Busy',
    'Too much is being worked out at once. Send this again in a moment.',
    undefined,
    {},
    RETRY_S,
  );
const oneAtATime = (): HttpProblem =>
  new HttpProblem(
    429,
    'One at a time',
    'One of your jobs is being worked out and one is waiting. Send this again when they are done.',
    undefined,
    {},
    RETRY_S,
  );
const tooLong = (timeoutMs: number): HttpProblem =>
  new HttpProblem(
    422,
    'Takes too long',
    `This was not worked out within ${Math.round(timeoutMs / 1000)} seconds. Pin or lock some steps, or ask for less.`,
  );
const tooLarge = (): HttpProblem =>
  new HttpProblem(422, 'Too large', 'This needs more memory than there is for it. Ask for less, or split the plan.');
const abandoned = (): HttpProblem => new HttpProblem(499, 'Not wanted any more', 'Nobody waits for this any more.');

/** A pool of threads that work jobs out, from a file that is one of `worker.ts`. */
export function createSolver(file: URL, limits: Partial<Limits> = {}): Solver {
  const { timeoutMs, threads, queue, perClient, memoryMib } = { ...DEFAULTS, ...limits };
  const pool = new Piscina({
    filename: file.href,
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: memoryMib },
    // While the server is run from its sources, so is the thread.
    ...(file.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
  });
  /** How many jobs of each client are worked out or wait, and how many in total. */
  const running = new Map<string, number>();
  let all = 0;

  function problemOf(error: unknown, timeout: AbortSignal): unknown {
    const { code, name } = error as { code?: string; name?: string };
    if (name === 'AbortError') return timeout.aborted ? tooLong(timeoutMs) : abandoned();
    return code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooLarge() : error;
  }

  async function solve<K extends JobKind>(job: Job<K>, { signal, client = '' }: Waiting = {}): Promise<Answer<K>> {
    const before = running.get(client) ?? 0;
    if (before >= perClient) throw oneAtATime();
    if (all >= threads + queue) throw busy();
    running.set(client, before + 1);
    all++;
    const timeout = AbortSignal.timeout(timeoutMs);
    try {
      return (await pool.run(job, { signal: signal ? AbortSignal.any([signal, timeout]) : timeout })) as Answer<K>;
    } catch (error) {
      throw problemOf(error, timeout);
    } finally {
      all--;
      const left = (running.get(client) ?? 1) - 1;
      if (left > 0) running.set(client, left);
      else running.delete(client);
    }
  }

  return { solve, close: () => pool.destroy() };
}
