import type { Ms, Seconds } from '#core/numbers';
import { partMs, pauseMs, pausesMs, practiceMs, tenthsAt, tenthsMs } from './lengths';
import { QUARTERS, type BreathPart, type Quarter } from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';

/** What a practice costs. Lengths in milliseconds, rates in breaths or strokes a minute, shares from 0 to 1. */
export interface BreathCost {
  lengthMs: Ms;
  /** Length without the rests after sets. */
  breathingMs: Ms;
  /** Breaths: counted ones, those at their own pace and those of a recovery; strokes are none. */
  cycles: number;
  rounds: number;
  /** Breaths a minute while breathing is not by strokes; null if there is no breath to count. */
  meanRate: number | null;
  /** The slowest breath there is; null if there is none to count. */
  slowestRate: number | null;
  /** The longest hold, or pause within a breath in (full) or out (empty). */
  longestFullMs: Ms;
  longestEmptyMs: Ms;
  /** The longer of the two. */
  longestRetentionMs: Ms;
  /** The pauses of interrupted breaths together. */
  pausedMs: Ms;
  /** Holds and pauses together. */
  retentionMs: Ms;
  /** Share of the breathing time spent holding, full or empty, or pausing. */
  retentionShare: number;
  strokes: number;
  strokesMs: Ms;
  fastestStrokes: number;
  /** Counts of each quarter of a breath over the whole practice. */
  counts: Record<Quarter, number>;
}

/** One part as it is done in one round, and how often it is done so. */
interface Done {
  times: number;
  lengthMs: Ms;
  breaths: number;
  fullMs: Ms;
  emptyMs: Ms;
  /** The pauses of an interrupted breath together, and one of them within the in-breath and within the out-breath. */
  pausedMs: Ms;
  pauseFullMs: Ms;
  pauseEmptyMs: Ms;
  strokes: number;
  perMinute: number;
  tenths: Readonly<Record<Quarter, number>>;
}

const NO_TENTHS: Readonly<Record<Quarter, number>> = { in: 0, holdFull: 0, out: 0, holdEmpty: 0 };

function doneOnce(part: BreathPart, countSeconds: Seconds, set: BreathSet, round: number, times: number): Done {
  const lengthMs = partMs(part, countSeconds, set, round);
  const done: Done = {
    times,
    lengthMs,
    breaths: 0,
    fullMs: 0,
    emptyMs: 0,
    pausedMs: 0,
    pauseFullMs: 0,
    pauseEmptyMs: 0,
    strokes: 0,
    perMinute: 0,
    tenths: NO_TENTHS,
  };
  switch (part.kind) {
    case 'cycle': {
      const tenths = { ...NO_TENTHS };
      for (const quarter of QUARTERS) tenths[quarter] = tenthsAt(part, quarter, set, round);
      const [fullMs, emptyMs] = [tenthsMs(tenths.holdFull, countSeconds), tenthsMs(tenths.holdEmpty, countSeconds)];
      const pausedMs = pausesMs(part, 'in', countSeconds) + pausesMs(part, 'out', countSeconds);
      const [pauseFullMs, pauseEmptyMs] = [pauseMs(part, 'in', countSeconds), pauseMs(part, 'out', countSeconds)];
      return { ...done, breaths: 1, fullMs, emptyMs, pausedMs, pauseFullMs, pauseEmptyMs, tenths };
    }
    case 'ownPace':
      return { ...done, breaths: part.cycles };
    case 'strokes':
      return { ...done, strokes: part.count, perMinute: part.perMinute };
    case 'retention':
      return { ...done, [part.held === 'full' ? 'fullMs' : 'emptyMs']: lengthMs };
    case 'recover':
      return { ...done, breaths: part.for.kind === 'cycles' ? part.for.cycles : 0 };
  }
}

/** Everything that is done in a practice; equal rounds are listed once, with their number. */
function everythingDone({ sets, countSeconds }: BreathPractice): Done[] {
  return sets.flatMap((set) =>
    set.parts.flatMap((part) =>
      set.ramp && part.kind === 'cycle'
        ? Array.from({ length: set.rounds }, (_, i) => doneOnce(part, countSeconds, set, i + 1, 1))
        : [doneOnce(part, countSeconds, set, 1, set.rounds)],
    ),
  );
}

/**
 * What a practice costs in time and holding.
 * Example: in 4, full 16, out 8 at one second a count, ten cycles: 280,000 ms, 2.14 breaths a minute, share .571.
 */
export function breathCost(practice: BreathPractice): BreathCost {
  const done = everythingDone(practice);
  const sum = (of: (one: Done) => number): number => done.reduce((total, one) => total + one.times * of(one), 0);
  const most = (of: (one: Done) => number): number => done.reduce((longest, one) => Math.max(longest, of(one)), 0);
  const [breathingMs, cycles] = [sum(({ lengthMs }) => lengthMs), sum(({ breaths }) => breaths)];
  const strokesMs = sum(({ strokes, lengthMs }) => (strokes > 0 ? lengthMs : 0));
  const slowestMs = most(({ breaths, lengthMs }) => (breaths > 0 ? lengthMs / breaths : 0));
  const [longestFullMs, longestEmptyMs] = [
    most(({ fullMs, pauseFullMs }) => Math.max(fullMs, pauseFullMs)),
    most(({ emptyMs, pauseEmptyMs }) => Math.max(emptyMs, pauseEmptyMs)),
  ];
  const pausedMs = sum((one) => one.pausedMs);
  const retentionMs = sum(({ fullMs, emptyMs }) => fullMs + emptyMs) + pausedMs;
  const counts = (quarter: Quarter): number => sum(({ tenths }) => tenths[quarter]) / 10;
  return {
    lengthMs: practiceMs(practice),
    breathingMs,
    cycles,
    rounds: practice.sets.reduce((total, { rounds }) => total + rounds, 0),
    meanRate: cycles > 0 ? (cycles * 60_000) / (breathingMs - strokesMs) : null,
    slowestRate: slowestMs > 0 ? 60_000 / slowestMs : null,
    longestFullMs,
    longestEmptyMs,
    longestRetentionMs: Math.max(longestFullMs, longestEmptyMs),
    pausedMs,
    retentionMs,
    retentionShare: retentionMs / breathingMs,
    strokes: sum(({ strokes }) => strokes),
    strokesMs,
    fastestStrokes: most(({ perMinute }) => perMinute),
    counts: { in: counts('in'), holdFull: counts('holdFull'), out: counts('out'), holdEmpty: counts('holdEmpty') },
  };
}
