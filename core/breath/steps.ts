import type { Ms } from '#core/numbers';
import type { CountedPhase } from './program';

type Interrupted = Pick<CountedPhase, 'counts' | 'countMs' | 'steps'>;

/** Where an interrupted breath is at a moment. */
export interface StepOfBreath {
  /** Which part, from 1; while it pauses, the part before the pause. */
  step: number;
  of: number;
  pausing: boolean;
  /** How long the part or the pause has lasted. */
  intoMs: Ms;
  /** How much of the breath has been moved, from 0 to 1. */
  moved: number;
}

/** Milliseconds of one part of an interrupted breath: its counts, shared evenly. */
export const partOfBreathMs = ({ counts, countMs, steps }: Interrupted): number =>
  (counts * countMs) / (steps?.parts ?? 1);

/** Where an in- or out-breath is, so many milliseconds into it; one that is not interrupted is one part. */
export function stepOfBreath(phase: Interrupted, intoMs: Ms): StepOfBreath {
  const of = phase.steps?.parts ?? 1;
  const partMs = partOfBreathMs(phase);
  const bothMs = partMs + (phase.steps?.pauseMs ?? 0);
  const step = Math.min(of, Math.floor(Math.max(0, intoMs) / Math.max(1, bothMs)) + 1);
  const into = Math.max(0, intoMs) - (step - 1) * bothMs;
  const pausing = into >= partMs && step < of;
  return {
    step,
    of,
    pausing,
    intoMs: pausing ? into - partMs : into,
    moved: (step - 1 + Math.min(1, into / Math.max(1, partMs))) / of,
  };
}
