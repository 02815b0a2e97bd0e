const TICK_MS = 200;
/** A tick that comes this soon after another is left out: page and worker do not tick at quite the same moments. */
const TOO_SOON_MS = 0.8 * TICK_MS;

/**
 * Calls `onTick` about five times a second until it is stopped: from the page, and from a worker wherever the page is
 * late, as in a tab in the background. Whatever asks the clock at a tick does not count ticks.
 */
export function startTicker(onTick: () => void): () => void {
  let lastMs = -Infinity;
  function tick(): void {
    const nowMs = performance.now();
    if (nowMs - lastMs < TOO_SOON_MS) return;
    lastMs = nowMs;
    onTick();
  }
  const timer = setInterval(tick, TICK_MS);
  let worker: Worker | undefined;
  try {
    worker = new Worker(new URL('../../workers/ticker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = tick;
  } catch {
    // The page ticks alone then.
  }
  return () => {
    clearInterval(timer);
    worker?.terminate();
  };
}
