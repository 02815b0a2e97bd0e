import { taughtStep } from '#core/breath';
import { withRollSide, wordsOnSide, type Library } from '#core/catalogue';
import { positionOfStage, type Plan } from '#core/plan';
import type { Phase } from '#core/timeline';

/** The steps in which a technique is taught, as sentences. */
const taughtLines = (technique: string, library: Library): string[] =>
  (library.technique(technique)?.taught ?? []).map((line) => {
    const { name, says } = taughtStep(line);
    return name ? `${name}. ${says}` : says;
  });

/**
 * What is said while the body gets in or comes out, line by line, for the side that is meant; while a breath practice is
 * set up, how it is taught.
 */
export function saidDuring(plan: Plan, phase: Phase, library: Library): string[] {
  const step = plan.steps[phase.stepIndex];
  if (step?.kind === 'breath' && phase.kind === 'setup') return taughtLines(step.technique, library);
  const exit = step?.kind === 'breath' && phase.kind === 'leave' ? step.moves?.exit?.text : undefined;
  if (exit) return [wordsOnSide(exit, phase.side)];
  if (step?.kind !== 'hold') return [];
  const at = (stage: number) => library.position(positionOfStage(step, stage));
  let lines: readonly string[] = [];
  if (phase.kind === 'enter') lines = step.waysIn ?? at(0)?.waysIn ?? [];
  if (phase.kind === 'leave') lines = step.waysOut ?? at(step.stages.length - 1)?.waysOut ?? [];
  const rollTo = plan.rules?.rollTo ?? null;
  return lines.map((line) => withRollSide(wordsOnSide(line, phase.side), rollTo));
}

/** How to get into the position of a stage that is another than that of the stage before it; nothing in the others. */
export function saidBetween(plan: Plan, phase: Phase, library: Library): string[] {
  const step = plan.steps[phase.stepIndex];
  if (step?.kind !== 'hold' || phase.kind !== 'hold' || !phase.stage || phase.stage.index === 0) return [];
  const [before, now] = [phase.stage.index - 1, phase.stage.index].map((stage) => positionOfStage(step, stage));
  const lines = before === now ? [] : (library.position(now ?? '')?.waysIn ?? []);
  return lines.map((line) => wordsOnSide(line, phase.side));
}
