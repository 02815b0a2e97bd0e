import { propMoves, type PropMove } from '#core/props';
import type { Phase } from '#core/timeline';
import type { Ms } from '#core/numbers';
import type { Run } from './run';
import { groupAround, phaseAt } from './queue';

/** A coming stretch: a side of a hold, a breath practice, a rest, a talk, a loosening between steps. */
export interface Coming {
  phase: Phase;
  lengthMs: Ms;
  /** Set-ups, changes, getting in and coming out and rebounds between what comes before it and it. */
  afterMs: Ms;
  /** The prop moves before it. */
  moves: PropMove[];
}

const BETWEEN = new Set<Phase['kind']>(['setup', 'switch', 'enter', 'leave', 'rebound', 'loosen']);

/**
 * What comes after item `at` of the queue, in order, at most `most` of them. While a change is under way, what it leads
 * to comes first.
 */
export function comingUp({ timeline, queue }: Run, at: number, most: number): Coming[] {
  /**
   * What is to be done at a set-up or change: as planned, or from what lies there where the order is another by now.
   */
  const movesAt = (i: number, phase: Phase): readonly PropMove[] => {
    if (!('moves' in phase)) return [];
    const before = phaseAt(timeline, queue, i - 1);
    const asPlanned = before === undefined || before.index === phase.index - 1;
    return asPlanned ? phase.moves : propMoves(before.props, phase.props);
  };
  const coming: Coming[] = [];
  const here = phaseAt(timeline, queue, at);
  let afterMs: Ms = 0;
  let moves: PropMove[] = here ? [...movesAt(at, here)] : [];
  let group = groupAround(timeline, queue, at);
  for (let next = group.end; next < queue.length && coming.length < most; next = group.end) {
    group = groupAround(timeline, queue, next);
    const phase = phaseAt(timeline, queue, group.first);
    if (!phase) break;
    if (BETWEEN.has(phase.kind)) {
      afterMs += group.totalMs;
      moves = [...moves, ...movesAt(group.first, phase)];
      continue;
    }
    coming.push({ phase, lengthMs: group.totalMs, afterMs, moves });
    [afterMs, moves] = [0, []];
  }
  return coming;
}

/** The steps that are wholly to come after item `at`, by their places in the plan, in the order they have by now. */
export function stepsToCome({ timeline, queue }: Run, at: number): number[] {
  const stepOf = (i: number): number | undefined => queue[i] && timeline.phases[queue[i].phase]?.stepIndex;
  const steps = queue.slice(at).map((_, i) => stepOf(at + i));
  return [...new Set(steps)].filter((step): step is number => step !== undefined && step !== stepOf(at));
}
