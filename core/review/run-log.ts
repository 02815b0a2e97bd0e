import {
  applyEvent,
  effectiveEvents,
  runAt,
  runBefore,
  stateAt,
  type Run,
  type RunEvent,
  type RunEventKind,
} from '#core/run';
import type { Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';

/** Something that was done to a session while it was led. */
export interface RunLogEntry {
  event: RunEvent;
  /** The step that was under way. */
  stepIndex: number | null;
  /** For a pause: how long it was; null if it was not gone on from. */
  lengthMs: Ms | null;
}

const LISTED: ReadonlySet<RunEventKind> = new Set([
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

/** Whether an event made a difference to a run, besides the time that went by until then. */
function madeADifference(before: Run, after: Run, event: RunEvent): boolean {
  if (event.kind === 'clockSet') return before.status === 'running' || before.status === 'paused';
  const sense = ({ status, queue, cursor, pausedMs, spans }: Run): string =>
    JSON.stringify([status, queue, cursor, pausedMs, spans.length]);
  return sense(runAt(before, event.atMs)) !== sense(after);
}

/**
 * What was stretched, cut, skipped, exchanged and added, in order, with the step it was done in. Not what was undone,
 * and not what changed nothing.
 */
export function runLog(timeline: Timeline, events: readonly RunEvent[]): RunLogEntry[] {
  const effective = effectiveEvents(events);
  const happened: RunLogEntry[] = [];
  let run = runBefore(timeline);
  for (const [i, event] of effective.entries()) {
    const before = run;
    run = applyEvent(before, event);
    if (!LISTED.has(event.kind) || !madeADifference(before, run, event)) continue;
    const resumed = effective.slice(i).find(({ kind }) => kind === 'resumed' || kind === 'ended');
    happened.push({
      event,
      stepIndex: stateAt(before, event.atMs).phase?.stepIndex ?? null,
      lengthMs: event.kind === 'paused' && resumed ? Math.max(0, resumed.atMs - event.atMs) : null,
    });
  }
  return happened;
}
