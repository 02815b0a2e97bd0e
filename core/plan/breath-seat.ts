import type { BreathStep, Step } from './step';

/** The breath nearest before a place in a plan whose seat is known, so that nobody has to be moved for the next one. */
export function seatBefore(steps: readonly Step[], at: number): Pick<BreathStep, 'seat' | 'setUp'> | undefined {
  const before = steps.slice(0, at).findLast((step): step is BreathStep => step.kind === 'breath' && !step.moves);
  return before?.seat ? { seat: before.seat, setUp: before.setUp } : undefined;
}

/** A new step as it goes in at a place: a breath is practised in the seat of the one before it, with the same props. */
export function withSeatBefore(step: Step, steps: readonly Step[], at: number): Step {
  if (step.kind !== 'breath' || step.seat !== null || step.moves) return step;
  const before = seatBefore(steps, at);
  return before ? { ...step, seat: before.seat, setUp: before.setUp.map((row) => ({ ...row })) } : step;
}
