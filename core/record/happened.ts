import { foldRun, stateAt, type RunEvent, type RunEventKind } from '#core/run';
import type { Timeline } from '#core/timeline';
import type { Ms } from '#core/time';

/** Something that was done to a session while it was led. */
export interface Happened {
  event: RunEvent;
  /** The step that was under way. */
  stepIndex: number | null;
  /** For a pause: how long it was; null where it was not gone on from. */
  lengthMs: Ms | null;
}

const TOLD: ReadonlySet<RunEventKind> = new Set([
  'paused',
  'jumped',
  'stretched',
  'rounds',
  'cut',
  'matched',
  'opened',
  'swapped',
  'restAdded',
  'refitted',
  'missed',
  'clockSet',
]);

/** What was stretched, cut, skipped, exchanged and added, in order, with the step it was done in; not what was taken back. */
export function happenedIn(timeline: Timeline, events: readonly RunEvent[]): Happened[] {
  const undone = new Set(events.flatMap((event) => (event.kind === 'undone' ? [event.event] : [])));
  const standing = events.filter(({ id }) => !undone.has(id));
  return standing.flatMap((event, i) => {
    if (!TOLD.has(event.kind)) return [];
    const before = foldRun(timeline, standing.slice(0, i));
    const resumed = standing.slice(i).find(({ kind }) => kind === 'resumed' || kind === 'ended');
    return {
      event,
      stepIndex: stateAt(before, event.atMs).phase?.stepIndex ?? null,
      lengthMs: event.kind === 'paused' && resumed ? Math.max(0, resumed.atMs - event.atMs) : null,
    };
  });
}
