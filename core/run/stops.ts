import type { Phase, Timeline } from '#core/timeline';

/** Where "next" and "back" stop: the beginning of each step, of each second side, and of each breath set. */
export function stops(timeline: Timeline): number[] {
  return timeline.phases.filter((phase, i) => isStop(phase, timeline.phases[i - 1])).map(({ index }) => index);
}

function isStop(phase: Phase, before: Phase | undefined): boolean {
  if (!before || before.stepIndex !== phase.stepIndex) return true;
  if (phase.kind === 'switch') return true;
  return 'set' in phase && (!('set' in before) || before.set !== phase.set) && phase.kind !== 'quiet';
}

/** The stop after a phase, or undefined when it is in the last stretch. */
export const nextStop = (timeline: Timeline, phase: number): number | undefined =>
  stops(timeline).find((stop) => stop > phase);

/** The stop a phase belongs to, or the one before it when `fromStart` says that the stretch has only just begun. */
export function previousStop(timeline: Timeline, phase: number, fromStart: boolean): number {
  const before = stops(timeline).filter((stop) => stop <= phase);
  return before.at(fromStart ? -2 : -1) ?? 0;
}
