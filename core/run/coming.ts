import type { PropMove } from '#core/props';
import type { Phase, Timeline } from '#core/timeline';
import type { Ms } from '#core/time';
import type { Run } from './fold';
import { groupAround } from './queue';

/** Something that will be led: a side of a hold, a breath practice, a rest, a talk, a loosening between steps. */
export interface Coming {
  phase: Phase;
  lengthMs: Ms;
  /** Set-ups, changes, ways in and out and rebounds between what comes before it and it. */
  afterMs: Ms;
  /** What has to be done with the props on the way there. */
  moves: PropMove[];
}

const BETWEEN = new Set<Phase['kind']>(['setup', 'switch', 'enter', 'leave', 'rebound', 'loosen']);

/**
 * What comes after item `at` of the queue, in order, at most `most` of them. While a change is under way, what it leads
 * to comes first.
 */
export function comingUp(timeline: Timeline, { queue }: Run, at: number, most: number): Coming[] {
  const coming: Coming[] = [];
  const here = queue[at] && timeline.phases[queue[at].phase];
  let afterMs: Ms = 0;
  let moves: PropMove[] = here && 'moves' in here ? [...here.moves] : [];
  let group = groupAround(timeline, queue, at);
  for (let next = group.end; next < queue.length && coming.length < most; next = group.end) {
    group = groupAround(timeline, queue, next);
    const phase = timeline.phases[queue[group.first]?.phase ?? -1];
    if (!phase) break;
    if (BETWEEN.has(phase.kind)) {
      afterMs += group.totalMs;
      if ('moves' in phase) moves = [...moves, ...phase.moves];
      continue;
    }
    coming.push({ phase, lengthMs: group.totalMs, afterMs, moves });
    [afterMs, moves] = [0, []];
  }
  return coming;
}
