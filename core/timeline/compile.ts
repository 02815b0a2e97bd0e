import type { Library } from '#core/catalogue';
import type { Plan, Step } from '#core/plan';
import { toMs } from '#core/numbers';
import { writeBreathStep } from './breath';
import { writeHoldStep } from './hold';
import { remainingNotes } from './remaining';
import { DEFAULT_RULES, rulesFor, type TimelineRules } from './rules';
import { stepSpan, totalsOf } from './totals';
import type { StepSpan, Timeline, Totals } from './types';
import { timelineWriter, type TimelineWriter } from './writer';

function writeStep(writer: TimelineWriter, step: Step, library: Library, rules: TimelineRules): void {
  switch (step.kind) {
    case 'hold':
      return writeHoldStep(writer, step, library, rules);
    case 'breath':
      return writeBreathStep(writer, step, library, rules);
    case 'rest':
      if (step.setUp !== null) writer.setUp(step.setUp, 'both', step.setupSeconds);
      return writer.body(toMs(step.seconds), 'rest');
    case 'move':
    case 'talk':
      return writer.body(toMs(step.seconds), step.kind);
  }
}

/** A plan written step by step, with where each step lies. */
function written(plan: Plan, library: Library, rules: TimelineRules) {
  const writer = timelineWriter(rules);
  const marks = plan.steps.map((step, index) => {
    const [firstPhase, movesBefore] = [writer.phaseCount(), writer.moveCount()];
    writer.begin(step, index);
    writeStep(writer, step, library, rules);
    return { step, index, firstPhase, endPhase: writer.phaseCount(), propMoves: writer.moveCount() - movesBefore };
  });
  const phases = writer.phases();
  const steps: StepSpan[] = marks.map((mark) => stepSpan(mark, phases));
  return { writer, steps, totals: totalsOf(steps, phases, toMs(plan.classSeconds)) };
}

/**
 * Unfolds a plan into an ordered, gapless list of phases in whole milliseconds from 0, with its prompts, bells, notes
 * and totals, by the plan's own rules where it has any. Total: every plan that the schema accepts compiles; what is odd
 * about a step comes back as a note on it. This is the one place where a session's time is added up.
 */
export function compileTimeline(plan: Plan, library: Library, given: TimelineRules = DEFAULT_RULES): Timeline {
  const { writer, steps, totals } = written(plan, library, rulesFor(plan, given));
  const finished = writer.finish();
  return { ...finished, notes: [...finished.notes, ...remainingNotes(plan, totals.spareMs)], steps, totals };
}

/** The totals of a plan, as `compileTimeline` has them, where nothing else is asked for. */
export const totalsOfPlan = (plan: Plan, library: Library, given: TimelineRules = DEFAULT_RULES): Totals =>
  written(plan, library, rulesFor(plan, given)).totals;
