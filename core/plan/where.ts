import { setUpFor, WHERE_WORDS, type ClassWhere, type Library } from '#core/catalogue';
import { haveSameRows } from '#core/props';
import type { PlanEdit } from './edits';
import { setDetails, setSetUp, setStepCommon, several } from './make-edits';
import type { Plan } from './plan';
import type { HoldStep, Step } from './step';

/** Where a step takes place: where it says, or where its class does. */
export const whereOf = (plan: Pick<Plan, 'where'>, step: Pick<Step, 'where'>): ClassWhere | null =>
  step.where ?? plan.where;

/**
 * Where a step takes place in words, where it is another place than before: `in bed`; else empty. Where nobody says, it
 * is on the floor; a class begins where it takes place, which is not said.
 */
export function newWhereInWords(plan: Plan, index: number): string {
  const [before, step] = [plan.steps[index - 1], plan.steps[index]];
  const at = (one: Pick<Step, 'where'>): ClassWhere => whereOf(plan, one) ?? 'floor';
  if (!step || at(step) === at(before ?? { where: null })) return '';
  return WHERE_WORDS[at(step)];
}

/**
 * The edit that gives a hold the set-up its position has for a place. Undefined where it has it already, or where its
 * set-up is the teacher's own and not one of the library's.
 */
function withSetUpFor(step: Step, where: ClassWhere | null, library: Library): PlanEdit | undefined {
  if (step.kind !== 'hold') return undefined;
  const position = library.position(step.position);
  const best = position && setUpFor(position, where);
  if (!best || haveSameRows(best.items, step.setUp)) return undefined;
  const isUsual = position.setUps.some(({ items }) => haveSameRows(items, step.setUp));
  return isUsual ? setSetUp(step.id, copyOfRows(best.items)) : undefined;
}

const copyOfRows = (setUp: HoldStep['setUp']): HoldStep['setUp'] => setUp.map((row) => ({ ...row }));

/** How many holds of a plan would have another set-up of the library's in a place. Steps with a place of their own stay. */
export const setUpsToChange = (plan: Plan, where: ClassWhere | null, library: Library): number =>
  plan.steps.filter((step) => step.where === null && withSetUpFor(step, where, library)).length;

/** Sets where a class takes place; its holds get the set-ups for it, if wanted, but for those of the teacher's own. */
export function setClassWhere(plan: Plan, where: ClassWhere | null, library: Library, setUps: boolean): PlanEdit {
  const others = setUps
    ? plan.steps.flatMap((step) => (step.where === null ? (withSetUpFor(step, where, library) ?? []) : []))
    : [];
  return several([setDetails({ where }), ...others]);
}

/** Sets where a step takes place (null: where the class does); a set-up of the library's changes to the one for it. */
export function setStepWhere(plan: Plan, step: Step, where: Step['where'], library: Library): PlanEdit {
  const other = withSetUpFor(step, where ?? plan.where, library);
  const moved = setStepCommon(step.id, { where });
  return other ? several([moved, other]) : moved;
}
