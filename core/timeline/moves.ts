import type { BreathMoves } from '#core/plan';
import type { BreathTimelinePhase } from './types';

/**
 * What the body does on a phase of a breath that moves a position, in the words of the plan or as usual; empty for a breath before it has been moved into.
 * `phases` are the breaths of one practice in order, `at` the one under way.
 */
export function moveCue(phases: readonly BreathTimelinePhase[], at: number, moves: BreathMoves): string {
  const here = phases[at];
  if (!here) return '';
  const { says } = moves;
  if (here.kind === moves.into) return says?.into || 'move in';
  const isInside = phases.slice(0, at).findLast(({ kind, turn }) => {
    return turn === here.turn && (kind === moves.into || kind === moves.outOf);
  });
  if (isInside?.kind !== moves.into) return '';
  if (here.kind === moves.outOf) return says?.outOf || 'move out';
  return here.kind === 'holdFull' || here.kind === 'holdEmpty' ? says?.stay || 'stay' : '';
}
