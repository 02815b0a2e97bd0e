import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { expose, type Endpoint } from 'comlink';
import { doJob, type Job, type JobKind, type Jobs } from '#core/jobs';

/** A worker that stands in for the solver’s: it does the real jobs, and gets and gives only what can be cloned. */
export interface FakeSolver {
  /** The kinds of the jobs it was given, in order. */
  jobs: JobKind[];
  isEnded: boolean;
  /** Its script fails: nothing it was asked is answered any more. */
  fail: () => void;
}

/**
 * Lets `new Worker` start workers that stand in for real ones: what they are asked and what they answer is cloned or
 * handed over as between threads. `inside` gives what a worker that just started answers with; `fail` lets its script
 * fail, and `ended` hears that it was stopped.
 */
export function fakeWorkers(inside: (fail: () => void) => { answers: object; ended?: () => void }): () => void {
  const before = Object.getOwnPropertyDescriptor(globalThis, 'Worker');

  class FakeWorker extends EventTarget {
    readonly #page: MessagePort;
    readonly #inside: MessagePort;
    readonly #ended: () => void;
    #isEnded = false;

    constructor() {
      super();
      const { port1, port2 } = new MessageChannel();
      [this.#page, this.#inside] = [port1, port2];
      const { answers, ended } = inside(() => this.dispatchEvent(new Event('error')));
      this.#ended = () => ended?.();
      expose(answers, port2 as unknown as Endpoint);
      port1.on('message', (data: unknown) => {
        if (!this.#isEnded) this.dispatchEvent(Object.assign(new Event('message'), { data }));
      });
      port1.start();
      port1.unref();
      port2.unref();
    }
    postMessage(message: unknown, transfer: MessagePort[] = []): void {
      // A worker that has ended is written to in vain; it does not refuse.
      if (!this.#isEnded) this.#page.postMessage(message, transfer);
    }
    terminate(): void {
      this.#isEnded = true;
      this.#ended();
      this.#page.close();
      this.#inside.close();
    }
  }
  Object.defineProperty(globalThis, 'Worker', { configurable: true, writable: true, value: FakeWorker });
  return () => {
    if (before) Object.defineProperty(globalThis, 'Worker', before);
    else Reflect.deleteProperty(globalThis, 'Worker');
  };
}

/** Lets `new Worker` start fake solvers. `hold` keeps jobs from being done until the promise it gives is resolved. */
export function fakeSolvers(hold: () => Promise<void> | undefined = () => undefined): {
  started: FakeSolver[];
  restore: () => void;
} {
  const started: FakeSolver[] = [];
  const restore = fakeWorkers((fail) => {
    const solver: FakeSolver = { jobs: [], isEnded: false, fail };
    started.push(solver);
    const run = async <K extends JobKind>(job: Job<K>, ticks: (share: number) => void): Promise<Jobs[K]['answer']> => {
      solver.jobs.push(job.kind);
      await hold();
      return doJob(job, ticks);
    };
    return { answers: { run }, ended: () => (solver.isEnded = true) };
  });
  return { started, restore };
}
