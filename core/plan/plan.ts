import { z } from 'zod';
import { Approach, CLASS_WHERE_NAMES } from '#core/catalogue';
import { Id, oneOf, seconds, tagsOf, text } from '#core/document';
import { PLAN_LIMITS } from './limits';
import { MAX_PHASES, phasesOfStep } from './phases';
import { PlanRules } from './plan-rules';
import { Step } from './step';

const figures = new Intl.NumberFormat('en');

export const PLAN_FORMAT = 'zovrin-plan';
export const PLAN_VERSION = 9;

/** One step that comes before another. */
export const OrderPair = z.strictObject({ before: Id, after: Id });
export type OrderPair = z.infer<typeof OrderPair>;

const fields = {
  format: z.literal(PLAN_FORMAT, 'This is not a plan file.'),
  version: z.literal(PLAN_VERSION),
  title: text('A title', PLAN_LIMITS.maxTitle).refine((title) => title.trim() !== '', 'A plan needs a title.'),
  intent: text('An intent', PLAN_LIMITS.maxNote),
  approach: Approach,
  group: text('A group', 120),
  /** Id of the group of people who come; null if none is chosen. It need not be here. */
  groupId: Id.nullable(),
  groupSize: z
    .int('The number of people is a whole number.')
    .min(1, 'A group has at least one person.')
    .max(PLAN_LIMITS.maxGroup, `A group has at most ${PLAN_LIMITS.maxGroup} people.`),
  place: text('A place', 120),
  /** On or at what the class takes place; null if nothing is said: as the set-ups of the library are. */
  where: oneOf('A place', CLASS_WHERE_NAMES).nullable(),
  /** Id of the place whose cupboard and room the class has; null if none is chosen. It need not be here. */
  cupboard: Id.nullable(),
  startsAt: z
    .string()
    .regex(
      /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d$/,
      'A date and time like 2026-11-26T18:30.',
    )
    .nullable(),
  classSeconds: seconds('A class', PLAN_LIMITS.minClass, PLAN_LIMITS.maxClass),
  /** How the house teaches it; null: as is usual. */
  rules: PlanRules.nullable(),
  steps: z.array(Step).max(PLAN_LIMITS.maxSteps, `A plan has at most ${PLAN_LIMITS.maxSteps} steps.`),
  tags: tagsOf('plan'),
  /** An archived plan is kept as it is, out of the way of the others. */
  archived: z.boolean(),
  /** Which step comes before which, whatever else an order is chosen for. Steps that are not here say nothing. */
  orderPairs: z
    .array(OrderPair)
    .max(PLAN_LIMITS.maxOrderPairs, `A plan has at most ${PLAN_LIMITS.maxOrderPairs} such rules.`),
};

/** What the steps of a plan must be together: each with an id of its own, and no more of them than can be led. */
function checkTogether(steps: readonly Step[], context: z.RefinementCtx): void {
  const seen = new Set<string>();
  for (const [index, step] of steps.entries()) {
    if (seen.has(step.id)) {
      context.addIssue({
        code: 'custom',
        path: ['steps', index, 'id'],
        message: `Two steps have the id “${step.id}”.`,
      });
    }
    seen.add(step.id);
  }
  const [, second] = steps.filter(({ takesRemaining }) => takesRemaining);
  if (second) {
    context.addIssue({
      code: 'custom',
      path: ['steps', steps.indexOf(second), 'takesRemaining'],
      message: 'Only one step can take what is left of the class.',
    });
  }
  let phases = 0;
  for (const [index, step] of steps.entries()) {
    const before = phases;
    phases += phasesOfStep(step);
    if (before > MAX_PHASES || phases <= MAX_PHASES) continue;
    context.addIssue({
      code: 'custom',
      path: [
        'steps',
        index,
        ...(step.kind === 'breath' ? ['practice', 'sets'] : step.kind === 'hold' ? ['breath'] : []),
      ],
      message:
        `Up to here the plan has ${figures.format(phases)} breaths, holds and changes, each timed on its own; ` +
        `at most ${figures.format(MAX_PHASES)} can be led. Remove some rounds.`,
    });
  }
}

/**
 * A session as planned: the document that is edited, stored, sent and saved to a file. Lengths are seconds.
 * `startsAt` is a local date and time without a zone (`2026-11-26T18:30`): the hour on the hall's own clock.
 */
export const Plan = z.strictObject(fields).superRefine(({ steps }, context) => {
  checkTogether(steps, context);
});
export type Plan = z.infer<typeof Plan>;

/** Steps of plans that were checked. Steps are values: what was right stays right. */
const checked = new WeakSet<Step>();
const EditedPlan = z
  .strictObject({ ...fields, steps: z.array(z.custom<Step>((step) => checked.has(step as Step)).or(Step)) })
  .superRefine(({ steps }, context) => {
    checkTogether(steps, context);
  });

/**
 * Checks a plan after an edit as `Plan` does, but of its steps only those that are new: a plan has many steps, and an
 * edit changes few. Undefined if the plan is right, else what `Plan` finds.
 */
export function errorOfEdited(plan: Plan): z.ZodError | undefined {
  if (!EditedPlan.safeParse(plan).success) {
    const parsed = Plan.safeParse(plan);
    if (!parsed.success) return parsed.error;
  }
  for (const step of plan.steps) checked.add(step);
  return undefined;
}

/** A plan without steps. Title as given; one hour, twelve people. */
export function emptyPlan(title: string, approach: Approach = 'restorative'): Plan {
  return {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    title,
    intent: '',
    approach,
    group: '',
    groupId: null,
    groupSize: 12,
    place: '',
    where: null,
    rules: null,
    cupboard: null,
    startsAt: null,
    classSeconds: 3600,
    tags: [],
    archived: false,
    steps: [],
    orderPairs: [],
  };
}
