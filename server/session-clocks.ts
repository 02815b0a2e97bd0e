import type { RunEvent } from '#core/run';

/** Sessions whose clocks are remembered at once; the one heard from longest ago is forgotten first. */
const MAX_SESSIONS = 50;

/**
 * The clocks of sessions under way, as the windows that lead them have them: devices differ, and whoever follows or
 * takes over goes by the clock the session began with. `now` is the server's clock in milliseconds since 1970 UTC. Kept
 * in memory: after a restart the next events from the leading window bring it back.
 */
export function sessionClocks(now: () => number) {
  const clocks = new Map<string, { window: string; behindMs: number }>();
  return {
    /** Takes note of what the clock of a session showed when these events were sent. */
    heard(runId: string, events: readonly RunEvent[], nowMs: number): void {
      const known = clocks.get(runId);
      const handover = events.findLast((event) => event.kind === 'led');
      const window = handover?.kind === 'led' ? handover.by : events.at(-1)?.window;
      if (window === undefined || (known && !handover && known.window !== window)) return;
      clocks.delete(runId);
      clocks.set(runId, { window, behindMs: now() - nowMs });
      const [oldest] = clocks.keys();
      if (clocks.size > MAX_SESSIONS && oldest !== undefined) clocks.delete(oldest);
    },
    /** The clock of a session now; null if nobody who leads it has been heard since the server started. */
    nowMs(runId: string): number | null {
      const known = clocks.get(runId);
      return known ? now() - known.behindMs : null;
    },
  };
}

export type SessionClocks = ReturnType<typeof sessionClocks>;
