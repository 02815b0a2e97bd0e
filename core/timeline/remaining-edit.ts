import type { Library } from '#core/catalogue';
import { setHoldSeconds, setSeconds, type Plan, type PlanEdit } from '#core/plan';
import { compileTimeline } from './compile';
import { roomOf, SECOND_MS } from './remaining';
import type { TimelineRules } from './rules';

/**
 * The edit that gives the step that takes what is left of the class just that: whole seconds a side, within its range.
 * Undefined where there is no such step, or it has its length already.
 */
export function remainingEdit(plan: Plan, library: Library, rules?: TimelineRules): PlanEdit | undefined {
  const step = plan.steps.find(({ takesRemaining }) => takesRemaining);
  const room = step && roomOf(step);
  if (!step || !room) return undefined;
  const { spareMs } = compileTimeline(plan, library, rules).totals;
  const wanted = room.seconds + Math.floor(spareMs / room.turns / SECOND_MS);
  const seconds = Math.min(room.max, Math.max(room.min, wanted));
  if (seconds === room.seconds) return undefined;
  return step.kind === 'hold' ? setHoldSeconds(step.id, 'even', seconds) : setSeconds(step.id, seconds);
}
