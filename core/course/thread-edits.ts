import { QUARTERS, type BreathPractice, type Ratio } from '#core/breath';
import type { Library } from '#core/catalogue';
import {
  addStep,
  breathFrom,
  holdFrom,
  practiceOf,
  setBreath,
  setHold,
  setHoldSeconds,
  setSeconds,
  setSetUp,
  sideSeconds,
  type Plan,
  type PlanEdit,
  type Stage,
  type Step,
} from '#core/plan';
import type { Seconds } from '#core/numbers';
import type { Thread, ThreadOf } from './thread';

/** What a thread has to say of a plan: the edits that give it what a week has, or why there are none. */
export type ThreadEdits = { ok: true; edits: PlanEdit[] } | { ok: false; reason: string };

const GONE: ThreadEdits = { ok: false, reason: 'Its step is no longer in the plan.' };
const done = (edits: PlanEdit[]): ThreadEdits => ({ ok: true, edits });
const stepOf = ({ steps }: Plan, id: string): Step | undefined => steps.find((step) => step.id === id);

/** The steps whose length a thread says. */
export function stepsOfLength({ of }: ThreadOf<'length'>, { steps }: Plan, library: Library): Step[] {
  return steps.filter((step) =>
    of.kind === 'family'
      ? step.kind === 'hold' && library.position(step.position)?.family === of.family
      : step.id === of.step,
  );
}

/** A stage of a hold, and where it stands among the others; undefined where it is gone. */
function stageOf({ of }: ThreadOf<'length'>, step: Step | undefined): { stage: Stage; at: number } | undefined {
  if (of.kind !== 'stage' || step?.kind !== 'hold') return undefined;
  const at = step.stages.findIndex(({ id }) => id === of.stage);
  const stage = step.stages[at];
  return stage && { stage, at };
}

/** The length of a step in seconds a side, the longer of its two; undefined for a breath. */
function lengthOf(step: Step): Seconds | undefined {
  if (step.kind === 'breath') return undefined;
  if (step.kind !== 'hold') return step.seconds;
  const { left, right } = sideSeconds(step.sides);
  return Math.max(left, right);
}

/** The counts of the first counted breath of a practice, where they are whole. */
function countsOf(practice: BreathPractice | undefined): Ratio | undefined {
  const part = practice?.sets.flatMap(({ parts }) => parts).find(({ kind }) => kind === 'cycle');
  if (part?.kind !== 'cycle') return undefined;
  const { in: breathIn, holdFull, out, holdEmpty } = part;
  const counts = { in: breathIn, holdFull, out, holdEmpty };
  return QUARTERS.every((quarter) => Number.isInteger(counts[quarter])) ? counts : undefined;
}

/** A practice with other counts in every cycle that has the counts of its first. */
function withCounts(practice: BreathPractice, from: Ratio, to: Ratio): BreathPractice {
  return {
    ...practice,
    sets: practice.sets.map((set) => ({
      ...set,
      parts: set.parts.map((part) =>
        part.kind === 'cycle' && QUARTERS.every((quarter) => part[quarter] === from[quarter])
          ? { ...part, ...to }
          : part,
      ),
    })),
  };
}

/** What a plan says already of what a thread grows: seconds, pieces, hundredths; undefined where it has none. */
export function numberIn(
  thread: ThreadOf<'length' | 'props' | 'talk'>,
  plan: Plan,
  library: Library,
): number | undefined {
  if (thread.kind === 'length' && thread.of.kind === 'stage') {
    const length = stageOf(thread, stepOf(plan, thread.of.step))?.stage.length;
    return length?.kind === 'fixed' ? length.seconds : undefined;
  }
  if (thread.kind === 'length') {
    const lengths = stepsOfLength(thread, plan, library).flatMap((step) => lengthOf(step) ?? []);
    return lengths.length > 0 ? Math.max(...lengths) : undefined;
  }
  if (thread.kind === 'talk') return Math.round((100 * talkSeconds(plan)) / plan.classSeconds);
  const step = stepOf(plan, thread.step);
  if (!step || !('setUp' in step)) return undefined;
  return (step.setUp ?? []).find(({ id }) => id === thread.row)?.count ?? 0;
}
export const countsIn = (thread: ThreadOf<'breath'>, plan: Plan): Ratio | undefined =>
  countsOf(practiceOf(stepOf(plan, thread.step)));

const talkSeconds = ({ steps }: Plan): Seconds =>
  steps.reduce((sum, step) => sum + (step.kind === 'talk' ? step.seconds : 0), 0);
const TALK_GRID: Seconds = 5;

export function lengthEdits(thread: ThreadOf<'length'>, plan: Plan, library: Library, to: Seconds): ThreadEdits {
  const steps = stepsOfLength(thread, plan, library);
  if (steps.length === 0)
    return thread.of.kind === 'family' ? { ok: false, reason: 'There is no such hold in the plan.' } : GONE;
  if (thread.of.kind === 'stage') return stageEdits(thread, steps[0], to);
  if (steps.some(({ kind }) => kind === 'breath'))
    return { ok: false, reason: 'A breath is as long as its rounds: let its counts grow.' };
  return done(steps.map(({ id, kind }) => (kind === 'hold' ? setHoldSeconds(id, 'even', to) : setSeconds(id, to))));
}

/** Another length for a stage. The stage next to it takes up the difference, so the hold keeps its length. */
function stageEdits(thread: ThreadOf<'length'>, step: Step | undefined, to: Seconds): ThreadEdits {
  const found = stageOf(thread, step);
  if (!found || step?.kind !== 'hold') return { ok: false, reason: 'Its stage is no longer in the hold.' };
  const { length } = found.stage;
  if (length.kind !== 'fixed')
    return { ok: false, reason: 'Its stage shares the remaining time: give it a length of its own.' };
  const beside = found.at + 1 < step.stages.length ? found.at + 1 : found.at - 1;
  const stages = step.stages.map((one, i): Stage => {
    const by = i === found.at ? to - length.seconds : i === beside ? length.seconds - to : 0;
    if (by === 0 || one.length.kind !== 'fixed') return one;
    return { ...one, length: { kind: 'fixed', seconds: one.length.seconds + by } };
  });
  if (stages.some((one) => one.length.kind === 'fixed' && one.length.seconds < 1))
    return { ok: false, reason: 'The stage next to it has no time left to give.' };
  return done([setHold(step.id, { stages })]);
}

export function breathEdits({ step: id }: ThreadOf<'breath'>, plan: Plan, to: Ratio): ThreadEdits {
  const step = stepOf(plan, id);
  if (!step) return GONE;
  const [practice, from] = [practiceOf(step), countsOf(practiceOf(step))];
  if (!practice || !from) return { ok: false, reason: 'It has no breath counted in whole numbers.' };
  const counted = withCounts(practice, from, to);
  if (step.kind === 'breath') return done([setBreath(id, { practice: counted })]);
  return step.kind === 'hold' && step.breath
    ? done([setHold(id, { breath: { ...step.breath, practice: counted } })])
    : GONE;
}

export function propsEdits({ step: id, row }: ThreadOf<'props'>, plan: Plan, to: number): ThreadEdits {
  const step = stepOf(plan, id);
  if (!step) return GONE;
  if (!('setUp' in step) || !(step.setUp ?? []).some((one) => one.id === row))
    return { ok: false, reason: 'The prop is no longer in its set-up.' };
  const setUp = (step.setUp ?? []).flatMap((one) => (one.id !== row ? [one] : to > 0 ? [{ ...one, count: to }] : []));
  return done([setSetUp(id, setUp)]);
}

export function talkEdits(plan: Plan, to: number): ThreadEdits {
  const now = talkSeconds(plan);
  if (now === 0) return { ok: false, reason: 'There is no talk in the plan.' };
  const share = (to * plan.classSeconds) / 100 / now;
  return done(
    plan.steps.flatMap((step) =>
      step.kind === 'talk'
        ? [setSeconds(step.id, Math.max(TALK_GRID, TALK_GRID * Math.round((step.seconds * share) / TALK_GRID)))]
        : [],
    ),
  );
}

/** The id of the step that brings something new: the same in every week. */
const stepOfNew = ({ id }: Thread): string => `new-${id}`.slice(0, 64);

export function newEdits(thread: ThreadOf<'new'>, plan: Plan, library: Library): ThreadEdits {
  const at = thread.after === null ? 0 : plan.steps.findIndex(({ id }) => id === thread.after) + 1;
  if (at === 0 && thread.after !== null)
    return { ok: false, reason: 'The step it comes after is no longer in the plan.' };
  const id = stepOfNew(thread);
  const position = library.position(thread.entry);
  if (position) return done([addStep(holdFrom(position, plan.approach, id, plan.where), at)]);
  const technique = library.technique(thread.entry);
  return technique
    ? done([addStep(breathFrom(technique, id), at)])
    : { ok: false, reason: 'The library has no such position or technique.' };
}
