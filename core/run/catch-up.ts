import type { Plan, Step } from '#core/plan';
import { solve } from '#core/knapsack';
import { toMs, type Ms } from '#core/numbers';
import type { Timeline } from '#core/timeline';
import { advance } from './fold';
import type { Run } from './run';
import { roundsAround, type QueueItem } from './queue';

/** One hold, rest or breath whose length changes, on each side alike. Milliseconds for one side. */
interface Refitted {
  stepIndex: number;
  sides: 1 | 2;
  fromMs: Ms;
  toMs: Ms;
  /** For a breath set: how many rounds are to come, and how many are left of them. */
  rounds?: { from: number; to: number };
}

/** The rest of a session, refitted to end at a moment. */
export interface CatchUp {
  /** Lengths by phase, as the event that takes it carries them; a breath without length is left out. */
  lengths: [phase: number, ms: Ms][];
  changes: Refitted[];
  /** When it then ends, by the clock, and how much later (below zero: earlier) than requested. */
  endMs: Ms;
  offMs: Ms;
}

const GRID_MS = 5000;
/** Where a step says no range: how much of its length, and how much more, may be taken. */
const MIN_SHARE = 0.5;
const MAX_SHARE = 1.5;
const SHORTEST_REST_MS = 15_000;

/** Something whose length is free: its queue items on one side, its length now, and from where to where it may go. */
interface Free {
  stepIndex: number;
  sides: 1 | 2;
  /** One list for each side still to be led; a side's items share its length as they do now. */
  items: QueueItem[][];
  nowMs: Ms;
  leastMs: Ms;
  mostMs: Ms;
  /** The lengths it may have, the shortest first; the one it has is among them. */
  choices: Ms[];
  /** The rounds to come, which may be left out from the last. */
  rounds?: QueueItem[][];
}

/** Lengths from the least to the most on the grid, with the one there is. */
function lengthsBetween(leastMs: Ms, mostMs: Ms, nowMs: Ms): Ms[] {
  const lengths = Array.from({ length: Math.floor((mostMs - leastMs) / GRID_MS) + 1 }, (_, k) => leastMs + k * GRID_MS);
  if (nowMs >= leastMs && nowMs <= mostMs && !lengths.includes(nowMs)) lengths.push(nowMs);
  return lengths.sort((a, b) => a - b);
}

const sum = (items: readonly QueueItem[]): Ms => items.reduce((all, { ms }) => all + ms, 0);

const plannedMs = (timeline: Timeline, items: readonly QueueItem[]): Ms =>
  items.reduce((all, { phase }) => all + timeline.phases[phase]!.endMs - timeline.phases[phase]!.startMs, 0);

function rangeOf(step: Step | undefined, nowMs: Ms): [Ms, Ms] {
  if (!step || step.locked) return [nowMs, nowMs];
  if (step.kind === 'hold') {
    const least = step.range ? toMs(step.range.min) : Math.ceil(nowMs * MIN_SHARE);
    const most = step.range ? toMs(step.range.max) : Math.floor(nowMs * MAX_SHARE);
    return [Math.min(least, nowMs), Math.max(most, nowMs)];
  }
  if (step.kind === 'rest') return [Math.min(SHORTEST_REST_MS, nowMs), nowMs];
  return [nowMs, nowMs];
}

/**
 * A side of a hold, or a rest, with what of it is in the queue and how much of it has been led; Infinity if it is
 * past.
 */
interface Turn {
  stepIndex: number;
  turn: number;
  items: QueueItem[];
  begunMs: Ms;
}

/** The holds and rests to come that are free, the one under way among them. */
function freeOnes(plan: Plan, { timeline, queue }: Run, at: number, intoMs: Ms): Free[] {
  const turns = new Map<string, Turn>();
  for (const [i, item] of queue.entries()) {
    const phase = timeline.phases[item.phase];
    const turn = phase?.kind === 'hold' ? phase.turn : phase?.kind === 'rest' ? 0 : undefined;
    if (!phase || turn === undefined || item.open) continue;
    const key = `${phase.kind} ${phase.stepIndex} ${turn} ${phase.kind === 'rest' ? item.phase : ''}`;
    const known: Turn = turns.get(key) ?? { stepIndex: phase.stepIndex, turn, items: [], begunMs: 0 };
    turns.set(key, known);
    if (i < at) known.begunMs = Infinity;
    else if (i === at) known.begunMs += intoMs;
    known.items.push(item);
  }
  const free: Free[] = [];
  for (const [key, { stepIndex, turn, items, begunMs }] of turns) {
    // A side that was led, or some stages of it, stays as it is; so does a second side whose first was led.
    if (begunMs === Infinity) continue;
    const first = turn === 1 ? turns.get(key.replace(/ 1 $/, ' 0 ')) : undefined;
    // Sides that the plan means to differ are refitted each by itself.
    const isEven = first && plannedMs(timeline, first.items) === plannedMs(timeline, items);
    const together = isEven && free.find((one) => one.items[0] === first.items);
    if (together) {
      together.items.push(items);
      together.sides = 2;
      continue;
    }
    const nowMs = sum(items);
    const isFirstLed = first?.begunMs === Infinity;
    const [leastMs, mostMs] = isFirstLed ? [nowMs, nowMs] : rangeOf(plan.steps[stepIndex], nowMs);
    const least = Math.max(leastMs, begunMs);
    if (mostMs > least)
      free.push({
        stepIndex,
        sides: 1,
        items: [items],
        nowMs,
        leastMs: least,
        mostMs,
        choices: lengthsBetween(least, mostMs, nowMs),
      });
  }
  return free;
}

/** The breath sets that have rounds to come which may be left out: all but the present one, or else the first. */
function freeRounds(plan: Plan, { timeline, queue }: Run, at: number): Free[] {
  const free: Free[] = [];
  for (let i = at; i < queue.length; i++) {
    const rounds = roundsAround(timeline, queue, i);
    if (!rounds) continue;
    const stepIndex = timeline.phases[queue[i]!.phase]?.stepIndex ?? -1;
    const step = plan.steps[stepIndex];
    const coming = rounds.starts
      .map((start, r) => ({ start, items: queue.slice(start, rounds.starts[r + 1] ?? rounds.end) }))
      .filter(({ start }) => start > i)
      .map(({ items }) => items);
    const roundMs = sum(coming.at(-1) ?? []);
    // Sides in turn stay even; rounds that differ in length, and copies of one, cannot be distinguished by their phases.
    const alike = coming.every((items) => sum(items) === roundMs);
    const apart = new Set(coming.flat().map(({ phase }) => phase)).size === coming.flat().length;
    const turns = step?.kind === 'breath' && step.moves !== null && step.moves.sides !== 'together';
    if (step?.kind === 'breath' && !step.locked && !turns && alike && apart && coming.length > 0 && roundMs > 0) {
      const nowMs = coming.length * roundMs;
      const items = [coming.flat()];
      const choices = Array.from({ length: coming.length + 1 }, (_, rounds) => rounds * roundMs);
      free.push({ stepIndex, sides: 1, items, nowMs, leastMs: 0, mostMs: nowMs, choices, rounds: coming });
    }
    i = rounds.end - 1;
  }
  return free;
}

/**
 * A length for each free one, so that together they come as near to `budgetMs` as possible without passing it and,
 * among those, the squared relative distance to the lengths now is least; each at its shortest where even those pass
 * it. Exact.
 */
function fitted(free: readonly Free[], budgetMs: Ms): Ms[] {
  const items = free.map(({ choices, sides, nowMs }) => ({
    ms: choices.map((ms) => ms * sides),
    costs: choices.map((ms) => sides * ((ms - nowMs) / nowMs) ** 2),
  }));
  const solution = solve(items, budgetMs);
  // Too many different fractions of a second: everything stays as it is.
  if (solution === 'tooFine') {
    const nowMs = free.reduce((all, one) => all + one.nowMs * one.sides, 0);
    return free.map((one) => (nowMs <= budgetMs ? one.nowMs : one.leastMs));
  }
  return free.map(({ choices, leastMs }, i) => (solution ? choices[solution.picks[i]!]! : leastMs));
}

/** A side's items with another length in total, in the proportion they have; the last takes what rounding leaves. */
function shared(items: readonly QueueItem[], ms: Ms, begunMs: Ms): [number, Ms][] {
  const whole = sum(items);
  let [seen, given] = [0, 0];
  return items.map((item, i) => {
    seen += item.ms;
    const upTo = i === items.length - 1 ? ms : Math.round((ms * seen) / whole);
    const length = Math.max(i === 0 ? begunMs : 0, upTo - given);
    given += length;
    return [item.phase, length];
  });
}

/**
 * Refits what is to come of a session so that it ends at a moment: every hold within its step's range (locked ones as
 * they are), both sides of a step alike, a second side as its begun first side; rests may become shorter, and of a
 * breath rounds to come may be left out. Changes and talk stay. Where the ranges do not allow it, as near as they do,
 * and `offMs` says by how much. Clock moments in milliseconds.
 */
export function catchUp(plan: Plan, run: Run, nowMs: Ms, endMs: Ms): CatchUp {
  const cursor = run.status === 'running' ? advance(run.queue, run.cursor, nowMs) : run.cursor;
  const { at, intoMs } = cursor;
  const free = [...freeOnes(plan, run, at, intoMs), ...freeRounds(plan, run, at)];
  const toCome = sum(run.queue.slice(at)) - (run.queue[at] ? intoMs : 0);
  const fixedMs = toCome - free.reduce((all, { items }) => all + sum(items.flat()), 0);
  const budgetMs = endMs - Math.max(nowMs, run.cursor.clockMs) - fixedMs;
  const lengths = fitted(free, budgetMs);
  // What the grid leaves over goes to the last that has room for it, so that the end is exact.
  let spareMs = budgetMs - lengths.reduce((all, ms, i) => all + ms * free[i]!.sides, 0);
  for (let i = free.length - 1; i >= 0 && spareMs > 0; i--) {
    const one = free[i]!;
    if (one.rounds) continue;
    const more = Math.min(Math.floor(spareMs / one.sides), one.mostMs - lengths[i]!);
    lengths[i]! += more;
    spareMs -= more * one.sides;
  }
  const begun = run.queue[at];
  const changed = free
    .map((one, i) => ({ ...one, toMs: lengths[i]! }))
    .filter(({ items, toMs: to }) => items.some((side) => sum(side) !== to));
  const total = lengths.reduce((all, ms, i) => all + ms * free[i]!.sides, 0);
  const ends = Math.max(nowMs, run.cursor.clockMs) + fixedMs + total;
  return {
    lengths: changed.flatMap(({ items, toMs: to, rounds, choices }) =>
      rounds
        ? rounds.slice(choices.indexOf(to)).flatMap((round) => round.map(({ phase }): [number, Ms] => [phase, 0]))
        : items.flatMap((side) => shared(side, to, side[0] === begun ? intoMs : 0)),
    ),
    changes: changed.map(({ stepIndex, sides, nowMs: fromMs, toMs: to, rounds, choices }) => ({
      stepIndex,
      sides,
      fromMs,
      toMs: to,
      ...(rounds && { rounds: { from: rounds.length, to: choices.indexOf(to) } }),
    })),
    endMs: ends,
    offMs: ends - endMs,
  };
}
