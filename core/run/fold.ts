import type { Phase, Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';
import { ANNOTATION_EVENTS, effectiveEvents } from './effective';
import type { RunEvent } from './events';
import {
  groupAround,
  phaseAt,
  plannedQueue,
  withLength,
  withLengths,
  withOpen,
  withRounds,
  withSwapped,
  type Queue,
} from './queue';
import type { Cursor, DoneSpan, Run } from './run';
import { matchedSecondSide } from './second-side';

/**
 * Lets the clock run on to `nowMs`: leads items to their ends one after the other. A clock that went backwards leads
 * nothing. Gives each finished item to `onDone`.
 */
export function advance(queue: Queue, cursor: Cursor, nowMs: Ms, onDone?: (span: DoneSpan) => void): Cursor {
  let { at, intoMs, clockMs, sinceMs } = cursor;
  let spare = Math.max(0, nowMs - clockMs);
  for (let item = queue[at]; item !== undefined; item = queue[at]) {
    const more = Math.max(0, item.ms - intoMs);
    if (item.open || spare < more) break;
    clockMs += more;
    spare -= more;
    onDone?.({ phase: item.phase, fromMs: sinceMs, toMs: clockMs, activeMs: intoMs + more });
    at++;
    intoMs = 0;
    sinceMs = clockMs;
  }
  return { at, intoMs: intoMs + spare, clockMs: clockMs + spare, sinceMs };
}

/** What was led up to the clock's moment, the stretch under way included. */
export function ledSpans({ queue, cursor, spans }: Run): readonly DoneSpan[] {
  const here = queue[cursor.at];
  if (!here || cursor.intoMs === 0) return spans;
  return [...spans, { phase: here.phase, fromMs: cursor.sinceMs, toMs: cursor.clockMs, activeMs: cursor.intoMs }];
}

/** Leaves the present item at the clock's moment, keeping what was led of it, and goes to another. */
function goTo(run: Run, at: number): Run {
  const { clockMs } = run.cursor;
  return { ...run, cursor: { at, intoMs: 0, clockMs, sinceMs: clockMs }, spans: ledSpans(run) };
}

function clockTo(run: Run, nowMs: Ms): Run {
  const atMs = Math.max(nowMs, run.cursor.clockMs);
  if (run.status === 'paused') {
    return { ...run, pausedMs: run.pausedMs + atMs - run.cursor.clockMs, cursor: { ...run.cursor, clockMs: atMs } };
  }
  if (run.status !== 'running') return run;
  const spans: DoneSpan[] = [];
  const cursor = advance(run.queue, run.cursor, atMs, (span) => spans.push(span));
  return { ...run, cursor, spans: spans.length > 0 ? [...run.spans, ...spans] : run.spans };
}

/** Where a cut leads: behind the whole hold or practice, but only behind one hold of the breath. */
function endOfCut(timeline: Timeline, queue: Queue, at: number): number {
  const here = queue[at];
  const held = here && timeline.phases[here.phase]?.kind === 'retention';
  return held ? at + 1 : groupAround(timeline, queue, at).end;
}

/** A run as it is at a moment: what was led until then is among its spans, as if something had happened then. */
export const runAt = (run: Run, nowMs: Ms): Run => clockTo(run, nowMs);

/** A still rest after the present group, in the place of the plan where that ends; its props stay as they are. */
function addRest(run: Run, ms: Ms): Run {
  const { timeline, queue, cursor } = run;
  const here = phaseAt(timeline, queue, cursor.at);
  if (!here) return run;
  const { end } = groupAround(timeline, queue, cursor.at);
  const last = phaseAt(timeline, queue, end - 1) ?? here;
  const { stepIndex, stepId, props } = here;
  const index = timeline.phases.length;
  const rest: Phase = {
    index,
    kind: 'rest',
    stepIndex,
    stepId,
    props,
    side: 'none',
    startMs: last.endMs,
    endMs: last.endMs,
  };
  return {
    ...run,
    timeline: { ...timeline, phases: [...timeline.phases, rest] },
    queue: queue.toSpliced(end, 0, { phase: index, ms }),
  };
}

/** Time from a moment, or from the last event after it, up to another does not count, as if it had been a pause. */
function excludeGap(before: Run, sinceMs: Ms, untilMs: Ms): Run {
  const fromMs = Math.max(sinceMs, before.cursor.clockMs);
  if (before.status !== 'running' || fromMs > untilMs) return clockTo(before, untilMs);
  const run = clockTo(before, fromMs);
  // What passes after all was led counts for nothing anyway.
  if (!run.queue[run.cursor.at]) return clockTo(run, untilMs);
  return { ...run, pausedMs: run.pausedMs + untilMs - fromMs, cursor: { ...run.cursor, clockMs: untilMs } };
}

/**
 * A run after one more event; the same run where the event makes no sense. It does not ask whether the event counts.
 */
export function applyEvent(before: Run, event: RunEvent): Run {
  if (ANNOTATION_EVENTS.has(event.kind) || event.kind === 'clockSet') return before;
  if (event.kind === 'started') {
    if (before.status !== 'ready') return before;
    const cursor = { at: 0, intoMs: 0, clockMs: event.atMs, sinceMs: event.atMs };
    return { ...before, status: 'running', startedAtMs: event.atMs, cursor };
  }
  if (before.status === 'ready' || before.status === 'ended') return before;
  if (event.kind === 'missed') return excludeGap(before, event.fromMs, Math.max(event.atMs, before.cursor.clockMs));
  const run = clockTo(before, event.atMs);
  const { timeline, queue, cursor } = run;
  const here = queue[cursor.at];
  switch (event.kind) {
    case 'paused':
      // After all was led there is nothing to pause.
      return here ? { ...run, status: 'paused' } : run;
    case 'resumed':
      return { ...run, status: 'running' };
    case 'jumped': {
      const target = queue.findIndex(({ phase }) => phase === event.phase);
      return target < 0 ? run : goTo(run, target);
    }
    case 'stretched':
      return here
        ? { ...run, queue: withLength(queue, cursor.at, Math.max(cursor.intoMs, here.ms + event.byMs)) }
        : run;
    case 'rounds':
      return { ...run, queue: withRounds(timeline, queue, cursor.at, event.by) };
    case 'cut':
      return here ? goTo(run, endOfCut(timeline, queue, cursor.at)) : run;
    case 'matched':
      return { ...run, queue: matchedSecondSide(run) };
    case 'opened':
      return here ? { ...run, queue: withOpen(queue, cursor.at, event.open) } : run;
    case 'swapped':
      return { ...run, queue: withSwapped(timeline, queue, cursor.at, ...event.steps) };
    case 'restAdded':
      return addRest(run, event.ms);
    case 'refitted':
    case 'measured':
      return { ...run, queue: withLengths(queue, cursor.at, cursor.intoMs, new Map(event.lengths)) };
    case 'noted': {
      const stepIndex = here ? (timeline.phases[here.phase]?.stepIndex ?? null) : null;
      return { ...run, notes: [...run.notes, { atMs: event.atMs, stepIndex, text: event.text }] };
    }
    case 'ended':
      return { ...goTo(run, cursor.at), status: 'ended', endedAtMs: run.cursor.clockMs };
    case 'led':
      return { ...run, ledBy: event.by };
    default:
      return run;
  }
}

/** A session before its first event. */
export const runBefore = (timeline: Timeline): Run => ({
  timeline,
  queue: plannedQueue(timeline),
  cursor: { at: 0, intoMs: 0, clockMs: 0, sinceMs: 0 },
  status: 'ready',
  startedAtMs: null,
  endedAtMs: null,
  pausedMs: 0,
  spans: [],
  notes: [],
  ledBy: '',
});

/**
 * Folds the events of a run, in order, over its timeline. Nothing ticks: the same events give the same run, whenever
 * and wherever it is asked. Events that make no sense where they stand (a second start, anything after the end) change
 * nothing; an event dated before the one in front of it counts as happening with it. Only `effectiveEvents` count.
 */
export const foldRun = (timeline: Timeline, events: readonly RunEvent[]): Run =>
  effectiveEvents(events).reduce(applyEvent, runBefore(timeline));
