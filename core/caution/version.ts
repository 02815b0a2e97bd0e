import { fitBreath } from '#core/breath';
import type { Library } from '#core/catalogue';
import { PLAN_LIMITS, Step, type BreathStep, type HoldStep, type Plan } from '#core/plan';
import { toSeconds, type Ms } from '#core/numbers';
import { compileTimeline, DEFAULT_RULES, type TimelineRules, type Timeline } from '#core/timeline';

/** What one person does otherwise than the others, and when. */
interface Difference {
  stepId: string;
  /** Place in the plan, from 0. */
  index: number;
  from: string;
  to: string;
  startMs: Ms;
  endMs: Ms;
}

/** A plan as one person does it: step for step as long as that of the others. */
export interface Version {
  plan: Plan;
  differences: readonly Difference[];
}

/** The shortest that something is held in the place of another; shorter, and only the set-up would be left. */
const MIN_HELD_MS = 20_000;

const setupMs = (timeline: Timeline, index: number): Ms => {
  const span = timeline.steps[index];
  const phase = span && timeline.phases[span.firstPhase];
  return phase?.kind === 'setup' && phase.stepIndex === index ? phase.endMs - phase.startMs : 0;
};
const lengthMs = (timeline: Timeline, index: number): Ms => {
  const span = timeline.steps[index];
  return span ? span.endMs - span.startMs : 0;
};
const withSetup = <T extends Step>(step: T, ms: Ms): T =>
  'setupSeconds' in step ? { ...step, setupSeconds: Math.min(toSeconds(ms), PLAN_LIMITS.maxSetup) } : step;

/** The sides a hold is held on, one after the other. */
const turns = ({ sides }: HoldStep): number => ('length' in sides ? 2 : 1);

function heldFor(step: HoldStep, ms: Ms): HoldStep {
  const seconds = toSeconds(ms);
  return {
    ...step,
    breathSeconds: null,
    sides: 'length' in step.sides ? { ...step.sides, length: { kind: 'even', seconds } } : { ...step.sides, seconds },
  };
}

/** A breath that takes so long in total: whole rounds, then quiet breathing. */
function breathedFor(step: BreathStep, ms: Ms): BreathStep | undefined {
  const fit = fitBreath(step.practice, toSeconds(ms));
  if (!fit.ok) return undefined;
  return { ...step, practice: fit.practice, afterSeconds: 0 };
}

/**
 * Makes a step last exactly `wantedMs` at its place in a plan: holds and rests grow or shrink, a breath ends in quiet
 * breathing. undefined if set-up and changes alone take longer.
 */
function fitted(
  plan: Plan,
  index: number,
  step: Step,
  wantedMs: Ms,
  library: Library,
  rules: TimelineRules,
): Step | undefined {
  const at = (one: Step): Timeline => compileTimeline({ ...plan, steps: plan.steps.with(index, one) }, library, rules);
  const own = at(step);
  // Its own time to set up is kept, but not where it would take more than half of what there is.
  const setup = Math.min(setupMs(own, index), Math.floor(wantedMs / 2));
  if (step.kind === 'hold') {
    const sides = turns(step);
    const tried = heldFor(withSetup(step, setup), MIN_HELD_MS);
    const missing = wantedMs - lengthMs(at(tried), index);
    if (missing < 0) return undefined;
    const each = Math.floor(missing / sides);
    // What does not divide by two goes to the set-up.
    return heldFor(withSetup(tried, setup + (missing - each * sides)), MIN_HELD_MS + each);
  }
  if (step.kind === 'breath') {
    const bare = withSetup({ ...step, afterSeconds: 0 }, setup);
    const breathMs = lengthMs(at(bare), index) - setup;
    const fit = breathedFor(bare, wantedMs - setup) ?? (breathMs <= wantedMs - setup ? bare : undefined);
    if (!fit) return undefined;
    const restMs = wantedMs - lengthMs(at(fit), index);
    return restMs < 0 ? undefined : { ...fit, afterSeconds: toSeconds(restMs) };
  }
  const bare = withSetup(step, 0);
  return { ...bare, seconds: toSeconds(wantedMs) };
}

/**
 * A plan as one person does it, with other steps in the place of some of its own (by their ids). Every step begins and
 * ends when it does for the others, so that both are taught in the same room: what stands in a place is held longer or
 * shorter, and set-ups that follow take the time they take for the others. What does not fit into its place is left as
 * it was.
 */
export function versionFor(
  plan: Plan,
  instead: ReadonlyMap<string, Step>,
  library: Library,
  rules: TimelineRules = DEFAULT_RULES,
): Version {
  const original = compileTimeline(plan, library, rules);
  let version = plan;
  const differences: Difference[] = [];
  let otherProps = false;
  for (const [index, step] of plan.steps.entries()) {
    const other = instead.get(step.id);
    const span = original.steps[index];
    const made =
      other && span && fitted(version, index, { ...other, id: step.id }, span.endMs - span.startMs, library, rules);
    // Longer than a step of a plan may be: it does not fit either.
    const fit = made && Step.safeParse(made).success ? made : undefined;
    if (fit && span) {
      version = { ...version, steps: version.steps.with(index, fit) };
      differences.push({
        stepId: step.id,
        index,
        from: step.name,
        to: fit.name,
        startMs: span.startMs,
        endMs: span.endMs,
      });
      otherProps = true;
    } else if (otherProps && 'setupSeconds' in step) {
      // Other props lie there now: they are exchanged in the time the others take.
      version = { ...version, steps: version.steps.with(index, withSetup(step, setupMs(original, index))) };
      otherProps = step.setUp === null;
    }
  }
  return { plan: version, differences };
}
