import { z } from 'zod';
import { Id } from '#core/document';
import type { Plan } from './plan';
import type { HoldSides, Step } from './step';

/** The fields of a plan that a history names. */
const PLAN_FIELDS = [
  'title',
  'intent',
  'approach',
  'group',
  'groupSize',
  'place',
  'where',
  'rules',
  'startsAt',
  'classSeconds',
  'tags',
  'archived',
  'orderPairs',
] as const;

/** The aspects of a step that a history distinguishes. */
const STEP_FACETS = [
  'name',
  'position',
  'sides',
  'length',
  'range',
  'stages',
  'props',
  'changes',
  'prompts',
  'breath',
  'rest',
  'intensity',
  'fitting',
  'note',
  'where',
] as const;

const Lengths = z.object({ left: z.number(), right: z.number(), kind: z.enum(['one', 'even', 'perSide', 'rounds']) });

/** One thing that differs between two versions of a plan. Lengths in seconds, or rounds of a breath. */
export const PlanChange = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('field'), field: z.enum(PLAN_FIELDS) }),
  z.object({ kind: z.literal('added'), stepId: Id, name: z.string() }),
  z.object({ kind: z.literal('removed'), stepId: Id, name: z.string() }),
  z.object({ kind: z.literal('moved'), stepId: Id, name: z.string(), from: z.int(), to: z.int() }),
  z.object({
    kind: z.literal('step'),
    stepId: Id,
    name: z.string(),
    facets: z.array(z.enum(STEP_FACETS)),
    length: z.object({ from: Lengths, to: Lengths }).nullable(),
  }),
]);
export type PlanChange = z.infer<typeof PlanChange>;
export type StepLengths = z.infer<typeof Lengths>;
type Facet = (typeof STEP_FACETS)[number];

function lengthsOf(step: Step): StepLengths {
  if (step.kind === 'breath') {
    const rounds = step.practice.sets.reduce((sum, set) => sum + set.rounds, 0);
    return { left: rounds, right: rounds, kind: 'rounds' };
  }
  if (step.kind !== 'hold') return { left: step.seconds, right: step.seconds, kind: 'one' };
  if ('seconds' in step.sides) return { left: step.sides.seconds, right: step.sides.seconds, kind: 'one' };
  const { length } = step.sides;
  return length.kind === 'even'
    ? { left: length.seconds, right: length.seconds, kind: 'even' }
    : { left: length.left, right: length.right, kind: 'perSide' };
}

const laySides = (sides: HoldSides): unknown =>
  'length' in sides ? [sides.kind, sides.first] : [sides.kind, 'side' in sides ? sides.side : ''];

/** Each facet of a step as a value; two steps differ in a facet where these differ. */
function facetsOf(step: Step): Partial<Record<Facet, unknown>> {
  const common = {
    name: step.name,
    note: step.note,
    where: step.where,
    fitting: [step.locked, step.weight, step.pinned, step.takesRemaining],
  };
  const length = lengthsOf(step);
  switch (step.kind) {
    case 'hold':
      return {
        ...common,
        length,
        position: step.position,
        sides: [laySides(step.sides), step.leftMeans, step.unevenIntended],
        range: [step.range, step.rangeIsUsual],
        stages: step.stages,
        props: [step.setUp, step.otherSetUp],
        changes: [step.setupSeconds, step.enterSeconds, step.leaveSeconds, step.switchSeconds],
        prompts: [step.prompts, step.waysIn, step.waysOut],
        breath: [step.breath, step.breathSeconds],
        rest: [step.rebound, step.loosen],
        intensity: [step.strength, step.demands],
      };
    case 'breath':
      return {
        ...common,
        length,
        position: step.moves?.position ?? step.technique,
        sides: step.moves,
        breath: step.practice,
        props: [step.seat, step.setUp, step.otherSetUp],
        changes: step.setupSeconds,
        rest: step.afterSeconds,
      };
    case 'rest':
      return { ...common, length, props: [step.setUp, step.otherSetUp], changes: step.setupSeconds };
    case 'move':
    case 'talk':
      return { ...common, length };
  }
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Steps that are in both versions and have another place among those than before: the fewest that explain the order.
 */
function movedSteps(before: readonly Step[], after: readonly Step[]): Set<string> {
  const place = new Map(after.map(({ id }, i) => [id, i]));
  // The longest run of steps that stand in the same order: C. Schensted, Longest increasing subsequences, 1961.
  interface RunEnd {
    id: string;
    to: number;
    length: number;
    before: RunEnd | undefined;
  }
  const ends: RunEnd[] = [];
  for (const { id } of before) {
    const to = place.get(id);
    if (to === undefined) continue;
    let longest: RunEnd | undefined;
    for (const end of ends) if (end.to < to && end.length >= (longest?.length ?? 0)) longest = end;
    ends.push({ id, to, length: (longest?.length ?? 0) + 1, before: longest });
  }
  let end = ends.reduce<RunEnd | undefined>((top, one) => (one.length > (top?.length ?? 0) ? one : top), undefined);
  const stays = new Set<string>();
  for (; end; end = end.before) stays.add(end.id);
  return new Set(ends.filter(({ id }) => !stays.has(id)).map(({ id }) => id));
}

/**
 * What changed from one version of a plan to another, in the order of the plan: its own fields, then steps that were
 * added, changed and moved, then those that were removed. Places of steps count from 1. Empty where the two say the
 * same.
 */
export function planChanges(before: Plan, after: Plan): PlanChange[] {
  const fields = PLAN_FIELDS.filter((field) => !same(before[field], after[field]));
  const earlier = new Map(before.steps.map((step, i) => [step.id, { step, i }]));
  const moved = movedSteps(before.steps, after.steps);
  const steps = after.steps.flatMap((step, i): PlanChange[] => {
    const { id: stepId, name } = step;
    const was = earlier.get(stepId);
    if (!was) return [{ kind: 'added', stepId, name }];
    const changes: PlanChange[] = [];
    const [from, to] = [facetsOf(was.step), facetsOf(step)];
    const facets = STEP_FACETS.filter((facet) => !same(from[facet], to[facet]));
    const length = facets.includes('length') ? { from: lengthsOf(was.step), to: lengthsOf(step) } : null;
    if (facets.length > 0) changes.push({ kind: 'step', stepId, name, facets, length });
    if (moved.has(stepId)) changes.push({ kind: 'moved', stepId, name, from: was.i + 1, to: i + 1 });
    return changes;
  });
  const ids = new Set(after.steps.map(({ id }) => id));
  const removed = before.steps
    .filter(({ id }) => !ids.has(id))
    .map(({ id, name }): PlanChange => ({ kind: 'removed', stepId: id, name }));
  return [...fields.map((field): PlanChange => ({ kind: 'field', field })), ...steps, ...removed];
}
