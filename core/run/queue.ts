import type { Phase, Timeline } from '#core/timeline';
import type { Ms } from '#core/time';

/** One stretch still to be led or already led: a phase of the plan, with the length it has by now. */
export interface QueueItem {
  phase: number;
  ms: Ms;
}

/** The stretches of a live session in order: the planned phases as stretched, cut and added to so far. */
export type Queue = readonly QueueItem[];

export const plannedQueue = (timeline: Timeline): Queue =>
  timeline.phases.map((phase) => ({ phase: phase.index, ms: phase.endMs - phase.startMs }));

/** What a teacher thinks of as one thing: all stages of one side of a hold, a whole breath practice, or one phase. */
function groupKey(phase: Phase): string {
  switch (phase.kind) {
    case 'hold':
      return `hold ${phase.stepIndex} ${phase.turn}`;
    case 'in':
    case 'holdFull':
    case 'out':
    case 'holdEmpty':
    case 'ownPace':
    case 'quiet':
      return `breath ${phase.stepIndex}`;
    default:
      return `phase ${phase.index}`;
  }
}

/** A run of queue items that belong together: from `first` up to, not including, `end`; lengths in milliseconds. */
export interface Group {
  first: number;
  end: number;
  totalMs: Ms;
  /** Length of its items before the one asked about. */
  beforeMs: Ms;
}

const phaseOf = (timeline: Timeline, item: QueueItem): Phase => timeline.phases[item.phase] as Phase;

/** The group around one item of the queue. */
export function groupAround(timeline: Timeline, queue: Queue, at: number): Group {
  const here = queue[at];
  if (!here) return { first: at, end: at, totalMs: 0, beforeMs: 0 };
  const key = groupKey(phaseOf(timeline, here));
  const belongs = (i: number): boolean => {
    const item = queue[i];
    return item !== undefined && groupKey(phaseOf(timeline, item)) === key;
  };
  let [first, end, beforeMs] = [at, at + 1, 0];
  while (belongs(first - 1)) beforeMs += queue[--first]?.ms ?? 0;
  let totalMs = beforeMs + here.ms;
  while (belongs(end)) totalMs += queue[end++]?.ms ?? 0;
  return { first, end, totalMs, beforeMs };
}

/** Gives one item another length. */
export const withLength = (queue: Queue, at: number, ms: Ms): Queue =>
  queue.map((item, i) => (i === at ? { ...item, ms } : item));

/**
 * Adds rounds to the breath set that item `at` belongs to, as copies of its last round after it; below zero takes
 * rounds away from the end, but never the present one or any before it.
 */
export function withRounds(timeline: Timeline, queue: Queue, at: number, by: number): Queue {
  const here = queue[at] && phaseOf(timeline, queue[at]);
  if (!here || !('round' in here) || here.kind === 'quiet') return queue;
  const inSet = (item: QueueItem): boolean => {
    const phase = phaseOf(timeline, item);
    return 'round' in phase && phase.kind !== 'quiet' && phase.stepIndex === here.stepIndex && phase.set === here.set;
  };
  const rounds = roundStarts(timeline, queue, at, inSet);
  const present = rounds.findLastIndex((start) => start <= at);
  const last = rounds.at(-1) ?? at;
  let end = last;
  while (queue[end] && inSet(queue[end] as QueueItem)) end++;
  if (by > 0) {
    const copy = queue.slice(last, end);
    return queue.toSpliced(end, 0, ...Array.from({ length: by }, () => copy).flat());
  }
  const from = rounds[Math.max(present + 1, rounds.length + by)];
  return from === undefined ? queue : queue.toSpliced(from, end - from);
}

/**
 * Where the rounds of the set around `at` begin in the queue. A round begins where the planned phase goes to another
 * round, or back to an earlier phase (an added round is a copy).
 */
export function roundStarts(
  timeline: Timeline,
  queue: Queue,
  at: number,
  inSet: (item: QueueItem) => boolean,
): number[] {
  let first = at;
  while (first > 0 && inSet(queue[first - 1] as QueueItem)) first--;
  const starts: number[] = [];
  let before: { round: number; index: number } | undefined;
  for (let i = first; i < queue.length && inSet(queue[i] as QueueItem); i++) {
    const phase = phaseOf(timeline, queue[i] as QueueItem) as Phase & { round: number };
    if (!before || phase.round !== before.round || phase.index <= before.index) starts.push(i);
    before = { round: phase.round, index: phase.index };
  }
  return starts;
}
