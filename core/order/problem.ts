import { propMoves } from '#core/props';
import type { BreathSpot, OrderRules } from './rules';
import type { Unit } from './units';

/** The cost of a step after another, by kind. */
export interface Tally {
  family: number;
  propMove: number;
  wall: number;
  side: number;
}

export const NOTHING: Tally = { family: 0, propMove: 0, wall: 0, side: 0 };

/** One broken rule outweighs whatever can be saved. */
export const BROKEN = 1_000_000;

/**
 * Units to be put into an order: which are fixed, what each costs after each other (`cost[from][to]`, with broken rules
 * between neighbours in it), and what must come before what (bits over the movable ones).
 */
export interface Problem {
  units: readonly Unit[];
  /** Indices of units that may move, and of those that may not by their place among all. */
  movable: readonly number[];
  fixedAt: ReadonlyMap<number, number>;
  cost: readonly (readonly number[])[];
  first: readonly number[];
  /** For every unit the units that have to come before it. */
  before: readonly (readonly number[])[];
  answers: boolean;
  breath: BreathSpot;
  /** What rouses comes before what quiets. */
  rousing: boolean;
}

/** What one unit costs after another; `from` null: as the first. */
export function tallyOf(from: Unit | null, to: Unit): Tally {
  const changes = from !== null && to.begins !== null && from.ends.length > 0 && !from.ends.includes(to.begins);
  return {
    family: changes ? 1 : 0,
    propMove: to.firstProps === null ? 0 : propMoves(from?.lastProps ?? [], to.firstProps).length,
    wall: to.atWall && !from?.atWall ? 1 : 0,
    side: from?.lastSide && to.firstSide && from.lastSide !== to.firstSide ? 1 : 0,
  };
}

export const costOf = (tally: Tally, weights: OrderRules['weights']): number =>
  weights.family * tally.family +
  weights.propMove * tally.propMove +
  weights.wall * tally.wall +
  weights.side * tally.side;

/** Whether two units are held long on the same joint. */
export const sameJoint = (a: Unit, b: Unit): boolean => a.longOn.some((joint) => b.longOn.includes(joint));

/** Whether a back bend and a deep fold follow each other, whichever comes first, with nothing neutral between. */
export const bendsMeet = (from: Unit, to: Unit): boolean =>
  ((from.bends | to.bends) & 3) === 3 && (from.bends & to.bends) === 0;

/** Counterposes that some step of the plan could give; what no step can give is reported and not required. */
export function answerable(units: readonly Unit[]): Unit[] {
  return units.map((unit, i) => {
    const others = units.reduce((bits, other, j) => (j === i ? bits : bits | other.answers), 0);
    return { ...unit, needs: unit.needs & others };
  });
}

/** Builds the ordering problem. `pairs`: indices of units, the first of which comes before the second. */
export function problemOf(
  all: readonly Unit[],
  rules: OrderRules,
  breath: BreathSpot,
  pairs: readonly (readonly [number, number])[],
): Problem {
  const units = answerable(all);
  const indices = units.map((_, i) => i);
  const joints = rules.longSeconds !== null;
  return {
    units,
    movable: indices.filter((i) => !units[i]!.fixed),
    fixedAt: new Map(indices.filter((i) => units[i]!.fixed).map((i) => [i, i])),
    cost: units.map((from) =>
      units.map(
        (to) =>
          costOf(tallyOf(from, to), rules.weights) +
          (joints && sameJoint(from, to) ? BROKEN : 0) +
          (rules.neutral && bendsMeet(from, to) ? BROKEN : 0),
      ),
    ),
    first: units.map((to) => costOf(tallyOf(null, to), rules.weights)),
    before: indices.map((i) => pairs.filter(([, after]) => after === i).map(([before]) => before)),
    answers: rules.answer,
    breath,
    rousing: rules.rousing,
  };
}

/** The number of set bits of two. */
export const countBits = (bits: number): number => (bits & 1) + ((bits >> 1) & 1);

/**
 * Appends one unit to a sequence: its cost, broken rules included, and the counterposes pending after it. `pending`
 * holds those pending before it.
 */
export function transition(
  problem: Problem,
  from: number,
  pending: number,
  to: number,
): { cost: number; pending: number } {
  const unit = problem.units[to]!;
  if (from < 0) return { cost: problem.first[to]!, pending: 0 };
  if (!problem.answers) return { cost: problem.cost[from]![to]!, pending: 0 };
  const unanswered = countBits(pending & ~unit.answers);
  return {
    cost: problem.cost[from]![to]! + unanswered * BROKEN,
    pending: problem.units[from]!.needs & ~unit.answers,
  };
}

/** The cost of counterposes still pending at the end. */
export const atEnd = ({ answers, units }: Problem, last: number, pending: number): number =>
  answers && last >= 0 ? (countBits(pending) + countBits(units[last]!.needs)) * BROKEN : 0;

/** Whether a breath is out of its place, with holds before it or holds still to come. */
export function outOfPlace(spot: BreathSpot, before: boolean, after: boolean): boolean {
  switch (spot) {
    case 'first':
      return before;
    case 'last':
      return after;
    case 'ends':
      return before && after;
    case 'anywhere':
      return false;
  }
}

/** Whether something that quiets is among the units placed, at which what rouses comes too late. */
const isRousedLate = ({ rousing, units }: Problem, to: number, placed: (unit: number) => boolean): boolean =>
  rousing && units[to]!.effect === 'rousing' && units.some((unit, i) => unit.effect === 'quieting' && placed(i));

/** What a unit costs for where it comes among all: a breath out of its place, what rouses after what quiets. */
export function placeCost(problem: Problem, to: number, placed: (unit: number) => boolean): number {
  const { breath, units } = problem;
  const late = isRousedLate(problem, to, placed) ? BROKEN : 0;
  if (!units[to]!.isBreath) return late;
  const has = (is: boolean): boolean => units.some((unit, i) => unit.isHold && i !== to && placed(i) === is);
  return late + (outOfPlace(breath, has(true), has(false)) ? BROKEN : 0);
}

/**
 * The cost of a whole sequence of units, broken rules included; Infinity where one comes before what it must follow.
 */
export function costOfSequence(problem: Problem, sequence: readonly number[]): number {
  const placed = new Set<number>();
  let [cost, last, pending] = [0, -1, 0];
  for (const to of sequence) {
    if (!problem.before[to]!.every((i) => placed.has(i))) return Infinity;
    cost += placeCost(problem, to, (i) => placed.has(i));
    const next = transition(problem, last, pending, to);
    cost += next.cost;
    [last, pending] = [to, next.pending];
    placed.add(to);
  }
  return cost + atEnd(problem, last, pending);
}

/** A whole sequence from an order of the movable ones: the fixed ones stand where they are. */
export function sequenceOf({ units, fixedAt }: Problem, order: readonly number[]): number[] {
  let next = 0;
  return units.map((_, place) => fixedAt.get(place) ?? order[next++]!);
}
