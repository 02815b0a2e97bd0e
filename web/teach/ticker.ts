const TICK_MS = 200;

/**
 * Calls `onTick` about five times a second until it is stopped: from a worker, which a tab in the background does not slow,
 * and from the page, for where a worker cannot be had. Whatever asks the clock at a tick does not count ticks.
 */
export function startTicker(onTick: () => void): () => void {
  const timer = setInterval(onTick, TICK_MS);
  let worker: Worker | undefined;
  try {
    worker = new Worker(new URL('./ticker-worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = onTick;
  } catch {
    // The page ticks alone then.
  }
  return () => {
    clearInterval(timer);
    worker?.terminate();
  };
}
