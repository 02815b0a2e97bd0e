import type { Course } from '#core/course';
import { Plan, planChanges } from '#core/plan';
import type { StoredPlan } from '#api';
import { ApiProblem } from '../client/http';
import { planClient } from '../client/documents';
import { createPlan } from '../client/plans';

/** The plan that was made of a week, against the week as it is worked out now. */
export type WeekPlan =
  /** None was made, or the one that was is gone. */
  | { kind: 'none' }
  /** It is the week as it is now, or an earlier state of it that nobody has changed since. */
  | { kind: 'current' | 'outdated'; stored: StoredPlan }
  /** Somebody changed it since it was made. */
  | { kind: 'changedElsewhere'; stored: StoredPlan };

/** A plan as the server has it once it was saved: with what a new step leaves out filled in. */
const asStored = (plan: Plan): Plan => Plan.parse(JSON.parse(JSON.stringify(plan)));

/** Reads the plan of a week. Throws what `ask` throws, but not where the plan is gone. */
export async function readWeekPlan(course: Course, week: number, derived: Plan): Promise<WeekPlan> {
  const made = course.plans.find((one) => one.week === week);
  if (!made) return { kind: 'none' };
  try {
    const stored = await planClient.at(made.planId).read();
    const isSame = planChanges(stored.document, asStored(derived)).length === 0;
    if (isSame) return { kind: 'current', stored };
    return { kind: stored.revision === made.revision ? 'outdated' : 'changedElsewhere', stored };
  } catch (error) {
    if (error instanceof ApiProblem && error.status === 404) return { kind: 'none' };
    throw error;
  }
}

type MadePlan = Course['plans'][number];
/** A course that knows the plan that was made of a week. */
export const withPlan = (course: Course, plan: MadePlan): Course => ({
  ...course,
  plans: [...course.plans.filter(({ week }) => week !== plan.week), plan].sort((a, b) => a.week - b.week),
});

/**
 * The plan of a week, to be led: made where there is none, brought up to date where nobody changed it since it was made,
 * and otherwise as it is. Returns what the course has to know of it.
 * @param anew makes it what the course says also where somebody changed it; the versions of the plan keep what it was
 */
export async function planForWeek(course: Course, week: number, derived: Plan, anew = false): Promise<MadePlan> {
  const found = await readWeekPlan(course, week, derived);
  if (found.kind === 'none') {
    const { id, revision } = await createPlan(derived);
    return { week, planId: id, revision };
  }
  const { id, revision } = found.stored;
  if (found.kind === 'outdated' || (anew && found.kind === 'changedElsewhere')) {
    const saved = await planClient.at(id).save(revision, derived);
    return { week, planId: id, revision: saved.revision };
  }
  // Of one that somebody changed, what it was made as stays known.
  const made = course.plans.find((one) => one.week === week);
  return found.kind === 'changedElsewhere' && made ? made : { week, planId: id, revision };
}
