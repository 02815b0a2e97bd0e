import { movesSaid, type MoveSaid } from '#core/props';
import type { Timeline } from '#core/timeline';

/** What is done with the props on the way to a step; empty where nothing is. */
export function movesTo({ steps, phases }: Timeline, stepIndex: number): MoveSaid[] {
  const phase = phases[steps[stepIndex]?.firstPhase ?? -1];
  return phase?.kind === 'setup' && phase.stepIndex === stepIndex ? movesSaid(phase.moves) : [];
}
