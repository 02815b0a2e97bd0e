import { gcd } from '#core/breath';
import type { Ms } from '#core/time';
import { addConvex } from './convex';

/** Something that takes one of several lengths: by length, the shortest first, each with the harm it does. */
export interface Item {
  ms: readonly Ms[];
  costs: readonly number[];
}

/** Which of its lengths each item has, how long they are together, and the harm they do. */
export interface Solution {
  picks: number[];
  totalMs: Ms;
  cost: number;
}

/** Sums are kept in units of what all lengths go by; where that would be more sums than this, in coarser ones. */
const MOST_UNITS = 400_000;
const COARSER: readonly Ms[] = [10, 20, 50, 100, 200, 500, 1000];

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

/**
 * One length for each item so that together they come as near to `roomMs` as possible without passing it and, among those,
 * do the least harm. Exact: dynamic programming over the sums (R. Bellman, Dynamic Programming, 1957), with lengths on a
 * grid added in one pass. `ticks` hears how much is done, from 0 to 1. undefined where even the shortest pass it.
 *
 * Sums are exact to what all lengths go by; only where that is so fine that there would be more than 400,000 sums are
 * lengths taken as up to some hundredths of a second longer than they are, so that the room is never passed.
 */
export function solve(
  items: readonly Item[],
  roomMs: Ms,
  ticks: (share: number) => void = () => undefined,
): Solution | undefined {
  const leastMs = items.reduce((sum, { ms }) => sum + ms[0]!, 0);
  if (leastMs > roomMs) return undefined;
  const spanMs = items.reduce((sum, { ms }) => sum + ms.at(-1)! - ms[0]!, 0);
  const wideMs = Math.min(roomMs - leastMs, spanMs);
  const fine = items.reduce((by, { ms }) => ms.reduce((part, each) => gcd(part, each - ms[0]!), by), 0) || 1;
  const unit = wideMs / fine <= MOST_UNITS ? fine : COARSER.find((ms) => wideMs / ms <= MOST_UNITS)!;
  const inUnits = (ms: Ms): number => Math.ceil(ms / unit);
  const most = items.reduce((sum, { ms }) => sum + inUnits(ms.at(-1)! - ms[0]!), 0);
  const units = Math.min(Math.floor((roomMs - leastMs) / unit), most);

  let best = new Float64Array(units + 1).fill(Infinity);
  best[0] = 0;
  let reach = 0;
  const taken = items.map((item, at) => {
    const by = item.ms.map((ms) => inUnits(ms - item.ms[0]!));
    const next = new Float64Array(units + 1).fill(Infinity);
    const which = new Uint16Array(units + 1);
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

  let u = units;
  while (best[u] === Infinity) u--;
  const cost = best[u]!;
  const picks = new Array<number>(items.length);
  for (let i = items.length - 1; i >= 0; i--) {
    const { by, which } = taken[i]!;
    picks[i] = which[u]!;
    u -= by[picks[i]!]!;
  }
  const totalMs = picks.reduce((sum, pick, i) => sum + items[i]!.ms[pick]!, 0);
  return { picks, totalMs, cost };
}
