import {
  BENDS,
  counterposeFor,
  effectOf,
  needsCounterpose,
  type Bend,
  type Effect,
  type Library,
  type Position,
} from '#core/catalogue';
import { lastRestIndex } from '#core/fit';
import type { Plan, Step } from '#core/plan';
import type { PlacedProp } from '#core/props';
import type { Phase, Timeline } from '#core/timeline';
import { jointsOf, type OrderRules } from './rules';

type Family = Position['family'];

/** What goes through an order as one: a hold, a breath or a rest with props, and the thin steps that follow it. */
export interface Unit {
  stepIds: readonly string[];
  name: string;
  /** It keeps its place: pinned, or the last rest. */
  fixed: boolean;
  /** How the group is in the room when it begins, and when it is over; null if that is not known. */
  begins: Family | null;
  ends: readonly Family[];
  atWall: boolean;
  /** null: whatever lies there stays. */
  firstProps: readonly PlacedProp[] | null;
  lastProps: readonly PlacedProp[];
  firstSide: 'left' | 'right' | null;
  lastSide: 'left' | 'right' | null;
  isHold: boolean;
  isBreath: boolean;
  /** Bits by place in `BENDS`. */
  needs: number;
  answers: number;
  /** What it asks a counterpose for, as bits, whether or not any step here is one. */
  bends: number;
  effect: Effect | null;
  /** The joints it works on for long; none if it is not long. */
  longOn: readonly string[];
}

/** A plan as units in their order, and the thin steps before the first, which stay there. */
export interface Units {
  opening: readonly string[];
  units: readonly Unit[];
}

const bits = (bends: readonly Bend[]): number => bends.reduce((sum, bend) => sum | (1 << BENDS.indexOf(bend)), 0);

const leads = (step: Step): boolean =>
  step.kind === 'hold' || step.kind === 'breath' || (step.kind === 'rest' && step.setUp !== null);

/** The position a step is held in, where the library has it. */
function positionOf(step: Step, library: Library): Position | undefined {
  if (step.kind === 'hold') return library.position(step.position);
  return step.kind === 'breath' && step.moves ? library.position(step.moves.position) : undefined;
}

/** What is lain on. */
const UNDER_A_BACK = ['head', 'spine', 'upperBack', 'sacrum'];

/**
 * A rest is lying; a breath in stillness is sitting, or lying where something is under head or back; what the library
 * does not know is not counted.
 */
function familyOf(step: Step, position: Position | undefined): Family | null {
  if (position) return position.family;
  if (step.kind === 'rest') return 'supine';
  if (step.kind !== 'breath' || step.moves) return null;
  return step.setUp.some(({ place }) => UNDER_A_BACK.includes(place)) ? 'supine' : 'seated';
}

/** Whether a step rouses or quiets, as the library has it. */
function effectIn(step: Step, position: Position | undefined, library: Library): Effect | null {
  const technique = step.kind === 'breath' && !step.moves ? library.technique(step.technique) : undefined;
  return technique ? effectOf(technique) : (position?.effect ?? null);
}

const longestMs = (phases: readonly Phase[]): number => {
  const sides = new Map<number, number>();
  for (const phase of phases)
    if (phase.kind === 'hold') sides.set(phase.turn, (sides.get(phase.turn) ?? 0) + phase.endMs - phase.startMs);
  return Math.max(0, ...sides.values());
};

const sideOf = (phase: Phase | undefined): 'left' | 'right' | null =>
  phase?.side === 'left' || phase?.side === 'right' ? phase.side : null;

/** A plan as what an order can move: each hold, breath or rest with props, and the thin steps after it, as one. */
export function unitsOf(plan: Plan, library: Library, timeline: Timeline, rules: OrderRules): Units {
  const opening: string[] = [];
  const units: Unit[] = [];
  const lastRest = plan.steps[lastRestIndex(plan, library)]?.id;
  for (const [index, step] of plan.steps.entries()) {
    const span = timeline.steps[index]!;
    const phases = timeline.phases.slice(span.firstPhase, span.endPhase);
    const before = units.at(-1);
    if (!leads(step) && step.id !== lastRest) {
      // A rest without props of its own, talk and loosening belong to what they follow.
      if (!before) opening.push(step.id);
      else
        units[units.length - 1] = {
          ...before,
          stepIds: [...before.stepIds, step.id],
          fixed: before.fixed || step.pinned,
        };
      continue;
    }
    const position = positionOf(step, library);
    const begins = familyOf(step, position);
    const sided = phases.filter((phase) => sideOf(phase) !== null);
    const rest = step.kind === 'rest';
    const firstProps = rest && step.setUp === null ? null : (phases[0]?.props ?? []);
    const isLong = rules.longSeconds !== null && longestMs(phases) >= rules.longSeconds * 1000;
    units.push({
      stepIds: [step.id],
      name: step.name,
      fixed: step.pinned || step.id === lastRest,
      begins,
      ends: begins === null ? [] : [begins, position?.comesOutInto ?? begins],
      atWall: begins === 'wall' || (firstProps ?? []).some(({ kind, optional }) => kind === 'wall' && !optional),
      firstProps,
      lastProps: phases.at(-1)?.props ?? firstProps ?? [],
      firstSide: sideOf(sided[0]),
      lastSide: sideOf(sided.at(-1)),
      isHold: step.kind === 'hold' && step.id !== lastRest,
      isBreath: step.kind === 'breath' && step.moves === null,
      needs: position ? bits(needsCounterpose(position)) : 0,
      answers: position ? bits(counterposeFor(position)) : rest ? bits(['fold']) : 0,
      bends: position ? bits(needsCounterpose(position)) : 0,
      effect: step.id === lastRest ? null : effectIn(step, position, library),
      longOn: position && isLong && step.id !== lastRest ? jointsOf(position) : [],
    });
  }
  return { opening, units };
}
