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

/** Lets `new Worker` start fake solvers. `hold` keeps jobs from being done until the promise it gives is resolved. */
export function fakeSolvers(hold: () => Promise<void> | undefined = () => undefined): {
  started: FakeSolver[];
  restore: () => void;
} {
  const started: FakeSolver[] = [];
  const before = Object.getOwnPropertyDescriptor(globalThis, 'Worker');

  class FakeWorker extends EventTarget {
    readonly #page: MessagePort;
    readonly #inside: MessagePort;
    readonly #solver: FakeSolver;

    constructor() {
      super();
      const { port1, port2 } = new MessageChannel();
      [this.#page, this.#inside] = [port1, port2];
      this.#solver = { jobs: [], isEnded: false, fail: () => this.dispatchEvent(new Event('error')) };
      started.push(this.#solver);
      const run = async <K extends JobKind>(
        job: Job<K>,
        ticks: (share: number) => void,
      ): Promise<Jobs[K]['answer']> => {
        this.#solver.jobs.push(job.kind);
        await hold();
        return doJob(job, ticks);
      };
      expose({ run }, port2 as unknown as Endpoint);
      port1.on('message', (data: unknown) => {
        if (!this.#solver.isEnded) this.dispatchEvent(Object.assign(new Event('message'), { data }));
      });
      port1.start();
      port1.unref();
      port2.unref();
    }
    postMessage(message: unknown, transfer: MessagePort[] = []): void {
      // A worker that has ended is written to in vain; it does not refuse.
      if (!this.#solver.isEnded) this.#page.postMessage(message, transfer);
    }
    terminate(): void {
      this.#solver.isEnded = true;
      this.#page.close();
      this.#inside.close();
    }
  }
  Object.defineProperty(globalThis, 'Worker', { configurable: true, writable: true, value: FakeWorker });
  return {
    started,
    restore: () => {
      if (before) Object.defineProperty(globalThis, 'Worker', before);
      else Reflect.deleteProperty(globalThis, 'Worker');
    },
  };
}
