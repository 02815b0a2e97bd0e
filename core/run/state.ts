import type { Phase, Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';
import type { RunEvent } from './events';
import { advance, foldRun } from './fold';
import type { Run, RunStatus } from './run';
import { groupAround, roundsAround } from './queue';

/** A live session at one moment. All lengths in milliseconds, clock moments in milliseconds since 1970 UTC. */
export interface RunState {
  /** `over`: everything has been led, but the teacher has not ended the session. */
  status: RunStatus | 'over';
  /** Where in the queue; its length when over. */
  at: number;
  phase: Phase | null;
  intoMs: Ms;
  phaseMs: Ms;
  /**
   * The hold (all its stages), the whole breath practice, or the phase: how long it is and how much more is to come.
   */
  groupMs: Ms;
  groupMoreMs: Ms;
  groupIntoMs: Ms;
  /** It continues until it is ended by hand. */
  open: boolean;
  startedAtMs: Ms | null;
  /** The end by the plan, by the pace so far, and the difference (above zero: late). */
  plannedEndMs: Ms;
  expectedEndMs: Ms;
  lateMs: Ms;
  moreMs: Ms;
  /** The matching moment of the plan, for the ribbon's now line. */
  plannedAtMs: Ms;
  /** In a breath set: which of its rounds this is, from 1, and how many there are by now. */
  round: { number: number; of: number } | null;
}

function roundAt(run: Run, at: number): RunState['round'] {
  const starts = roundsAround(run.timeline, run.queue, at)?.starts;
  return starts ? { number: starts.findLastIndex((start) => start <= at) + 1, of: starts.length } : null;
}

/** The state at `nowMs` of a run that has been folded; nothing of the run is changed. */
export function stateAt(run: Run, nowMs: Ms): RunState {
  const { timeline } = run;
  const clockMs = Math.max(nowMs, run.cursor.clockMs);
  const cursor = run.status === 'running' ? advance(run.queue, run.cursor, clockMs) : run.cursor;
  const item = run.queue[cursor.at];
  const phase = item ? (timeline.phases[item.phase] as Phase) : null;
  const group = groupAround(timeline, run.queue, cursor.at);
  const laterMs = run.queue.slice(cursor.at + 1).reduce((sum, later) => sum + later.ms, 0);
  // What continues until it is ended may have gone on past its time.
  const hereMs = item ? Math.max(0, item.ms - cursor.intoMs) : 0;
  const moreMs = hereMs + laterMs;
  const plannedMs = phase ? phase.endMs - phase.startMs : 0;
  const into = item && item.ms > 0 ? Math.min(1, cursor.intoMs / item.ms) : 0;
  const startMs = run.startedAtMs ?? nowMs;
  const plannedEndMs = startMs + timeline.totals.totalMs;
  const overSince = cursor.clockMs - cursor.intoMs;
  const expectedEndMs = run.endedAtMs ?? (item ? (run.status === 'ready' ? nowMs : clockMs) + moreMs : overSince);
  return {
    status: item || run.status === 'ready' || run.status === 'ended' ? run.status : 'over',
    at: cursor.at,
    phase,
    intoMs: item ? cursor.intoMs : 0,
    phaseMs: item?.ms ?? 0,
    groupMs: group.totalMs,
    groupMoreMs: item ? Math.max(0, group.totalMs - group.beforeMs - cursor.intoMs) : 0,
    groupIntoMs: item ? group.beforeMs + cursor.intoMs : 0,
    open: item?.open ?? false,
    startedAtMs: run.startedAtMs,
    plannedEndMs,
    expectedEndMs,
    lateMs: expectedEndMs - plannedEndMs,
    moreMs,
    plannedAtMs: phase ? phase.startMs + Math.round(into * plannedMs) : timeline.totals.totalMs,
    round: roundAt(run, cursor.at),
  };
}

/**
 * When a session that was left running was over: when all would have been led that was to come after its last event, or
 * at that event where it was paused. Milliseconds since 1970 UTC.
 */
export function endOfLeftRunning(timeline: Timeline, events: readonly RunEvent[]): Ms {
  const run = foldRun(timeline, events);
  const lastMs = Math.max(run.cursor.clockMs, run.startedAtMs ?? 0);
  return run.status === 'running' ? stateAt(run, lastMs).expectedEndMs : lastMs;
}

/**
 * The state of a live session: a pure function of the plan's timeline, the events so far and the clock.
 * `nowMs` is the device's clock in milliseconds since 1970 UTC.
 */
export function runState(timeline: Timeline, events: readonly RunEvent[], nowMs: Ms): RunState {
  return stateAt(foldRun(timeline, events), nowMs);
}
