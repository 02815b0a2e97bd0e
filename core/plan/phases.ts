import { phasesOfPractice, phasesWithin } from '#core/breath';
import { toMs, type Seconds } from '#core/numbers';
import type { HoldSides, Step } from './step';

/**
 * How many phases a plan unfolds into at most. A class of three hours in which every second is a phase of its own has
 * 10,800; with more than this, compiling and drawing a plan would take longer than anybody waits.
 */
export const MAX_PHASES = 12_000;

/** Set-up, getting in and coming out, change of sides, rebound and counterpose. */
const CHANGES_PER_TURN = 6;

function longestSide(sides: HoldSides): Seconds {
  if (!('length' in sides)) return sides.seconds;
  const { length } = sides;
  return length.kind === 'even' ? length.seconds : Math.max(length.left, length.right);
}

/** How many phases a step unfolds into at most, those of a breath inside it included, without unfolding it. */
export function phasesOfStep(step: Step): number {
  switch (step.kind) {
    case 'hold': {
      const { sides, stages, breath } = step;
      const turns = 'length' in sides ? 2 : 1;
      const inside = breath ? phasesWithin(breath.practice, breath.fill, toMs(longestSide(sides))) : 0;
      return turns * (Math.max(1, stages.length) + CHANGES_PER_TURN + inside);
    }
    case 'breath': {
      const { moves, practice } = step;
      const turns = moves && moves.sides !== 'together' ? 2 : 1;
      return turns * phasesOfPractice(practice) + CHANGES_PER_TURN;
    }
    case 'rest':
    case 'move':
    case 'talk':
      return 2;
  }
}
