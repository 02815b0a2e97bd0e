import { toMs, type Ms } from '#core/time';
import { partMs, practiceMs, type BreathPractice } from './practice';

/** What a practice costs. Lengths in milliseconds, rates in breaths a minute, shares from 0 to 1. */
export interface BreathCost {
  lengthMs: Ms;
  /** Length without the rests after sets. */
  breathingMs: Ms;
  cycles: number;
  rounds: number;
  meanRate: number;
  slowestRate: number;
  longestRetentionMs: Ms;
  retentionMs: Ms;
  /** Share of the breathing time spent holding, full or empty. */
  retentionShare: number;
}

/**
 * What a practice costs in time and holding.
 * Example: in 4, full 16, out 8 at one second a count, ten cycles: 280,000 ms, 2.14 breaths a minute, share .571.
 */
export function breathCost(practice: BreathPractice): BreathCost {
  const countMs = toMs(practice.countSeconds);
  let [breathingMs, cycles, rounds, retentionMs, longestRetentionMs, slowestCycleMs] = [0, 0, 0, 0, 0, 0];
  for (const set of practice.sets) {
    rounds += set.rounds;
    for (const part of set.parts) {
      const lengthMs = partMs(part, practice.countSeconds);
      const partCycles = part.kind === 'ownPace' ? part.cycles : 1;
      breathingMs += set.rounds * lengthMs;
      cycles += set.rounds * partCycles;
      slowestCycleMs = Math.max(slowestCycleMs, lengthMs / partCycles);
      if (part.kind === 'ownPace') continue;
      retentionMs += set.rounds * (part.holdFull + part.holdEmpty) * countMs;
      longestRetentionMs = Math.max(longestRetentionMs, part.holdFull * countMs, part.holdEmpty * countMs);
    }
  }
  return {
    lengthMs: practiceMs(practice),
    breathingMs,
    cycles,
    rounds,
    meanRate: (cycles * 60_000) / breathingMs,
    slowestRate: 60_000 / slowestCycleMs,
    longestRetentionMs,
    retentionMs,
    retentionShare: retentionMs / breathingMs,
  };
}
