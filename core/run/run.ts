import type { Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';
import type { Queue } from './queue';

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
  /** The window that leads it; empty if none has. */
  ledBy: string;
}
