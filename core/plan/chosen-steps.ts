import type { Seconds } from '#core/numbers';
import type { PlanEdit } from './edits';
import {
  addStep,
  duplicateStep,
  moveStepTo,
  removeStep,
  setHold,
  setHoldSeconds,
  setSeconds,
  setStepCommon,
  several,
  takeOrder,
} from './make-edits';
import type { Plan } from './plan';
import { sideSeconds } from './sides';
import type { HoldStep, Step } from './step';

/** The steps with these ids, in the order they have. */
export const chosenSteps = (steps: readonly Step[], ids: readonly string[]): Step[] => {
  const chosen = new Set(ids);
  return steps.filter(({ id }) => chosen.has(id));
};

/** One edit stays what it is, several become one. */
const together = (edits: readonly PlanEdit[]): PlanEdit => (edits.length === 1 && edits[0] ? edits[0] : several(edits));

/** Deletes all of these steps. */
export const removeSteps = (ids: readonly string[]): PlanEdit => together(ids.map(removeStep));

/**
 * Puts copies of these steps, in their order, right after the last of them.
 * @param newIds an id for each copy, in the order of the plan
 */
export function duplicateSteps(plan: Plan, ids: readonly string[], newIds: readonly string[]): PlanEdit {
  const chosen = chosenSteps(plan.steps, ids);
  const after = plan.steps.findIndex((step) => step === chosen.at(-1)) + 1;
  return together(
    chosen.flatMap(({ id }, i) => {
      const as = newIds[i] ?? '';
      return chosen.length === 1 ? [duplicateStep(id, as)] : [duplicateStep(id, as), moveStepTo(as, after + i)];
    }),
  );
}

/** Locks the lengths of these steps; frees them where all of them are locked already. */
export function toggleLocks(plan: Plan, ids: readonly string[]): PlanEdit {
  const chosen = chosenSteps(plan.steps, ids);
  const locked = chosen.some((step) => !step.locked);
  return together(chosen.map(({ id }) => setStepCommon(id, { locked })));
}

/** Moves these steps by one place, up (−1) or down (1); steps that are at the end already stay, in their order. */
export function shiftSteps(plan: Plan, ids: readonly string[], by: -1 | 1): PlanEdit {
  const chosen = new Set(ids);
  const order = plan.steps.map(({ id }) => id);
  const places = order.map((_, i) => (by < 0 ? i : order.length - 1 - i));
  for (const place of places) {
    const [id, other] = [order[place], order[place + by]];
    if (id === undefined || other === undefined || !chosen.has(id) || chosen.has(other)) continue;
    [order[place], order[place + by]] = [other, id];
  }
  return takeOrder(order);
}

/**
 * Gives these steps one length: each side of a hold, a rest, a release, a talk. Breaths are as long as their counts and
 * keep their length.
 */
export function setLengthOfAll(plan: Plan, ids: readonly string[], seconds: Seconds): PlanEdit {
  return together(
    chosenSteps(plan.steps, ids).flatMap((step) => {
      if (step.kind === 'hold') return [setHoldSeconds(step.id, 'even', seconds)];
      return step.kind === 'breath' ? [] : [setSeconds(step.id, seconds)];
    }),
  );
}

/** To what a scaled length is rounded, in seconds: a short one to whole seconds. */
const scaledGrid = (seconds: Seconds): Seconds => (seconds < 60 ? 1 : 5);
const scaled = (seconds: Seconds, factor: number): Seconds => {
  const exact = seconds * factor;
  const grid = scaledGrid(exact);
  return Math.max(1, Math.round(exact / grid) * grid);
};

/**
 * Makes the holds among these steps longer or shorter by a factor, each by its own length: to five seconds from a minute
 * on, below that to whole seconds. Stages of a fixed length go with it; a locked hold keeps its own.
 */
export const scaleHolds = (plan: Plan, ids: readonly string[], factor: number): PlanEdit =>
  together(
    chosenSteps(plan.steps, ids).flatMap((step): PlanEdit[] => {
      if (step.kind !== 'hold' || step.locked) return [];
      const { left, right } = sideSeconds(step.sides);
      const even = !('length' in step.sides) || step.sides.length.kind === 'even';
      const lengths = even
        ? [setHoldSeconds(step.id, 'even', scaled(Math.max(left, right), factor))]
        : [
            setHoldSeconds(step.id, 'left', scaled(left, factor)),
            setHoldSeconds(step.id, 'right', scaled(right, factor)),
          ];
      const stages = step.stages.map((stage) =>
        stage.length.kind === 'fixed'
          ? { ...stage, length: { ...stage.length, seconds: scaled(stage.length.seconds, factor) } }
          : stage,
      );
      const hasFixed = step.stages.some(({ length }) => length.kind === 'fixed');
      return [...lengths, ...(hasFixed ? [setHold(step.id, { stages })] : [])];
    }),
  );

/** Gives the holds among these steps one range, in seconds; null for none. */
export const setRangeOfAll = (plan: Plan, ids: readonly string[], range: HoldStep['range']): PlanEdit =>
  together(chosenSteps(plan.steps, ids).flatMap(({ id, kind }) => (kind === 'hold' ? [setHold(id, { range })] : [])));

/** Puts steps in at a place in the order, from 0, in the order they have. Their ids must be new to the plan. */
export const insertSteps = (steps: readonly Step[], at: number): PlanEdit =>
  together(steps.map((step, i) => addStep(step, at + i)));
