import { z } from 'zod';
import { SidesKind } from '#core/catalogue';
import { fieldIssues, Id, seconds, type Read } from '#core/document';
import { SetUp } from '#core/props';
import { PLAN_LIMITS } from './limits';
import { OrderPair, Plan } from './plan';
import { BreathStep, FirstSide, HoldStep, OtherSetUp, Step } from './step';

const Side = z.enum(['left', 'right']);
const SideOrBoth = z.enum(['left', 'right', 'even']);
/** Lengths are checked where they end up, in the plan. */
const Seconds = z.number();
const Place = z.int().min(0).max(PLAN_LIMITS.maxSteps);

/** The plan’s own fields: title, approach, group, length of the class and so on. */
export const PlanDetails = z
  .strictObject(Plan.shape)
  .omit({ format: true, version: true, steps: true, orderPairs: true });
export type PlanDetails = z.infer<typeof PlanDetails>;

/** What all kinds of step have besides their kind and their id. */
const StepCommon = HoldStep.pick({
  name: true,
  note: true,
  locked: true,
  weight: true,
  pinned: true,
  takesRemaining: true,
  where: true,
});
export type StepCommon = z.infer<typeof StepCommon>;

const HoldFields = HoldStep.pick({
  unevenIntended: true,
  range: true,
  rangeIsUsual: true,
  demands: true,
  strength: true,
  stages: true,
  setUp: true,
  setupSeconds: true,
  enterSeconds: true,
  leaveSeconds: true,
  switchSeconds: true,
  prompts: true,
  breath: true,
  rebound: true,
  loosen: true,
  waysIn: true,
  waysOut: true,
  leftMeans: true,
});
export type HoldFields = z.infer<typeof HoldFields>;

const BreathFields = BreathStep.pick({
  practice: true,
  moves: true,
  setUp: true,
  setupSeconds: true,
  afterSeconds: true,
  seat: true,
});
export type BreathFields = z.infer<typeof BreathFields>;

/**
 * Which length of a step is meant: a hold (one number for both sides, or one of them), a rest, or the rounds of a set.
 */
export const StepLength = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('hold'), side: SideOrBoth }),
  z.strictObject({ kind: z.literal('rest') }),
  z.strictObject({ kind: z.literal('breath'), set: z.int().min(0) }),
]);
export type StepLength = z.infer<typeof StepLength>;

/** A length that was chosen: seconds of one side of a hold, seconds of a rest, rounds of a set of breath. */
export const ChosenLength = z.strictObject({ stepId: Id, what: StepLength, to: z.number() });
export type ChosenLength = z.infer<typeof ChosenLength>;

const edit = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.strictObject({ kind: z.literal(kind), ...shape });
const stepEdit = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) => edit(kind, { step: Id, ...shape });

const SimpleEdit = z.discriminatedUnion('kind', [
  edit('setDetails', { patch: PlanDetails.partial() }),
  edit('setOrderPairs', { orderPairs: z.array(OrderPair) }),
  /** Puts a step in at a place in the order, from 0; past the end is the end. */
  edit('addStep', { step: Step, at: Place }),
  stepEdit('removeStep', {}),
  /** Moves a step so that it has place `to` in the new order, from 0. */
  stepEdit('moveStep', { to: Place }),
  /** Puts a copy of a step, with an id of its own, right after it. */
  stepEdit('duplicateStep', { as: Id }),
  /** Puts another step in the place of one, under the same id. */
  stepEdit('replaceStep', { by: Step }),
  stepEdit('setStep', { patch: StepCommon.partial() }),
  /** The length of a rest, a loosening or a talk. */
  stepEdit('setSeconds', { seconds: Seconds }),
  stepEdit('setHold', { patch: HoldFields.partial() }),
  stepEdit('setBreath', { patch: BreathFields.partial() }),
  stepEdit('setHoldSeconds', { side: SideOrBoth, seconds: Seconds }),
  stepEdit('setBreathSeconds', { breathSeconds: Seconds.nullable() }),
  stepEdit('setEven', { even: z.boolean() }),
  stepEdit('setFirstSide', { first: FirstSide }),
  stepEdit('setOnlySide', { side: Side }),
  stepEdit('setSidesKind', { sides: SidesKind }),
  /** The set-up of a hold, a breath or a rest; null leaves in place, under a rest, what lies there. */
  stepEdit('setSetUp', { setUp: SetUp.nullable() }),
  /** Another set-up for the whole of a step: the stages of a hold keep no props of their own. */
  stepEdit('takeSetUp', { setUp: SetUp }),
  stepEdit('setOtherSetUp', { otherSetUp: OtherSetUp.nullable() }),
  /** Another position in the place of a hold’s own, which is held as long where it has the same sides. */
  stepEdit('replacePosition', { by: HoldStep }),
  edit('takeFit', { lengths: z.array(ChosenLength), classSeconds: Seconds.nullable() }),
  edit('takeOrder', { stepIds: z.array(Id) }),
  edit('takeVariant', {
    name: z.string(),
    steps: z.array(Step),
    orderPairs: z.array(OrderPair),
    classSeconds: seconds('A class', PLAN_LIMITS.minClass, PLAN_LIMITS.maxClass),
  }),
  edit('restoreVersion', { plan: Plan }),
]);
type SimpleEdit = z.infer<typeof SimpleEdit>;

/** Several edits as one: all of them, in order, or none. */
interface ManyEdits {
  kind: 'several';
  edits: PlanEdit[];
}

/**
 * A change of a plan, as data: it can be stored and sent, named, inverted, and applied to another plan. `step` is the
 * id of the step that it is about, lengths are seconds.
 */
export type PlanEdit = SimpleEdit | ManyEdits;

/** The shape of an edit from outside. */
export const PlanEdit: z.ZodType<PlanEdit> = z.lazy(() =>
  z.union([
    SimpleEdit,
    z.strictObject({ kind: z.literal('several'), edits: z.array(PlanEdit).max(PLAN_LIMITS.maxSteps) }),
  ]),
);

/** Reads an edit from any value. Returns it, or every invalid field with the reason. Never throws. */
export function readPlanEdit(value: unknown): Read<PlanEdit> {
  const parsed = PlanEdit.safeParse(value);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: fieldIssues(parsed.error) };
}

/**
 * Edits with the same key, one after the other, are one step of undo: typing in one field. Undefined for what always is
 * a step of its own.
 */
export function undoKey(edit: PlanEdit): string | undefined {
  switch (edit.kind) {
    case 'setDetails':
      return `details ${Object.keys(edit.patch).join()}`;
    case 'setStep':
    case 'setHold':
    case 'setBreath':
      return `${edit.step} ${Object.keys(edit.patch).join()}`;
    case 'setSeconds':
    case 'setBreathSeconds':
    case 'setEven':
    case 'setFirstSide':
    case 'setOnlySide':
    case 'setSidesKind':
    case 'setSetUp':
    case 'setOtherSetUp':
      return `${edit.step} ${edit.kind}`;
    case 'setHoldSeconds':
      return `${edit.step} ${edit.side}`;
    default:
      return undefined;
  }
}
