import { moveLines, type MoveInWords } from '#core/props';
import type { Timeline } from '#core/timeline';

/** What is done with the props on the way to a step; empty if nothing is. */
export function movesTo({ steps, phases }: Timeline, stepIndex: number): MoveInWords[] {
  const phase = phases[steps[stepIndex]?.firstPhase ?? -1];
  return phase?.kind === 'setup' && phase.stepIndex === stepIndex ? moveLines(phase.moves) : [];
}
