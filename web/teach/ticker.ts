const TICK_MS = 200;

/**
 * Calls `onTick` about five times a second until it is stopped: from a worker, which a tab in the background does not slow;
 * from the page until the worker ticks, and where it cannot be had. Whatever asks the clock at a tick does not count ticks.
 */
export function startTicker(onTick: () => void): () => void {
  const timer = setInterval(onTick, TICK_MS);
  let worker: Worker | undefined;
  try {
    worker = new Worker(new URL('./ticker-worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = () => {
      clearInterval(timer);
      onTick();
    };
  } catch {
    // The page ticks alone then.
  }
  return () => {
    clearInterval(timer);
    worker?.terminate();
  };
}
