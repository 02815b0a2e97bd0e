import { toMs, type Ms } from '#core/time';
import type { BreathPart, BreathPractice, BreathSet, CyclePart, Through } from './practice';

interface BreathPhaseBase {
  startMs: Ms;
  endMs: Ms;
  /** Which set of the practice, from 0. */
  set: number;
  /** Which round of the set, from 1; a rest after a set carries its last round. */
  round: number;
}

/** One quarter of a counted cycle. `counts` beats of `countMs` each; `cycle` counts from 1 within the practice. */
export interface CountedPhase extends BreathPhaseBase {
  kind: 'in' | 'holdFull' | 'out' | 'holdEmpty';
  counts: number;
  countMs: Ms;
  cycle: number;
  through: Through;
}

/** Breaths at one's own pace: `cycles` of them, expected to take the phase's length together. */
export interface OwnPacePhase extends BreathPhaseBase {
  kind: 'ownPace';
  cycles: number;
}

/** Quiet breathing: the rest after a set. */
export interface QuietPhase extends BreathPhaseBase {
  kind: 'quiet';
}

export type BreathPhase = CountedPhase | OwnPacePhase | QuietPhase;

const QUARTERS = ['in', 'holdFull', 'out', 'holdEmpty'] as const;

/** The breath is held where it came in: a full hold belongs to the in-breath's side, an empty one to the out-breath's. */
const throughOf = (part: CyclePart, quarter: (typeof QUARTERS)[number]): Through =>
  quarter === 'in' || quarter === 'holdFull' ? part.inThrough : part.outThrough;

/**
 * Unfolds a practice into its phases in order, without gaps, from 0; quarters of no counts are left out.
 * All moments are whole milliseconds from the start of the practice.
 */
export function breathProgram(practice: BreathPractice): BreathPhase[] {
  const phases: BreathPhase[] = [];
  const countMs = toMs(practice.countSeconds);
  let at: Ms = 0;
  let cycle = 0;

  const addPart = (part: BreathPart, set: number, round: number): void => {
    if (part.kind === 'ownPace') {
      const endMs = at + part.cycles * toMs(part.secondsPerCycle);
      phases.push({ kind: 'ownPace', startMs: at, endMs, set, round, cycles: part.cycles });
      cycle += part.cycles;
      at = endMs;
      return;
    }
    cycle++;
    for (const kind of QUARTERS) {
      const counts = part[kind];
      if (counts === 0) continue;
      const endMs = at + counts * countMs;
      phases.push({ kind, startMs: at, endMs, set, round, counts, countMs, cycle, through: throughOf(part, kind) });
      at = endMs;
    }
  };

  const addSet = (set: BreathSet, index: number): void => {
    for (let round = 1; round <= set.rounds; round++) for (const part of set.parts) addPart(part, index, round);
    const restMs = toMs(set.restSeconds);
    if (restMs === 0) return;
    phases.push({ kind: 'quiet', startMs: at, endMs: at + restMs, set: index, round: set.rounds });
    at += restMs;
  };

  practice.sets.forEach(addSet);
  return phases;
}
