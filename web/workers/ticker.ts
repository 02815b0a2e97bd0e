/** Ticks from beside the page: a tab in the background, or a busy page, does not slow it. */
const TICK_MS = 200;

setInterval(() => postMessage('tick'), TICK_MS);
