import type { RunEvent } from '#core/run';

const WORTH_TELLING_MS = 2000;

/** A window is named by its device and, after a blank, its tab. */
const deviceOf = (window: string): string => window.replace(/ .*$/s, '');

/**
 * What is left out of this device's clock by what happened so far, in milliseconds. `me` is the name of this window.
 */
export const excludedMs = (events: readonly RunEvent[], me: string): number =>
  events.reduce((sum, event) => {
    const isOurs = event.window === undefined || deviceOf(event.window) === deviceOf(me);
    return event.kind === 'clockSet' && isOurs ? sum + event.byMs : sum;
  }, 0);

/**
 * What is left out of the machine's clock for a session that is taken up again: what was left out before, and more
 * where the clock was set back while nobody looked, so that the session never goes back behind what has happened.
 */
export function excludedGap(
  events: readonly RunEvent[],
  me: string,
  nowMs: number,
): { leftOutMs: number; setByMs: number } {
  const before = excludedMs(events, me);
  const lastMs = Math.max(0, ...events.map(({ atMs }) => atMs));
  const behindMs = nowMs - before - lastMs;
  if (behindMs >= -WORTH_TELLING_MS) return { leftOutMs: before, setByMs: 0 };
  return { leftOutMs: before + behindMs, setByMs: behindMs };
}
