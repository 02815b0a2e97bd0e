import { PLAN_LIMITS, sideSeconds, type Plan, type Step } from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/numbers';
import { clockOfMs } from '#core/time';
import type { TimelineNote } from './types';

export const SECOND_MS = 1000;

/** What a step that takes what is left of the class has now, how often it is held, and from where to where it may go. */
export function roomOf(step: Step): { seconds: Seconds; turns: number; min: Seconds; max: Seconds } | undefined {
  if (step.kind === 'breath') return undefined;
  if (step.kind !== 'hold') {
    const { seconds } = step;
    return { seconds, turns: 1, min: 1, max: PLAN_LIMITS.maxPlain };
  }
  const { left, right } = sideSeconds(step.sides);
  const { min, max } = step.range ?? { min: PLAN_LIMITS.minHold, max: PLAN_LIMITS.maxHold };
  return { seconds: Math.max(left, right), turns: 'length' in step.sides ? 2 : 1, min, max };
}

/** What to know of a step that takes what is left of the class, where that is nothing, or more than it can take. */
export function remainingNotes(plan: Plan, spareMs: Ms): TimelineNote[] {
  const stepIndex = plan.steps.findIndex(({ takesRemaining }) => takesRemaining);
  const step = plan.steps[stepIndex];
  const room = step && roomOf(step);
  if (!room) return [];
  const at = clockOfMs(toMs(room.seconds));
  const message =
    spareMs < 0
      ? `Nothing of the class is left for this step; it stays at its shortest, ${at}.`
      : spareMs >= room.turns * SECOND_MS
        ? `It is at its longest, ${at}; ${clockOfMs(spareMs)} of the class is still left.`
        : '';
  return message === '' ? [] : [{ stepId: step.id, stepIndex, kind: 'remaining', message }];
}
