import type { Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';
import type { DoneSpan, Run } from './run';
import type { Queue, QueueItem } from './queue';

type Led = Pick<Run, 'timeline' | 'queue' | 'spans'>;

/** The shortest second side, however much the first was cut. */
const MIN_SECOND_MS = 1000;

/** How long the first side of a step was held the last time it was led; a side that is begun again counts anew. */
function firstSideMs(timeline: Timeline, spans: readonly DoneSpan[], stepIndex: number): Ms {
  const held = new Map<number, Ms>();
  for (const { phase: index, activeMs } of spans) {
    const phase = timeline.phases[index];
    if (phase?.kind !== 'hold' || phase.stepIndex !== stepIndex || phase.turn !== 0) continue;
    for (const earlier of held.keys()) if (earlier >= index) held.delete(earlier);
    held.set(index, activeMs);
  }
  return [...held.values()].reduce((sum, ms) => sum + ms, 0);
}

/** How long a side of a step is in the plan. */
const plannedMs = (timeline: Timeline, stepIndex: number, turn: number): Ms =>
  timeline.phases.reduce(
    (sum, phase) =>
      phase.kind === 'hold' && phase.stepIndex === stepIndex && phase.turn === turn
        ? sum + phase.endMs - phase.startMs
        : sum,
    0,
  );

/** The items of the second side of the step under way that are not behind item `at`. */
function secondSideItems({ timeline, queue }: Led, at: number): { item: QueueItem; i: number }[] {
  const here = queue[at];
  const stepIndex = here && timeline.phases[here.phase]?.stepIndex;
  return queue.flatMap((item, i) => {
    const phase = timeline.phases[item.phase];
    return i >= at && phase?.kind === 'hold' && phase.stepIndex === stepIndex && phase.turn === 1 ? [{ item, i }] : [];
  });
}

/**
 * How much longer (below zero: shorter) the second side of the step under way would be, in milliseconds, if it were
 * stretched or cut by as much as the first side was. A difference that the plan has between the sides stays. 0 while
 * the first side is held, and where there is no second side to come. A second side of stages can only be matched before
 * it begins.
 */
export function secondSideGapMs(run: Led, at: number): Ms {
  const { timeline, queue, spans } = run;
  const here = queue[at] && timeline.phases[queue[at].phase];
  if (!here || (here.kind === 'hold' && (here.turn === 0 || (here.stage?.index ?? 0) > 0))) return 0;
  const comingMs = secondSideItems(run, at).reduce((sum, { item }) => sum + item.ms, 0);
  const hadMs = firstSideMs(timeline, spans, here.stepIndex);
  if (hadMs === 0 || comingMs === 0) return 0;
  const byMs = hadMs - plannedMs(timeline, here.stepIndex, 0);
  return Math.max(MIN_SECOND_MS, plannedMs(timeline, here.stepIndex, 1) + byMs) - comingMs;
}

/**
 * The queue with the second side of the step under way as much longer or shorter as the first was, its stages in
 * proportion.
 */
export function matchedSecondSide(run: Led & Pick<Run, 'cursor'>): Queue {
  const { queue, cursor } = run;
  const gapMs = secondSideGapMs(run, cursor.at);
  if (gapMs === 0) return queue;
  const items = secondSideItems(run, cursor.at);
  const comingMs = items.reduce((sum, { item }) => sum + item.ms, 0);
  let [seen, given] = [0, 0];
  const matched = new Map<number, Ms>();
  for (const { item, i } of items) {
    seen += item.ms;
    const upTo = Math.round(((comingMs + gapMs) * seen) / comingMs);
    matched.set(i, upTo - given);
    given = upTo;
  }
  return queue.map((item, i) => ({ ...item, ms: matched.get(i) ?? item.ms }));
}
