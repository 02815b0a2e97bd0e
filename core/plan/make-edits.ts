import type { Approach, Position, SidesKind } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import type { SetUp } from '#core/props';
import type { BreathFields, ChosenLength, HoldFields, PlanDetails, PlanEdit, StepCommon } from './edits';
import { holdFrom } from './new-step';
import type { Plan } from './plan';
import type { Side } from './sides';
import type { FirstSide, OtherSetUp, Step } from './step';

/** Changes the plan’s own fields: title, approach, group, length of the class and so on. */
export const setDetails = (patch: Partial<PlanDetails>): PlanEdit => ({ kind: 'setDetails', patch });

/**
 * Takes a variant in the place of a plan: its steps, its length and what comes before what; whose class it is stays.
 */
export const takeVariant = (name: string, { steps, orderPairs, classSeconds }: Plan): PlanEdit => ({
  kind: 'takeVariant',
  name,
  steps,
  orderPairs,
  classSeconds,
});

/** Puts a step in at a place in the order, from 0; past the end is the end. */
export const addStep = (step: Step, at: number): PlanEdit => ({ kind: 'addStep', step, at });
export const removeStep = (step: string): PlanEdit => ({ kind: 'removeStep', step });
/** Moves a step so that it has place `to` in the new order, from 0. */
export const moveStepTo = (step: string, to: number): PlanEdit => ({ kind: 'moveStep', step, to: Math.max(0, to) });
/** Puts a copy with a new id right after a step. */
export const duplicateStep = (step: string, as: string): PlanEdit => ({ kind: 'duplicateStep', step, as });
/** Puts another step in the place of one, under the same id. */
export const replaceStep = (step: string, by: Step): PlanEdit => ({ kind: 'replaceStep', step, by });

/** Changes what all kinds of step have: name, note, lock, weight, pin. */
export const setStepCommon = (step: string, patch: Partial<StepCommon>): PlanEdit => ({ kind: 'setStep', step, patch });
/** Sets the length of a rest, a loosening or a talk. */
export const setSeconds = (step: string, seconds: Seconds): PlanEdit => ({ kind: 'setSeconds', step, seconds });
/** Changes the fields of a hold that are not its lengths: range, stages, set-up, prompts, rebound and so on. */
export const setHold = (step: string, patch: Partial<HoldFields>): PlanEdit => ({ kind: 'setHold', step, patch });
/** Changes the fields of a breath: its practice, the position it moves, its seat, the quiet breathing after it. */
export const setBreath = (step: string, patch: Partial<BreathFields>): PlanEdit => ({ kind: 'setBreath', step, patch });

/** Says which steps come before which, whatever else an order is chosen for. */
export const setOrderPairs = (orderPairs: Plan['orderPairs']): PlanEdit => ({ kind: 'setOrderPairs', orderPairs });

/**
 * Gives some of the group another set-up in one step, or the same for all again (null). Talk and loosening have none.
 */
export const setOtherSetUp = (step: string, otherSetUp: OtherSetUp | null): PlanEdit => ({
  kind: 'setOtherSetUp',
  step,
  otherSetUp,
});
/** Changes the set-up of a hold, a breath or a rest; null leaves in place, under a rest, what lies there. */
export const setSetUp = (step: string, setUp: SetUp | null): PlanEdit => ({ kind: 'setSetUp', step, setUp });
/** Takes another set-up for the whole of a step: the stages of a hold keep no props of their own. */
export const takeSetUp = (step: string, setUp: SetUp): PlanEdit => ({ kind: 'takeSetUp', step, setUp });

/**
 * Puts another position in the place of a hold’s own, with one of its set-ups. It is held as long as before where it
 * has the same sides, and as long as is usual for the approach where it has others.
 */
export const replacePosition = (step: string, position: Position, setUp: SetUp, approach: Approach): PlanEdit => ({
  kind: 'replacePosition',
  step,
  by: { ...holdFrom(position, approach, step), setUp },
});

/** Sets the length of a hold. An even hold stays even, whichever side is meant; `even` makes an uneven one even. */
export const setHoldSeconds = (step: string, side: Side | 'even', seconds: Seconds): PlanEdit => ({
  kind: 'setHoldSeconds',
  step,
  side,
  seconds,
});
/**
 * Measures a hold in breaths of so many seconds, or by the clock again (null). Where it was measured in breaths, the
 * number of breaths stays and the lengths change; otherwise the lengths go to the nearest whole breath, at least one.
 */
export const setBreathSeconds = (step: string, breathSeconds: Seconds | null): PlanEdit => ({
  kind: 'setBreathSeconds',
  step,
  breathSeconds,
});
/** Makes both sides the same, at the longer of the two, or frees them to differ, starting from what they have. */
export const setEven = (step: string, even: boolean): PlanEdit => ({ kind: 'setEven', step, even });
export const setFirstSide = (step: string, first: FirstSide): PlanEdit => ({ kind: 'setFirstSide', step, first });
/** Which side a hold on one side only is on. */
export const setOnlySide = (step: string, side: Side): PlanEdit => ({ kind: 'setOnlySide', step, side });
/** Changes how a hold lies over the sides; the longer of its lengths is kept. */
export const setSidesKind = (step: string, sides: SidesKind): PlanEdit => ({ kind: 'setSidesKind', step, sides });

/** Takes a fit into a plan; the class becomes as long as it was fitted to, where that is given. */
export const takeFit = (chosen: readonly ChosenLength[], classSeconds: Seconds | null = null): PlanEdit => ({
  kind: 'takeFit',
  lengths: chosen.map(({ stepId, what, to }) => ({ stepId, what, to })),
  classSeconds,
});
/** Puts the steps of a plan into an order; steps that are not named stay at the end in the order they have. */
export const takeOrder = (stepIds: readonly string[]): PlanEdit => ({ kind: 'takeOrder', stepIds: [...stepIds] });
/** Puts an earlier version in the place of a plan. */
export const restoreVersion = (plan: Plan): PlanEdit => ({ kind: 'restoreVersion', plan });
/** Several edits as one. */
export const several = (edits: readonly PlanEdit[]): PlanEdit => ({ kind: 'several', edits: [...edits] });
