import { breathCost } from '#core/breath';
import type { Position } from '#core/catalogue';
import type { Plan, Step } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import type { Demands, SessionDemand } from './demands';
import type { Knowledge } from './knowledge';

/** How much of something a class demands, and in which of its steps. */
interface AskedInAll {
  amount: number;
  steps: readonly number[];
}
export type SessionDemands = Readonly<Record<SessionDemand, AskedInAll>>;

/** A rest on the floor of less than this is left without care. */
const LAIN_SECONDS = 180;
const LOW: ReadonlySet<Position['family']> = new Set(['supine', 'prone', 'sideLying', 'wall']);

/** Whether a step is done low down: lying, or with the head hanging. undefined for what goes on where one is. */
function isLow(step: Step, asks: Demands, knowledge: Knowledge): boolean | undefined {
  if (step.kind !== 'hold')
    return step.kind === 'breath' && !step.moves ? undefined : step.kind === 'breath' ? false : undefined;
  const family = knowledge.library.position(step.position)?.family;
  return family === undefined ? undefined : LOW.has(family) || asks.has('headBelowHeart');
}

/**
 * What a class demands in total: its longest flat rest, its strokes, its holding of the breath, how often one gets up
 * from lying.
 */
export function sessionDemands(plan: Plan, asks: readonly Demands[], knowledge: Knowledge): SessionDemands {
  const timeline = compileTimeline(plan, knowledge.library);
  const secondsOf = (i: number): number => {
    const span = timeline.steps[i];
    return span ? (span.endMs - span.startMs) / 1000 : 0;
  };
  const inAll = (trait: 'strokes' | 'prone'): number[] => [...asks.keys()].filter((i) => asks[i]?.has(trait));
  const held = plan.steps.map((step) =>
    step.kind === 'breath'
      ? breathCost(step.practice).retentionMs / 1000
      : step.kind === 'hold' && step.breath
        ? breathCost(step.breath.practice).retentionMs / 1000
        : 0,
  );
  const sum = (steps: readonly number[], of: (i: number) => number): number =>
    steps.reduce((total, i) => total + of(i), 0);

  let flat: number[] = [];
  let longestFlat: number[] = [];
  const up: number[] = [];
  let lain = 0;
  for (const [i, step] of plan.steps.entries()) {
    const goesOn = step.kind === 'rest' || step.kind === 'talk' || (step.kind === 'breath' && !step.moves);
    if (asks[i]?.has('flatSupine') || (goesOn && flat.length > 0)) flat.push(i);
    else flat = [];
    if (sum(flat, secondsOf) > sum(longestFlat, secondsOf)) longestFlat = [...flat];

    const low = isLow(step, asks[i] ?? new Map(), knowledge);
    if (low === true) lain += secondsOf(i);
    else if (low === false) {
      if (lain >= LAIN_SECONDS) up.push(i);
      lain = 0;
    }
  }
  // At the end everyone gets up.
  if (lain >= LAIN_SECONDS) up.push(plan.steps.length - 1);

  const [strokes, prone] = [inAll('strokes'), inAll('prone')];
  const holding = [...held.keys()].filter((i) => (held[i] ?? 0) > 0);
  return {
    flatRest: { amount: sum(longestFlat, secondsOf), steps: longestFlat },
    strokes: { amount: sum(strokes, (i) => asks[i]?.get('strokes') ?? 0), steps: strokes },
    retention: { amount: sum(holding, (i) => held[i] ?? 0), steps: holding },
    gettingUp: { amount: up.length, steps: up },
    prone: { amount: sum(prone, secondsOf), steps: prone },
    length: { amount: timeline.totals.totalMs / 1000, steps: [] },
  };
}
