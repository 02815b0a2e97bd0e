import type { Phase, Timeline } from '#core/timeline';
import type { Ms } from '#core/time';
import type { RunEvent } from './events';
import {
  groupAround,
  plannedQueue,
  withLength,
  withLengths,
  withOpen,
  withRounds,
  withSwapped,
  type Queue,
  type QueueItem,
} from './queue';

/** A stretch of a phase that was really led: when by the clock, and how long without the pauses in it. */
export interface DoneSpan {
  phase: number;
  fromMs: Ms;
  toMs: Ms;
  activeMs: Ms;
}

export type RunStatus = 'ready' | 'running' | 'paused' | 'ended';

/** Where a session is in its queue. `at` equals the queue's length when everything has been led. */
export interface Cursor {
  at: number;
  /** Milliseconds of the item already led. */
  intoMs: Ms;
  /** The moment by the clock that `intoMs` speaks of. */
  clockMs: Ms;
  /** When the present item began by the clock. */
  sinceMs: Ms;
}

/** A session after its events: everything `runState` needs besides the present moment. */
export interface Run {
  /** The plan's timeline; rests that were added stand behind its own phases. */
  timeline: Timeline;
  queue: Queue;
  cursor: Cursor;
  status: RunStatus;
  startedAtMs: Ms | null;
  endedAtMs: Ms | null;
  pausedMs: Ms;
  spans: readonly DoneSpan[];
  notes: readonly { atMs: Ms; stepIndex: number | null; text: string }[];
  /** The window that leads it; empty where none has said so. */
  ledBy: string;
}

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

/** Milliseconds a side of a step was held so far. */
export function heldMs(timeline: Timeline, spans: readonly DoneSpan[], stepIndex: number, turn: number): Ms {
  return spans.reduce((sum, { phase: index, activeMs }) => {
    const phase = timeline.phases[index];
    return phase?.kind === 'hold' && phase.stepIndex === stepIndex && phase.turn === turn ? sum + activeMs : sum;
  }, 0);
}

/** The items of the second side of the step under way that are not behind item `at`. */
function secondSideItems(timeline: Timeline, queue: Queue, at: number): { item: QueueItem; i: number }[] {
  const here = queue[at];
  const stepIndex = here && timeline.phases[here.phase]?.stepIndex;
  return queue.flatMap((item, i) => {
    const phase = timeline.phases[item.phase];
    return i >= at && phase?.kind === 'hold' && phase.stepIndex === stepIndex && phase.turn === 1 ? [{ item, i }] : [];
  });
}

/**
 * How much longer (below zero: shorter) the second side of the step under way would be, in milliseconds, if it were given
 * what the first side really had; 0 while the first side is held, and where there is no second side to come. A second
 * side of stages can only be matched before it begins.
 */
export function secondSideGapMs({ timeline, queue, spans }: Pick<Run, 'timeline' | 'queue' | 'spans'>, at: number): Ms {
  const here = queue[at] && timeline.phases[queue[at].phase];
  if (!here || (here.kind === 'hold' && (here.turn === 0 || (here.stage?.index ?? 0) > 0))) return 0;
  const comingMs = secondSideItems(timeline, queue, at).reduce((sum, { item }) => sum + item.ms, 0);
  const hadMs = heldMs(timeline, spans, here.stepIndex, 0);
  return hadMs === 0 || comingMs === 0 ? 0 : hadMs - comingMs;
}

/** The second side's items take, in proportion, what the first side really had. */
function matchSecondSide(run: Run): Queue {
  const { timeline, queue, cursor } = run;
  const gapMs = secondSideGapMs(run, cursor.at);
  if (gapMs === 0) return queue;
  const items = secondSideItems(timeline, queue, cursor.at);
  const planned = items.reduce((sum, { item }) => sum + item.ms, 0);
  const had = planned + gapMs;
  let [seen, given] = [0, 0];
  const matched = new Map<number, Ms>();
  for (const { item, i } of items) {
    seen += item.ms;
    const upTo = Math.round((had * seen) / planned);
    matched.set(i, upTo - given);
    given = upTo;
  }
  return queue.map((item, i) => ({ ...item, ms: matched.get(i) ?? item.ms }));
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
  const here = queue[cursor.at] && timeline.phases[queue[cursor.at]!.phase];
  if (!here) return run;
  const { end } = groupAround(timeline, queue, cursor.at);
  const last = timeline.phases[queue[end - 1]!.phase] ?? here;
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

/** Time from a moment up to another does not count, as if it had been a pause. */
function miss(before: Run, fromMs: Ms, untilMs: Ms): Run {
  if (before.status !== 'running' || fromMs < before.cursor.clockMs || fromMs > untilMs)
    return clockTo(before, untilMs);
  const run = clockTo(before, fromMs);
  return { ...run, pausedMs: run.pausedMs + untilMs - fromMs, cursor: { ...run.cursor, clockMs: untilMs } };
}

/** What is said of a session, perhaps days later: it moves no clock. */
const SAID_OF_IT: ReadonlySet<RunEvent['kind']> = new Set(['rated', 'present', 'reviewed', 'corrected', 'clockSet']);

function take(before: Run, event: RunEvent): Run {
  if (SAID_OF_IT.has(event.kind)) return before;
  if (event.kind === 'started') {
    if (before.status !== 'ready') return before;
    const cursor = { at: 0, intoMs: 0, clockMs: event.atMs, sinceMs: event.atMs };
    return { ...before, status: 'running', startedAtMs: event.atMs, cursor };
  }
  if (before.status === 'ready' || before.status === 'ended') return before;
  if (event.kind === 'missed') return miss(before, event.fromMs, Math.max(event.atMs, before.cursor.clockMs));
  const run = clockTo(before, event.atMs);
  const { timeline, queue, cursor } = run;
  const here = queue[cursor.at];
  switch (event.kind) {
    case 'paused':
      return { ...run, status: 'paused' };
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
      return { ...run, queue: matchSecondSide(run) };
    case 'opened':
      return here ? { ...run, queue: withOpen(queue, cursor.at, event.open) } : run;
    case 'swapped':
      return { ...run, queue: withSwapped(timeline, queue, cursor.at, ...event.steps) };
    case 'restAdded':
      return addRest(run, event.ms);
    case 'refitted':
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

/** What may come late from a window that no longer leads, and is kept all the same. */
const KEPT_WHEN_LATE: ReadonlySet<RunEvent['kind']> = new Set(['started', 'noted', 'rated', 'present', 'prompted']);

/**
 * The events that count: none that was taken back, and none that happened before a change of the lead but arrived after it,
 * because the session had gone on without it by then.
 */
function standing(events: readonly RunEvent[]): RunEvent[] {
  const undone = new Set(events.flatMap((event) => (event.kind === 'undone' ? [event.event] : [])));
  let ledSinceMs: Ms = 0;
  return events.filter((event) => {
    if (event.kind === 'led') ledSinceMs = Math.max(ledSinceMs, event.atMs);
    if (event.kind !== 'started' && undone.has(event.id)) return false;
    return event.atMs >= ledSinceMs || KEPT_WHEN_LATE.has(event.kind);
  });
}

/**
 * Folds the events of a run, in order, over its timeline. Nothing ticks: the same events give the same run, whenever
 * and wherever it is asked. Events that make no sense where they stand (a second start, anything after the end) change
 * nothing; an event dated before the one in front of it counts as happening with it. What was taken back counts as if it
 * had not happened.
 */
export function foldRun(timeline: Timeline, events: readonly RunEvent[]): Run {
  const ready: Run = {
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
  };
  return standing(events).reduce(take, ready);
}
