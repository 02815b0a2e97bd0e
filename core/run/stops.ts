import type { Phase } from '#core/timeline';
import type { Run } from './run';

/**
 * Where "next" and "back" stop, as places in the queue as it is by now: the beginning of each step, of each second
 * side, of each breath set, and of a rest that was added.
 */
export function stops({ timeline, queue }: Pick<Run, 'timeline' | 'queue'>): number[] {
  const phaseAt = (at: number): Phase | undefined => queue[at] && timeline.phases[queue[at].phase];
  return [...queue.keys()].filter((at) => {
    const phase = phaseAt(at);
    return phase !== undefined && isStop(phase, phaseAt(at - 1), timeline.steps.at(-1)?.endPhase ?? 0);
  });
}

function isStop(phase: Phase, before: Phase | undefined, planned: number): boolean {
  if (!before || before.stepIndex !== phase.stepIndex) return true;
  if (phase.kind === 'switch' || phase.index >= planned) return true;
  return 'set' in phase && (!('set' in before) || before.set !== phase.set) && phase.kind !== 'quiet';
}

/** The stop after a place in the queue, or undefined when it is in the last stretch. */
export const nextStop = (run: Pick<Run, 'timeline' | 'queue'>, at: number): number | undefined =>
  stops(run).find((stop) => stop > at);

/** The stop a place in the queue belongs to, or the one before it when `fromStart` says that it has only just begun. */
export function previousStop(run: Pick<Run, 'timeline' | 'queue'>, at: number, fromStart: boolean): number {
  const before = stops(run).filter((stop) => stop <= at);
  return before.at(fromStart ? -2 : -1) ?? 0;
}
