import { countsInWords } from '#core/breath';
import type { Library } from '#core/catalogue';
import type { Ms } from '#core/numbers';
import { sideMeaning, type Plan, type Step } from '#core/plan';
import { movesInWords, type PropMove } from '#core/props';
import { clockOfMs } from '#core/time';
import type { Phase, PhaseSide, Timeline } from '#core/timeline';

/** A side of a step, or all of one that has no sides, and how long it is held. */
interface OrderTurn {
  side: PhaseSide;
  /** What the side is: `left leg straight`; empty where nobody says. */
  means: string;
  ms: Ms;
}

/** A step in the running order of a class. */
export interface OrderRow {
  /** From 1. */
  number: number;
  name: string;
  /** From the beginning of the class. */
  startMs: Ms;
  lengthMs: Ms;
  turns: OrderTurn[];
  /** What is done to the props before it, and at the change of sides; empty where nothing is. */
  before: string;
  atChange: string;
  /** What to say, with its moment in the turn: `1:00 Let the knee sink`. */
  prompts: string[];
  /** The counts of a breath; empty for everything else. */
  counts: string;
  note: string;
}

const isHeld = ({ kind }: Phase): boolean => kind === 'hold';
const isBreath = (phase: Phase): boolean => 'round' in phase;

/** The turns of a step: each side that is held or breathed, or the step as a whole. */
function turnsOf(step: Step, phases: readonly Phase[], library: Library): OrderTurn[] {
  const practised = phases.filter((phase) => isHeld(phase) || isBreath(phase));
  const turns: OrderTurn[] = [];
  for (const { side, startMs, endMs } of practised.length > 0 ? practised : phases) {
    const turn = turns.find((one) => one.side === side);
    if (turn) turn.ms += endMs - startMs;
    else {
      const means =
        step.kind === 'hold' && (side === 'left' || side === 'right') ? sideMeaning(step, side, library) : '';
      turns.push({ side, means, ms: endMs - startMs });
    }
  }
  return turns;
}

const movesOf = (phase: Phase | undefined): readonly PropMove[] =>
  phase && (phase.kind === 'setup' || phase.kind === 'switch') ? phase.moves : [];

/** The prompts of a step, each said once, with its moment in the turn it belongs to first. */
function promptsOf(index: number, phases: readonly Phase[], timeline: Timeline): string[] {
  const seen = new Set<string>();
  return timeline.prompts.flatMap(({ stepIndex, atMs, text }) => {
    if (stepIndex !== index || seen.has(text)) return [];
    seen.add(text);
    const side = phases.find((phase) => phase.startMs <= atMs && atMs < phase.endMs)?.side;
    const turn = phases.find((phase) => phase.side === side && (isHeld(phase) || isBreath(phase)));
    return [`${clockOfMs(atMs - (turn?.startMs ?? atMs))} ${text}`];
  });
}

/**
 * The running order of a class: a row for each step, with when it begins, how long each side is, what is done to the
 * props and what is said. The notes are the teacher’s own.
 */
export function runningOrder(plan: Plan, timeline: Timeline, library: Library): OrderRow[] {
  return timeline.steps.flatMap(({ stepIndex, startMs, endMs, firstPhase, endPhase }): OrderRow[] => {
    const step = plan.steps[stepIndex];
    if (!step) return [];
    const phases = timeline.phases.slice(firstPhase, endPhase);
    return [
      {
        number: stepIndex + 1,
        name: step.name,
        startMs,
        lengthMs: endMs - startMs,
        turns: turnsOf(step, phases, library),
        before: movesInWords(movesOf(phases.find(({ kind }) => kind === 'setup'))),
        atChange: movesInWords(movesOf(phases.find(({ kind }) => kind === 'switch'))),
        prompts: promptsOf(stepIndex, phases, timeline),
        counts: step.kind === 'breath' ? countsInWords(step.practice) : '',
        note: step.note,
      },
    ];
  });
}
