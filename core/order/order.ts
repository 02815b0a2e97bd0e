import type { Library } from '#core/catalogue';
import type { FieldIssue } from '#core/document';
import { editedPlan, takeOrder, type Plan } from '#core/plan';
import { compileTimeline, DEFAULT_RULES, type TimelineRules } from '#core/timeline';
import { lowerBound } from './bound';
import { circleOf } from './circle';
import { exactOrder, MAX_EXACT } from './exact';
import { findViolations, type BrokenRule } from './violations';
import {
  BROKEN,
  costOf,
  costOfSequence,
  NOTHING,
  problemOf,
  sequenceOf,
  tallyOf,
  type Problem,
  type Tally,
} from './problem';
import type { BreathSpot, OrderRules } from './rules';
import { goodOrder } from './search';
import { unitsOf, type Units } from './units';

/** The most movable units: the work grows with the third power. */
export const MAX_MOVABLE = 60;

/** An order, with its cost. */
interface Costed {
  /** Ids of all steps of the plan, in order. */
  stepIds: readonly string[];
  tally: Tally;
  /** The weighted sum of the tally. */
  cost: number;
  /** Prop moves of the whole plan, those within a step included. */
  propMoves: number;
  broken: readonly BrokenRule[];
}

/** A rule that keeps the order from being quieter, and what there would be without it. */
export interface HeldBack {
  rule:
    | { kind: 'answer' | 'neutral' | 'rousing' | 'joints' | 'breath' }
    | { kind: 'pinned'; stepId: string; name: string }
    | { kind: 'pair'; before: string; after: string };
  /** How much the cost would fall, and by what. */
  saves: number;
  tally: Tally;
}

export type Order =
  | {
      kind: 'ordered';
      before: Costed;
      after: Costed;
      /** How good it is: the best of all, or what no order can cost less than. */
      proof: { kind: 'best' } | { kind: 'atLeast'; cost: number };
      movable: number;
    }
  | { kind: 'refused'; issues: readonly FieldIssue[] };

/** How far a cost may be from the best possible, as a share; null if that cannot be computed. */
export function shareFromBest({ after, proof }: Extract<Order, { kind: 'ordered' }>): number | null {
  if (proof.kind === 'best' || after.cost <= proof.cost) return 0;
  return proof.cost > 0 ? (after.cost - proof.cost) / proof.cost : null;
}

export interface OrderPlanned {
  plan: Plan;
  library: Library;
  rules?: TimelineRules;
}

interface OrderProblem {
  planned: OrderPlanned;
  units: Units;
  pairs: [number, number][];
  breath: BreathSpot;
}

function orderProblem(planned: OrderPlanned, orderRules: OrderRules): OrderProblem {
  const { plan, library, rules = DEFAULT_RULES } = planned;
  const units = unitsOf(plan, library, compileTimeline(plan, library, rules), orderRules);
  const unitOf = new Map(units.units.flatMap(({ stepIds }, i) => stepIds.map((id) => [id, i] as const)));
  const pairs = plan.orderPairs.flatMap(({ before, after }): [number, number][] => {
    const [a, b] = [unitOf.get(before), unitOf.get(after)];
    return a === undefined || b === undefined || a === b ? [] : [[a, b]];
  });
  return { planned, units, pairs, breath: orderRules.breath[plan.approach] };
}

const tallySum = (a: Tally, b: Tally): Tally => ({
  family: a.family + b.family,
  propMove: a.propMove + b.propMove,
  wall: a.wall + b.wall,
  side: a.side + b.side,
});

function costed(
  { planned, units: { opening, units }, breath }: OrderProblem,
  rules: OrderRules,
  sequence: readonly number[],
): Costed {
  const stepIds = [...opening, ...sequence.flatMap((i) => units[i]!.stepIds)];
  const tally = sequence
    .map((to, at) => tallyOf(at === 0 ? null : units[sequence[at - 1]!]!, units[to]!))
    .reduce(tallySum, NOTHING);
  const plan = editedPlan(planned.plan, takeOrder(stepIds));
  return {
    stepIds,
    tally,
    cost: costOf(tally, rules.weights),
    propMoves: compileTimeline(plan, planned.library, planned.rules ?? DEFAULT_RULES).totals.propMoves,
    broken: findViolations(units, rules, breath, sequence),
  };
}

/** The cost of a plan's present order; prop moves within steps are counted too. */
export function tallyOfPlan(planned: OrderPlanned, rules: OrderRules): Tally {
  const ask = orderProblem(planned, rules);
  const { tally, propMoves } = costed(
    ask,
    rules,
    ask.units.units.map((_, i) => i),
  );
  return { ...tally, propMove: propMoves };
}

const refuse = (field: string, reason: string): Order => ({ kind: 'refused', issues: [{ field, reason }] });

/** What makes every order impossible: a cycle, or a fixed step on the wrong side of one it must follow. */
function contradiction({ units: { units }, pairs }: OrderProblem): string | null {
  const circle = circleOf(units.length, pairs);
  const named = (i: number): string => `“${units[i]!.name}”`;
  if (circle) return `These rules go in a circle: ${[...circle, circle[0]!].map(named).join(' before ')}.`;
  const wrong = pairs.find(([a, b]) => units[a]!.fixed && units[b]!.fixed && a > b);
  if (wrong)
    return `${named(wrong[0])} should come before ${named(wrong[1])}, but both are pinned the other way round.`;
  return null;
}

const SEED = 20_26;

interface Solved {
  order: number[];
  cost: number;
  isBest: boolean;
}

function solved(problem: Problem, ticks?: (share: number) => void): Solved | null {
  if (problem.movable.length <= MAX_EXACT) {
    const found = exactOrder(problem, ticks);
    return found && { ...found, isBest: true };
  }
  const found = goodOrder(problem, SEED, ticks);
  return found && { ...found, isBest: false };
}

/**
 * The order of the steps that may move with the least cost of changes of position, prop moves, ways to the wall and
 * changes of side, under the rules: pinned steps and the last rest keep their places, pairs keep theirs; of the other
 * rules as few as possible are broken before anything is saved, and those that are broken are listed. Thin steps go
 * with the one they follow. The best of all orders up to 14 movable; beyond that a good one, with what no order can
 * cost less than. `ticks` hears how much is done, from 0 to 1. Never throws; what cannot be ordered is answered in
 * words.
 */
export function orderSteps(
  planned: OrderPlanned,
  rules: OrderRules,
  ticks: (share: number) => void = () => undefined,
): Order {
  const ask = orderProblem(planned, rules);
  const { units, pairs, breath } = ask;
  const problem = problemOf(units.units, rules, breath, pairs);
  const movable = problem.movable.length;
  const against = contradiction(ask);
  if (against) return refuse('plan.orderPairs', against);
  if (movable < 2) return refuse('plan.steps', 'There is nothing to reorder: fewer than two steps can move.');
  if (movable > MAX_MOVABLE)
    return refuse(
      'plan.steps',
      `${movable} steps may move, and an order is looked for among at most ${MAX_MOVABLE}. Pin those that should stay where they are.`,
    );
  const exact = movable <= MAX_EXACT;
  const found = solved(problem, (share) => ticks(exact ? share : share * 0.4));
  if (!found)
    return refuse('plan.orderPairs', 'No order keeps both the pinned places and the required order. Unpin a step.');
  const now = problem.units.map((_, i) => i);
  // The present order stays if nothing is better.
  const sequence = costOfSequence(problem, now) <= found.cost ? now : sequenceOf(problem, found.order);
  const before = costed(ask, rules, now);
  const after = costed(ask, rules, sequence);
  if (found.isBest) return { kind: 'ordered', before, after, proof: { kind: 'best' }, movable };
  const least = lowerBound(problem, after.cost, found.cost < BROKEN, (share) => ticks(0.4 + share * 0.6));
  const proof =
    least >= after.cost && found.cost < BROKEN ? { kind: 'best' as const } : { kind: 'atLeast' as const, cost: least };
  return { kind: 'ordered', before, after, proof, movable };
}

/** The rules that can be left out one at a time, each with the plan and rules without it. */
function without({ plan }: OrderPlanned, rules: OrderRules, breath: BreathSpot) {
  const list: { rule: HeldBack['rule']; plan: Plan; rules: OrderRules }[] = [];
  if (rules.answer) list.push({ rule: { kind: 'answer' }, plan, rules: { ...rules, answer: false } });
  if (rules.neutral) list.push({ rule: { kind: 'neutral' }, plan, rules: { ...rules, neutral: false } });
  if (rules.rousing) list.push({ rule: { kind: 'rousing' }, plan, rules: { ...rules, rousing: false } });
  if (rules.longSeconds !== null) list.push({ rule: { kind: 'joints' }, plan, rules: { ...rules, longSeconds: null } });
  if (breath !== 'anywhere' && plan.steps.some(({ kind }) => kind === 'breath')) {
    const anywhere = { ...rules.breath, [plan.approach]: 'anywhere' as const };
    list.push({ rule: { kind: 'breath' }, plan, rules: { ...rules, breath: anywhere } });
  }
  for (const { id, name, pinned } of plan.steps) {
    if (!pinned) continue;
    const steps = plan.steps.map((step) => (step.id === id ? { ...step, pinned: false } : step));
    list.push({ rule: { kind: 'pinned', stepId: id, name }, plan: { ...plan, steps }, rules });
  }
  for (const pair of plan.orderPairs) {
    const orderPairs = plan.orderPairs.filter((other) => other !== pair);
    list.push({ rule: { kind: 'pair', ...pair }, plan: { ...plan, orderPairs }, rules });
  }
  return list;
}

/**
 * Each rule that keeps an order from being quieter, and what there would be without that one rule; the one that holds
 * back the most first. Beyond 14 movable steps it only knows of orders that were found.
 */
export function heldBack(
  planned: OrderPlanned,
  rules: OrderRules,
  { after }: Extract<Order, { kind: 'ordered' }>,
  ticks: (share: number) => void = () => undefined,
): HeldBack[] {
  const list = without(planned, rules, rules.breath[planned.plan.approach]);
  const found = list.flatMap((one, i): HeldBack[] => {
    const ask = orderProblem({ ...planned, plan: one.plan }, one.rules);
    const problem = problemOf(ask.units.units, one.rules, ask.breath, ask.pairs);
    const freer =
      problem.movable.length > MAX_MOVABLE ? null : solved(problem, (share) => ticks((i + share) / list.length));
    if (!freer) return [];
    const would = costed(ask, one.rules, sequenceOf(problem, freer.order));
    const saves = after.cost - would.cost;
    // Dropping one rule must not break another.
    return saves > 0 && would.broken.length <= after.broken.length
      ? [{ rule: one.rule, saves, tally: would.tally }]
      : [];
  });
  return found.sort((a, b) => b.saves - a.saves);
}
