import type { RunEvent, RunEventKind } from './events';

/** What is noted about a session, perhaps days later, by whoever looks back: it moves no clock. */
export const ANNOTATION_EVENTS: ReadonlySet<RunEventKind> = new Set(['rated', 'present', 'reviewed', 'corrected']);

/** What a window that no longer leads may still add. */
const ALLOWED_AFTER_HANDOVER: ReadonlySet<RunEventKind> = new Set([
  ...ANNOTATION_EVENTS,
  'started',
  'noted',
  'prompted',
]);

/** What no `undone` takes back. */
const FINAL_EVENTS: ReadonlySet<RunEventKind> = new Set(['started', 'led']);

/**
 * The events that arrived from the window that led at that place in their order. An event without a window, as older
 * sessions have them, is taken for late where it is dated before the present lead.
 */
function fromTheLeader(events: readonly RunEvent[]): RunEvent[] {
  const kindOf = new Map(events.map(({ id, kind }) => [id, kind]));
  let leader = '';
  let ledSinceMs = 0;
  return events.filter((event) => {
    if (event.kind === 'led') {
      [leader, ledSinceMs] = [event.by, event.atMs];
      return true;
    }
    const subject = event.kind === 'undone' ? kindOf.get(event.event) : event.kind;
    if (subject && ALLOWED_AFTER_HANDOVER.has(subject)) return true;
    return event.window === undefined ? event.atMs >= ledSinceMs : leader === '' || event.window === leader;
  });
}

/**
 * The events of a run that count, in their order: none that was undone, unless its undoing was undone as well, and none
 * that a window sent after another had taken the lead. Whatever reads the events of a run reads these. The order is the
 * server's; clocks of devices decide nothing.
 */
export function effectiveEvents(events: readonly RunEvent[]): RunEvent[] {
  const arrived = fromTheLeader(events);
  const kindOf = new Map(arrived.map(({ id, kind }) => [id, kind]));
  const undone = new Set<string>();
  for (const event of arrived.toReversed()) {
    if (event.kind !== 'undone' || undone.has(event.id)) continue;
    const kind = kindOf.get(event.event);
    if (kind && !FINAL_EVENTS.has(kind)) undone.add(event.event);
  }
  return arrived.filter(({ id }) => !undone.has(id));
}
