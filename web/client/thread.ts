import { wrap, type Remote } from 'comlink';

/** A thread of its own that answers requests of the page. */
export interface Thread<T> {
  remote: Remote<T>;
  /** Rejects when the thread itself fails, or its script cannot be loaded: it never answers then. */
  failed: Promise<never>;
  stop: () => void;
}

/** Wraps a worker that was just started; `message` is what its failure says. */
export function threadOf<T>(worker: Worker, message: string): Thread<T> {
  const failed = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new Error(message)), { once: true }),
  );
  // A failure while nothing is requested is reported to the next caller.
  failed.catch(() => undefined);
  return { remote: wrap<T>(worker), failed, stop: () => worker.terminate() };
}

/**
 * A thread that is started with the first request and kept, and started anew after it failed. Gives the function that
 * sends a request: it rejects if the thread refuses or fails.
 */
export function keptThread<T>(start: () => Worker, message: string) {
  let thread: Thread<T> | undefined;

  function current(): Thread<T> {
    if (thread) return thread;
    const made = (thread = threadOf<T>(start(), message));
    made.failed.catch(() => {
      made.stop();
      if (thread === made) thread = undefined;
    });
    return made;
  }

  return <A>(request: (remote: Remote<T>) => unknown): Promise<A> => {
    const { remote, failed } = current();
    return Promise.race([request(remote) as Promise<A>, failed]);
  };
}

/** A plain copy, whatever the page has wrapped a value in: only that can be sent to a thread. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
