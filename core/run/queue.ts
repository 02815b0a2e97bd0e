import { sameGroup, type Phase, type Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';

/** One stretch still to be led or already led: a phase of the plan, with the length it has by now. */
export interface QueueItem {
  phase: number;
  ms: Ms;
  /** Goes on until it is ended by hand. */
  open?: true;
}

/** The stretches of a live session in order: the planned phases as stretched, cut and added to so far. */
export type Queue = readonly QueueItem[];

export const plannedQueue = (timeline: Timeline): Queue =>
  timeline.phases.map((phase) => ({ phase: phase.index, ms: phase.endMs - phase.startMs }));

/** A run of queue items that belong together: from `first` up to, not including, `end`; lengths in milliseconds. */
export interface Group {
  first: number;
  end: number;
  totalMs: Ms;
  /** Length of its items before the one asked about. */
  beforeMs: Ms;
}

/** The phase that an item of the queue leads; undefined past its ends. */
export const phaseAt = (timeline: Timeline, queue: Queue, at: number): Phase | undefined => {
  const item = queue[at];
  return item && timeline.phases[item.phase];
};

const phaseOf = (timeline: Timeline, item: QueueItem): Phase => timeline.phases[item.phase] as Phase;

/** The group around one item of the queue. */
export function groupAround(timeline: Timeline, queue: Queue, at: number): Group {
  const here = queue[at];
  if (!here) return { first: at, end: at, totalMs: 0, beforeMs: 0 };
  const phase = phaseOf(timeline, here);
  const belongs = (i: number): boolean => {
    const item = queue[i];
    return item !== undefined && sameGroup(phase, phaseOf(timeline, item));
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

/** Lets one item continue until it is ended by hand, or end when its time is over. */
export const withOpen = (queue: Queue, at: number, open: boolean): Queue =>
  queue.map((item, i) => (i === at ? { phase: item.phase, ms: item.ms, ...(open && { open: true as const }) } : item));

/**
 * Gives items from `at` on the lengths that are named for their phases; the present one never less than it had. What is
 * to come and gets no length is left out.
 */
export function withLengths(queue: Queue, at: number, intoMs: Ms, lengths: ReadonlyMap<number, Ms>): Queue {
  return queue.flatMap((item, i) => {
    const ms = i >= at ? lengths.get(item.phase) : undefined;
    if (ms === undefined) return item;
    if (i > at && ms === 0) return [];
    return { ...item, ms: i === at ? Math.max(intoMs, ms) : ms };
  });
}

/** The items of a step that is wholly to come after `at`: from, up to not including; undefined if it is not. */
function stepAhead(timeline: Timeline, queue: Queue, at: number, stepIndex: number): [number, number] | undefined {
  const stepOf = (i: number): number | undefined => queue[i] && phaseOf(timeline, queue[i]).stepIndex;
  const first = queue.findIndex((_, i) => stepOf(i) === stepIndex);
  if (first <= at || stepIndex === stepOf(at)) return undefined;
  let end = first;
  while (stepOf(end) === stepIndex) end++;
  return [first, end];
}

/** Exchanges two steps to come; the queue as it is where one of them is under way, led already, or not there. */
export function withSwapped(timeline: Timeline, queue: Queue, at: number, one: number, other: number): Queue {
  const [a, b] = [stepAhead(timeline, queue, at, one), stepAhead(timeline, queue, at, other)];
  if (!a || !b || one === other) return queue;
  const [[first, firstEnd], [second, secondEnd]] = a[0] < b[0] ? [a, b] : [b, a];
  return [
    ...queue.slice(0, first),
    ...queue.slice(second, secondEnd),
    ...queue.slice(firstEnd, second),
    ...queue.slice(first, firstEnd),
    ...queue.slice(secondEnd),
  ];
}

/** The rounds of one breath set in the queue: where each begins, and the item after the last. */
interface Rounds {
  starts: number[];
  end: number;
}

/**
 * The rounds of the breath set around item `at`, or null if no set is. A round begins where the planned phase goes
 * to another round, or back to an earlier phase (an added round is a copy).
 */
export function roundsAround(timeline: Timeline, queue: Queue, at: number): Rounds | null {
  const breathAt = (i: number) => {
    const phase = queue[i] && phaseOf(timeline, queue[i]);
    return phase && 'round' in phase && phase.kind !== 'quiet' ? phase : undefined;
  };
  const here = breathAt(at);
  if (!here) return null;
  const inSet = (i: number) => {
    const phase = breathAt(i);
    return phase?.stepIndex === here.stepIndex && phase.set === here.set ? phase : undefined;
  };
  let first = at;
  while (inSet(first - 1)) first--;
  const starts: number[] = [];
  let end = first;
  for (let phase = inSet(end), before = phase; phase; phase = inSet(++end)) {
    if (end === first || phase.round !== before?.round || phase.index <= before.index) starts.push(end);
    before = phase;
  }
  return { starts, end };
}

/**
 * Adds rounds to the breath set that item `at` belongs to, as copies of its last round after it; below zero takes
 * rounds away from the end, but never the present one or any before it.
 */
export function withRounds(timeline: Timeline, queue: Queue, at: number, by: number): Queue {
  const rounds = roundsAround(timeline, queue, at);
  if (!rounds) return queue;
  const { starts, end } = rounds;
  if (by > 0) {
    const copy = queue.slice(starts.at(-1), end);
    return queue.toSpliced(end, 0, ...Array.from({ length: by }, () => copy).flat());
  }
  const present = starts.findLastIndex((start) => start <= at);
  const from = starts[Math.max(present + 1, starts.length + by)];
  return from === undefined ? queue : queue.toSpliced(from, end - from);
}
