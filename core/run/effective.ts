import type { RunEvent, RunEventKind } from './events';

/** Events that annotate a session, perhaps days later; they do not affect its clock. */
export const ANNOTATION_EVENTS: ReadonlySet<RunEventKind> = new Set(['rated', 'present', 'reviewed', 'corrected']);

/** Events that a window may still add after it has handed over the lead. */
const ALLOWED_AFTER_HANDOVER: ReadonlySet<RunEventKind> = new Set([
  ...ANNOTATION_EVENTS,
  'started',
  'noted',
  'prompted',
]);

/** Events that cannot be undone. */
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
 * The events of a run that count, in order: without undone ones (unless the undo was undone as well), and without those
 * that a window sent after another had taken the lead. All code reads these. The order is the server's; device clocks
 * decide nothing.
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
