import type { Timeline } from '#core/timeline';
import type { RunEvent } from './events';
import { foldRun } from './fold';
import { stateAt } from './state';

/** The steps whose second side was given what the first had, whether that was taken back or not. */
export function matchedSteps(timeline: Timeline, events: readonly RunEvent[]): Set<number> {
  const steps = events.flatMap((event, i) => {
    if (event.kind !== 'matched') return [];
    return stateAt(foldRun(timeline, events.slice(0, i)), event.atMs).phase?.stepIndex ?? [];
  });
  return new Set(steps);
}
