import { practiceMs, roundMs, tenthsAt, tenthsMs } from './lengths';
import { QUARTERS, type BreathPart } from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';
import type { Ms } from '#core/numbers';

function phasesOfPart(part: BreathPart, set: BreathSet, round: number, countSeconds: number): number {
  if (part.kind !== 'cycle') return 1;
  return QUARTERS.filter((quarter) => tenthsMs(tenthsAt(part, quarter, set, round), countSeconds) > 0).length;
}

const phasesOfRound = (set: BreathSet, round: number, countSeconds: number): number =>
  set.parts.reduce((sum, part) => sum + phasesOfPart(part, set, round, countSeconds), 0);

function phasesOfSet(set: BreathSet, countSeconds: number): number {
  const rest = set.restSeconds > 0 ? 1 : 0;
  if (!set.ramp) return set.rounds * phasesOfRound(set, 1, countSeconds) + rest;
  let phases = rest;
  for (let round = 1; round <= set.rounds; round++) phases += phasesOfRound(set, round, countSeconds);
  return phases;
}

/** How many phases `breathProgram` unfolds a practice into, without unfolding it. */
export const phasesOfPractice = ({ sets, countSeconds }: BreathPractice): number =>
  sets.reduce((sum, set) => sum + phasesOfSet(set, countSeconds), 0);

/** How many phases `breathWithin` has at most for a practice that goes on for `budgetMs` milliseconds. */
export function phasesWithin(practice: BreathPractice, fill: boolean, budgetMs: Ms): number {
  const last = practice.sets.at(-1);
  const once = phasesOfPractice(practice);
  if (!fill || !last) return once;
  const lastRoundMs = roundMs(last, practice.countSeconds, last.rounds);
  const more = Math.max(0, Math.ceil((budgetMs - practiceMs(practice) + last.restSeconds * 1000) / lastRoundMs));
  return once + more * phasesOfRound(last, last.rounds, practice.countSeconds);
}
