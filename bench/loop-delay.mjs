import { monitorEventLoopDelay } from 'node:perf_hooks';

/** Loaded into the server that is measured: tells how long its event loop was held at most since it was last asked. */
const RESOLUTION_MS = 1;
const NS_PER_MS = 1e6;
const histogram = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
histogram.enable();
process.on('message', () => {
  process.send?.({ heldMs: Math.max(0, histogram.max / NS_PER_MS - RESOLUTION_MS) });
  histogram.reset();
});
process.channel?.unref();
