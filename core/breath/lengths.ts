import { toMs, type Ms, type Seconds } from '#core/numbers';
import { QUARTERS, type BreathPart, type BreathSteps, type CyclePart, type Quarter } from './parts';
import type { BreathSet, Ramp } from './set';

/** Over how many rounds a set goes, and what changes meanwhile. */
export interface Course {
  rounds: number;
  ramp: Ramp | null;
}

const STILL: Course = { rounds: 1, ramp: null };

/**
 * The counts of one quarter of a cycle in a round (from 1) of its set, in tenths of a count, so that they stay whole
 * numbers. A ramp goes evenly from the cycle's own counts in the first round to its end in the last, or half-way and
 * back again; a round after the last is as the last.
 */
export function tenthsAt(part: CyclePart, quarter: Quarter, { rounds, ramp }: Course, round: number): number {
  const from = 10 * part[quarter];
  if (ramp?.of !== quarter || rounds < 2) return from;
  const to = Math.round(10 * ramp.to);
  const done = Math.min(round, rounds) - 1;
  // There and back the middle round, or both middle ones, are at the end of the change.
  const way = ramp.back ? Math.floor((rounds - 1) / 2) : rounds - 1;
  const gone = ramp.back ? Math.min(done, rounds - 1 - done, way) : done;
  if (way === 0) return from;
  const unit = ramp.steps === 'counts' ? 10 : 1;
  return unit * Math.round((from * (way - gone) + to * gone) / (unit * way));
}

/** Milliseconds of so many tenths of a count, rounded to the nearest. */
export const tenthsMs = (tenths: number, countSeconds: Seconds): Ms => Math.round((tenths * toMs(countSeconds)) / 10);

/** The steps of a quarter of a cycle, if it is an interrupted breath. */
export const stepsOf = (part: CyclePart, quarter: Quarter): BreathSteps | undefined =>
  quarter === 'in' ? part.inSteps : quarter === 'out' ? part.outSteps : undefined;

/** Milliseconds of one pause within a quarter of a cycle; 0 where it is not interrupted. */
export const pauseMs = (part: CyclePart, quarter: Quarter, countSeconds: Seconds): Ms =>
  (stepsOf(part, quarter)?.pauseCounts ?? 0) * toMs(countSeconds);

/** Milliseconds of all pauses within a quarter of a cycle. */
export const pausesMs = (part: CyclePart, quarter: Quarter, countSeconds: Seconds): Ms =>
  ((stepsOf(part, quarter)?.parts ?? 1) - 1) * pauseMs(part, quarter, countSeconds);

/** Milliseconds from the first of so many strokes to the moment of the next. */
export const strokesMs = (strokes: number, perMinute: number): Ms => Math.round((strokes * 60_000) / perMinute);

/**
 * Length of one part, done once in a round (from 1) of its set, in milliseconds. Exact: every quarter of a cycle is a
 * whole number of milliseconds, and so is everything else.
 */
export function partMs(part: BreathPart, countSeconds: Seconds, course: Course = STILL, round = 1): Ms {
  switch (part.kind) {
    case 'cycle':
      return QUARTERS.reduce(
        (sum, quarter) =>
          sum + tenthsMs(tenthsAt(part, quarter, course, round), countSeconds) + pausesMs(part, quarter, countSeconds),
        0,
      );
    case 'ownPace':
      return part.cycles * toMs(part.secondsPerCycle);
    case 'strokes':
      return strokesMs(part.count, part.perMinute);
    case 'retention':
      return toMs(part.seconds);
    case 'recover':
      return part.for.kind === 'seconds' ? toMs(part.for.seconds) : part.for.cycles * toMs(part.for.secondsPerCycle);
  }
}

/** Length of one round (from 1) of a set, all its parts once, in milliseconds. */
export function roundMs(set: BreathSet, countSeconds: Seconds, round = 1): Ms {
  return set.parts.reduce((sum, part) => sum + partMs(part, countSeconds, set, round), 0);
}

/** Length of all rounds of a set, without the rest after it, in milliseconds. */
export function setMs(set: BreathSet, countSeconds: Seconds): Ms {
  if (!set.ramp) return set.rounds * roundMs(set, countSeconds);
  let sum = 0;
  for (let round = 1; round <= set.rounds; round++) sum += roundMs(set, countSeconds, round);
  return sum;
}

/** Length of a whole practice, rests between its sets included, in milliseconds. */
export function practiceMs({ sets, countSeconds }: { sets: readonly BreathSet[]; countSeconds: Seconds }): Ms {
  return sets.reduce((sum, set) => sum + setMs(set, countSeconds) + toMs(set.restSeconds), 0);
}
