import { toMs, type Ms } from '#core/numbers';
import { partMs, pauseMs, pausesMs, stepsOf, tenthsAt, tenthsMs } from './lengths';
import { QUARTERS, type BreathPart, type CyclePart, type Quarter, type Through } from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';

interface BreathPhaseBase {
  startMs: Ms;
  endMs: Ms;
  /** Which set of the practice, from 0. */
  set: number;
  /** Which part of the set, from 0. */
  part: number;
  /** Which round of the set, from 1; a rest after a set carries its last round. */
  round: number;
}

/**
 * One quarter of a counted cycle: `counts` beats of `countMs` each, in tenths where a ramp goes in tenths. `cycle`
 * counts from 1 within the practice.
 */
export interface CountedPhase extends BreathPhaseBase {
  kind: Quarter;
  counts: number;
  countMs: Ms;
  cycle: number;
  through: Through;
  /** Of an interrupted breath: how many parts its counts are in, and how long the pause between two of them is. */
  steps?: { parts: number; pauseMs: Ms } | undefined;
}

/** Breaths at one's own pace: `cycles` of them, expected to take the phase's length together. */
export interface OwnPacePhase extends BreathPhaseBase {
  kind: 'ownPace';
  cycles: number;
}

/** Pumps of the belly: `count` of them, the first at the phase's start, evenly up to its end. */
export interface StrokesPhase extends BreathPhaseBase {
  kind: 'strokes';
  count: number;
  perMinute: number;
}

/** One hold that is no part of a counted cycle; its length is expected where it is as long as easy. */
export interface RetentionPhase extends BreathPhaseBase {
  kind: 'retention';
  held: 'full' | 'empty';
  asLongAsEasy: boolean;
  pulses: number;
}

/** Quiet breathing within a round; `cycles` where it is so many breaths. */
export interface RecoverPhase extends BreathPhaseBase {
  kind: 'recover';
  cycles: number | null;
}

/** Quiet breathing: the rest after a set. */
export interface QuietPhase extends BreathPhaseBase {
  kind: 'quiet';
}

export type BreathPhase = CountedPhase | OwnPacePhase | StrokesPhase | RetentionPhase | RecoverPhase | QuietPhase;

/**
 * The breath is held where it came in: a full hold belongs to the in-breath's side, an empty one to the out-breath's.
 */
const throughOf = (part: CyclePart, quarter: Quarter): Through =>
  quarter === 'in' || quarter === 'holdFull' ? part.inThrough : part.outThrough;

/**
 * Unfolds a practice into its phases in order, without gaps, from 0; quarters of no counts are left out. All moments
 * are whole milliseconds from the start of the practice. With `extraRounds` the last set goes on for so many rounds
 * more, as its last one was.
 */
export function breathProgram(practice: BreathPractice, extraRounds = 0): BreathPhase[] {
  const phases: BreathPhase[] = [];
  const countMs = toMs(practice.countSeconds);
  let at: Ms = 0;
  let cycle = 0;

  function addCycle(part: CyclePart, index: number, set: BreathSet, setIndex: number, round: number): void {
    cycle++;
    for (const kind of QUARTERS) {
      const tenths = tenthsAt(part, kind, set, round);
      const ms = tenthsMs(tenths, practice.countSeconds) + pausesMs(part, kind, practice.countSeconds);
      if (ms === 0) continue;
      const parts = stepsOf(part, kind)?.parts;
      const steps = parts && { steps: { parts, pauseMs: pauseMs(part, kind, practice.countSeconds) } };
      const through = throughOf(part, kind);
      const [startMs, counts] = [at, tenths / 10];
      at += ms;
      phases.push({
        kind,
        startMs,
        endMs: at,
        set: setIndex,
        part: index,
        round,
        counts,
        countMs,
        cycle,
        through,
        ...steps,
      });
    }
  }

  function addOther(part: Exclude<BreathPart, CyclePart>, base: BreathPhaseBase): void {
    switch (part.kind) {
      case 'ownPace':
        cycle += part.cycles;
        return void phases.push({ ...base, kind: 'ownPace', cycles: part.cycles });
      case 'strokes':
        return void phases.push({ ...base, kind: 'strokes', count: part.count, perMinute: part.perMinute });
      case 'retention': {
        const { held, asLongAsEasy, pulses } = part;
        return void phases.push({ ...base, kind: 'retention', held, asLongAsEasy, pulses });
      }
      case 'recover': {
        const cycles = part.for.kind === 'cycles' ? part.for.cycles : null;
        cycle += cycles ?? 0;
        return void phases.push({ ...base, kind: 'recover', cycles });
      }
    }
  }

  practice.sets.forEach((set, setIndex) => {
    const rounds = set.rounds + (setIndex === practice.sets.length - 1 ? extraRounds : 0);
    for (let round = 1; round <= rounds; round++) {
      for (const [index, part] of set.parts.entries()) {
        if (part.kind === 'cycle') addCycle(part, index, set, setIndex, round);
        else {
          const startMs = at;
          at += partMs(part, practice.countSeconds);
          addOther(part, { startMs, endMs: at, set: setIndex, part: index, round });
        }
      }
    }
    const restMs = toMs(set.restSeconds);
    if (restMs === 0) return;
    phases.push({
      kind: 'quiet',
      startMs: at,
      endMs: at + restMs,
      set: setIndex,
      part: set.parts.length - 1,
      round: rounds,
    });
    at += restMs;
  });
  return phases;
}
