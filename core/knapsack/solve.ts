import { gcd, type Ms } from '#core/numbers';
import { addConvex } from './convex';

/** Something that takes one of several lengths: by length, the shortest first, each with the harm it does. */
export interface Item {
  ms: readonly Ms[];
  costs: readonly number[];
}

/** The chosen length of each item, their total, and its cost. */
export interface Solution {
  picks: number[];
  totalMs: Ms;
  cost: number;
}

/** So many sums are kept as one list; lengths that are too fine for that are kept apart from the others. */
const MAX_UNITS = 400_000;
/** What goes by whole seconds is kept as a list also where other lengths are finer. */
const COARSE_MS = 1000;
/** So many different sums of the finer lengths are kept one by one, over all of them. */
const MAX_SINGLE_SUMS = 1_000_000;
/** Where there are more, every sum is listed as long as this is not too much memory: one byte each. */
const MAX_LISTED_SUMS = 150_000_000;

/** Lengths that go by one step with a convex harm, as indices; and those that do not. */
interface Split {
  even: number[];
  odd: number[];
}

function isEven(by: readonly number[], costs: readonly number[], picks: readonly number[]): boolean {
  const step = by[picks[1]!]! - by[picks[0]!]!;
  return picks.every(
    (pick, i) =>
      (i === 0 || by[pick]! - by[picks[i - 1]!]! === step) &&
      (i < 2 || costs[pick]! - costs[picks[i - 1]!]! >= costs[picks[i - 1]!]! - costs[picks[i - 2]!]! - 1e-12),
  );
}

/** A grid of lengths, perhaps with one that lies between. `by`: how much each is over the shortest, in units. */
function split(by: readonly number[], costs: readonly number[]): Split {
  const all = by.map((_, i) => i);
  if (all.length < 4) return { even: [], odd: all };
  const broken = all.findIndex((i) => i > 0 && by[i]! - by[i - 1]! !== by[1]! - by[0]!);
  for (const odd of [-1, broken, broken - 1, 0]) {
    const even = all.filter((i) => i !== odd);
    if (isEven(by, costs, even)) return { even, odd: odd < 0 ? [] : [odd] };
  }
  return { even: [], odd: all };
}

const stepOf = ({ ms }: Item): Ms => ms.reduce((part, each) => gcd(part, each - ms[0]!), 0);
const stepOfAll = (items: readonly Item[]): Ms => items.reduce((by, item) => gcd(by, stepOf(item)), 0) || 1;
const spanOf = (items: readonly Item[]): Ms => items.reduce((sum, { ms }) => sum + ms.at(-1)! - ms[0]!, 0);

/** For every sum over the shortest: the least harm it can be had with, and how. */
interface Sums {
  /** Sums in milliseconds, ascending, each with its harm. */
  at: (index: number) => { ms: Ms; cost: number };
  count: number;
  /** The picks that make one of them up. */
  picks: (index: number) => number[];
}

/**
 * Every sum of items up to `wideMs` over the shortest, in units of which all lengths are multiples: dynamic programming
 * over the sums (R. Bellman, Dynamic Programming, 1957), with lengths on a grid added in one pass. Sums that cannot be
 * had have an infinite harm.
 */
function listedSums(items: readonly Item[], wideMs: Ms, unit: Ms, ticks: (share: number) => void): Sums {
  const units = Math.floor(Math.min(wideMs, spanOf(items)) / unit);
  let best = new Float64Array(units + 1).fill(Infinity);
  best[0] = 0;
  let reach = 0;
  const taken = items.map((item, at) => {
    const by = item.ms.map((ms) => (ms - item.ms[0]!) / unit);
    const next = new Float64Array(units + 1).fill(Infinity);
    const which = item.ms.length <= 256 ? new Uint8Array(units + 1) : new Uint16Array(units + 1);
    const { even, odd } = split(by, item.costs);
    const upTo = Math.min(units, reach + by.at(-1)!);
    // The grid begins this much over the shortest: where that is what lies between, it begins later.
    const shift = by[even[0] ?? 0]!;
    if (even.length > 0 && shift <= units) {
      const costs = Float64Array.from(even, (i) => item.costs[i]!);
      addConvex(best, costs, by[even[1]!]! - shift, upTo - shift, next.subarray(shift), which.subarray(shift));
      for (let u = 0; u <= upTo; u++) which[u] = even[which[u]!]!;
    }
    for (const i of odd) {
      const cost = item.costs[i]!;
      for (let u = by[i]!; u <= upTo; u++) {
        const total = best[u - by[i]!]! + cost;
        if (total < next[u]!) {
          next[u] = total;
          which[u] = i;
        }
      }
    }
    best = next;
    reach = upTo;
    ticks((at + 1) / items.length);
    return { by, which };
  });
  return {
    count: units + 1,
    at: (u) => ({ ms: u * unit, cost: best[u]! }),
    picks(index) {
      let u = index;
      const picks = new Array<number>(items.length);
      for (let i = items.length - 1; i >= 0; i--) {
        const { by, which } = taken[i]!;
        picks[i] = which[u]!;
        u -= by[picks[i]!]!;
      }
      return picks;
    },
  };
}

/** Every sum of items up to `wideMs` over the shortest, one by one; undefined if there are too many. */
function singleSums(items: readonly Item[], wideMs: Ms): Sums | undefined {
  interface Layer {
    ms: number[];
    costs: number[];
    which: number[];
    from: number[];
  }
  let layer: Layer = { ms: [0], costs: [0], which: [0], from: [0] };
  const layers = [layer];
  let kept = 1;
  for (const item of items) {
    const next: Layer = { ms: [], costs: [], which: [], from: [] };
    const places = new Map<Ms, number>();
    for (let from = 0; from < layer.ms.length; from++) {
      for (let i = 0; i < item.ms.length; i++) {
        const ms = layer.ms[from]! + item.ms[i]! - item.ms[0]!;
        if (ms > wideMs) break;
        const cost = layer.costs[from]! + item.costs[i]!;
        let at = places.get(ms);
        if (at === undefined) {
          at = next.ms.push(ms) - 1;
          places.set(ms, at);
          if (++kept > MAX_SINGLE_SUMS) return undefined;
        } else if (cost >= next.costs[at]!) continue;
        [next.costs[at], next.which[at], next.from[at]] = [cost, i, from];
      }
    }
    layers.push(next);
    layer = next;
  }
  const last = layer;
  return {
    count: last.ms.length,
    at: (i) => ({ ms: last.ms[i]!, cost: last.costs[i]! }),
    picks(index) {
      const picks = new Array<number>(items.length);
      for (let i = items.length, at = index; i > 0; i--) {
        picks[i - 1] = layers[i]!.which[at]!;
        at = layers[i]!.from[at]!;
      }
      return picks;
    },
  };
}

/** Every sum of items, to the fraction of a second they go by; undefined if that is too many. */
function finelyListed(items: readonly Item[], wideMs: Ms, ticks: (share: number) => void): Sums | undefined {
  const unit = stepOfAll(items);
  const sums = Math.min(wideMs, spanOf(items)) / unit;
  return sums * items.length <= MAX_LISTED_SUMS ? listedSums(items, wideMs, unit, ticks) : undefined;
}

/**
 * One length for each item so that together they come as near to `budgetMs` as possible without passing it and, among
 * those, do the least harm. Exact, in whole milliseconds. `ticks` hears how much is done, from 0 to 1. undefined if
 * even the shortest pass it; `tooFine` where so many lengths go by different fractions of a second that their
 * sums cannot be kept.
 */
export function solve(
  items: readonly Item[],
  budgetMs: Ms,
  ticks: (share: number) => void = () => undefined,
): Solution | 'tooFine' | undefined {
  const leastMs = items.reduce((sum, { ms }) => sum + ms[0]!, 0);
  if (leastMs > budgetMs) return undefined;
  const wideMs = Math.min(budgetMs - leastMs, spanOf(items));
  const places = items.map((_, i) => i);
  const isListed = wideMs / stepOfAll(items) <= MAX_UNITS;
  const coarse = places.filter((i) => isListed || stepOf(items[i]!) % COARSE_MS === 0);
  const fine = places.filter((i) => !coarse.includes(i));
  const of = (which: readonly number[]): Item[] => which.map((i) => items[i]!);
  const unit = isListed ? stepOfAll(items) : Math.max(COARSE_MS, stepOfAll(of(coarse)));
  const singles = singleSums(of(fine), wideMs) ?? finelyListed(of(fine), wideMs, ticks);
  if (!singles) return 'tooFine';
  const listed = listedSums(of(coarse), wideMs, unit, ticks);
  /** The greatest sum of the coarse lengths that can be had and is not greater than so many units. */
  const upTo = new Int32Array(listed.count);
  for (let u = 1; u < listed.count; u++) upTo[u] = listed.at(u).cost < Infinity ? u : upTo[u - 1]!;
  let best = { ms: -1, cost: Infinity, single: 0, list: 0 };
  for (let single = 0; single < singles.count; single++) {
    const one = singles.at(single);
    if (one.cost === Infinity) continue;
    const list = upTo[Math.min(listed.count - 1, Math.floor((wideMs - one.ms) / unit))]!;
    const rest = listed.at(list);
    const [ms, cost] = [one.ms + rest.ms, one.cost + rest.cost];
    if (ms > best.ms || (ms === best.ms && cost < best.cost)) best = { ms, cost, single, list };
  }
  const picks = new Array<number>(items.length);
  for (const [k, pick] of listed.picks(best.list).entries()) picks[coarse[k]!] = pick;
  for (const [k, pick] of singles.picks(best.single).entries()) picks[fine[k]!] = pick;
  return { picks, totalMs: leastMs + best.ms, cost: best.cost };
}
