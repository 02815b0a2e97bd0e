import { practiceFromVersion1 } from '#core/breath';
import type { Migration } from '#core/document';

type Json = Record<string, unknown>;

function stepFromVersion1(step: unknown): unknown {
  if (typeof step !== 'object' || step === null || Array.isArray(step)) return step;
  const { kind, practice } = step as Json;
  if (kind === 'hold') return { breathSeconds: null, breath: null, ...step };
  if (kind === 'breath') return { moves: null, ...step, practice: practiceFromVersion1(practice) };
  return step;
}

/**
 * Version 2 of a plan: a hold may have a breath inside it and be measured in breaths, a breath may move a position, and
 * a practice knows strokes, holds, recoveries and changes over its rounds.
 */
export const fromVersion1: Migration = (plan) => ({
  ...plan,
  steps: Array.isArray(plan.steps) ? plan.steps.map(stepFromVersion1) : plan.steps,
});

const takesProps = (kind: unknown): boolean => kind === 'hold' || kind === 'breath' || kind === 'rest';

/** Version 3: a plan may have a place with a cupboard, and a step another set-up for some of the group. */
export const fromVersion2: Migration = (plan) => ({
  cupboard: null,
  ...plan,
  steps: Array.isArray(plan.steps)
    ? plan.steps.map((step: unknown) =>
        typeof step === 'object' && step !== null && takesProps((step as Json).kind)
          ? { otherSetUp: null, ...step }
          : step,
      )
    : plan.steps,
});

/**
 * Version 4: a step says how hard it holds on to its length and its place, and a plan which step comes before which.
 */
export const fromVersion3: Migration = (plan) => ({
  orderPairs: [],
  ...plan,
  steps: Array.isArray(plan.steps)
    ? plan.steps.map((step: unknown) =>
        typeof step === 'object' && step !== null ? { weight: 'normal', pinned: false, ...step } : step,
      )
    : plan.steps,
});

/** Version 5: a plan may say which group of people comes. */
export const fromVersion4: Migration = (plan) => ({ groupId: null, ...plan });

/** Version 6: a plan may have tags, and may be archived. */
export const fromVersion5: Migration = (plan) => ({ tags: [], archived: false, ...plan });

/** A step of a plan before version 7: nobody knows where a breath is practised, and what a custom hold demands. */
function stepFromVersion6(step: unknown): unknown {
  if (typeof step !== 'object' || step === null) return step;
  const { kind } = step as Json;
  if (kind === 'hold') return { demands: null, ...step };
  return kind === 'breath' ? { seat: null, ...step } : step;
}

/** Version 7: a breath says in which position it is practised, and a custom hold what it demands. */
export const fromVersion6: Migration = (plan) => ({
  ...plan,
  steps: Array.isArray(plan.steps) ? plan.steps.map(stepFromVersion6) : plan.steps,
});

function stepFromVersion7(step: unknown): unknown {
  if (typeof step !== 'object' || step === null) return step;
  if ((step as Json).kind !== 'hold') return { takesRemaining: false, ...step };
  const { loosen, stages, ...rest } = step as Json;
  return {
    takesRemaining: false,
    rangeIsUsual: false,
    unevenIntended: false,
    waysIn: null,
    waysOut: null,
    leftMeans: null,
    ...rest,
    stages: Array.isArray(stages)
      ? stages.map((stage: unknown) =>
          typeof stage === 'object' && stage !== null ? { breathSeconds: null, position: null, ...stage } : stage,
        )
      : stages,
    loosen: typeof loosen === 'object' && loosen !== null ? { when: 'afterBoth', ...loosen } : loosen,
  };
}

/**
 * Version 8: a release may follow each side, a difference between the sides may be intended, a hold may have its own words
 * for getting in, for coming out and for what its left side is, a stage may be another
 * position or measured in breaths, and a step may take what is left of the class.
 */
export const fromVersion7: Migration = (plan) => ({
  ...plan,
  steps: Array.isArray(plan.steps) ? plan.steps.map(stepFromVersion7) : plan.steps,
});

function stepFromVersion8(step: unknown): unknown {
  return typeof step === 'object' && step !== null ? { where: null, ...step } : step;
}

/** Version 9: a class and a step may say on or at what they take place, and a plan how its house teaches. */
export const fromVersion8: Migration = (plan) => ({
  where: null,
  rules: null,
  ...plan,
  steps: Array.isArray(plan.steps) ? plan.steps.map(stepFromVersion8) : plan.steps,
});

/** A step that was kept before version 9, on its own; what it has already stays. */
export const stepFromBefore9 = (step: unknown): unknown => stepFromVersion8(stepFromVersion7(stepFromVersion6(step)));
