import { REACHED } from '../client/http';

/** How long to wait before each new try, in milliseconds; the last one from then on. */
const WAITS_MS = [2000, 5000, 10_000, 30_000] as const;

/** Tries something again after longer and longer waits, and at once when the line or the server is back. */
export interface Retry {
  /** Tries again after the next wait. */
  later(): void;
  /** No try is due any more, and the next failure starts with the shortest wait. */
  reset(): void;
  /** Nothing is tried any more. */
  stop(): void;
}

export function retrying(again: () => void): Retry {
  let failures = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const now = (): void => {
    if (timer === undefined) return;
    clearTimeout(timer);
    timer = undefined;
    again();
  };
  const listening = 'addEventListener' in globalThis;
  if (listening) for (const event of ['online', REACHED]) globalThis.addEventListener(event, now);
  return {
    later() {
      // One that is due already stays as it is: what was tried in between does not put it off.
      timer ??= setTimeout(now, WAITS_MS[Math.min(failures++, WAITS_MS.length - 1)]);
    },
    reset() {
      failures = 0;
      clearTimeout(timer);
      timer = undefined;
    },
    stop() {
      clearTimeout(timer);
      timer = undefined;
      if (listening) for (const event of ['online', REACHED]) globalThis.removeEventListener(event, now);
    },
  };
}
