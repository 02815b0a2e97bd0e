import type { BreathPractice } from '#core/breath';
import type { Step } from './step';

/** The breath of a step: that of a breath step, or the one inside a hold. Undefined where there is none. */
export function practiceOf(step: Step | undefined): BreathPractice | undefined {
  if (step?.kind === 'breath') return step.practice;
  return step?.kind === 'hold' ? step.breath?.practice : undefined;
}
