import type { RunEvent } from '#core/run';

const WORTH_TELLING_MS = 2000;

/** What is left out of the machine's clock by what happened so far, in milliseconds. */
export const leftOutInAll = (events: readonly RunEvent[]): number =>
  events.reduce((sum, event) => (event.kind === 'clockSet' ? sum + event.byMs : sum), 0);

/**
 * What is left out of the machine's clock for a session that is taken up again: what was left out before, and more where
 * the clock was set back while nobody looked, so that the session never goes back behind what has happened.
 */
export function leftOutOf(events: readonly RunEvent[], nowMs: number): { leftOutMs: number; setByMs: number } {
  const before = leftOutInAll(events);
  const lastMs = Math.max(0, ...events.map(({ atMs }) => atMs));
  const behindMs = nowMs - before - lastMs;
  if (behindMs >= -WORTH_TELLING_MS) return { leftOutMs: before, setByMs: 0 };
  return { leftOutMs: before + behindMs, setByMs: behindMs };
}
