import { BROKEN, countBits, type Problem } from './problem';

const ROUNDS = 120;

/** For each movable unit its nearest: where a way has been among those, it does not come back while it stays near. */
function nearest({ movable, cost }: Problem, size: number): number[][] {
  return movable.map((unit, x) =>
    movable
      .map((other, y) => ({ y, far: y === x ? -1 : Math.min(cost[unit]![other]!, cost[other]![unit]!) }))
      .sort((a, b) => a.far - b.far)
      .slice(0, size)
      .map(({ y }) => y),
  );
}

/**
 * A lower bound on the cost of any order. A way through all places that may come to a unit more than once is easier
 * than an order, so the cheapest such way costs no more than the best order; it is kept from coming back among near
 * units, and a price on each unit, raised where it is come to too often and lowered where it is missed, draws it
 * towards an order without ever lifting it above the best (N. Christofides, A. Mingozzi and P. Toth, State-space
 * relaxation procedures, Networks 11, 1981; prices as in M. Held and R. M. Karp, Math. Programming 1, 1971). What comes
 * before what, and where breath belongs, are left out of it. With `brokenCounts` a broken rule weighs `BROKEN`;
 * without, nothing. `good`: the cost of a known order.
 */
export function lowerBound(
  problem: Problem,
  good: number,
  brokenCounts: boolean,
  ticks: (share: number) => void = () => undefined,
): number {
  const { movable, units, fixedAt, first, answers } = problem;
  const count = movable.length;
  const size = count <= 24 ? 6 : count <= 40 ? 4 : 3;
  const near = nearest(problem, size);
  const broken = brokenCounts ? BROKEN : 0;
  const cost = problem.cost.map((row) => row.map((one) => (one >= BROKEN ? one - BROKEN + broken : one)));
  const needs = units.map((unit) => (answers ? unit.needs : 0));
  const gives = units.map((unit) => unit.answers);
  // keep[x][y]: for every memory of x (bits over near[x]) the memory of y once it has come after x.
  const keep = near.map((list) =>
    near.map((other, y) =>
      Array.from({ length: 1 << list.length }, (_, memory) => {
        let bits = 1 << other.indexOf(y);
        list.forEach((unit, i) => {
          const at = other.indexOf(unit);
          if ((memory & (1 << i)) !== 0 && at >= 0) bits |= 1 << at;
        });
        return bits;
      }),
    ),
  );
  const placeNear = near.map((list) => movable.map((_, y) => list.indexOf(y)));
  const memories = 1 << size;
  const codes = count * memories * 4;
  const price = new Float64Array(count);
  let highest = 0;
  let stretch = 1;

  for (let round = 0; round < ROUNDS; round++) {
    ticks(round / ROUNDS);
    // One layer for each place; a state is the last movable unit, what is remembered, and what is still asked.
    const predecessor: Int32Array[] = [];
    let layer = new Float64Array(codes).fill(Infinity);
    let last = -1;
    let pending = 0;
    let paid = 0;
    let begun = false;
    for (let at = 0; at < units.length; at++) {
      const fixed = fixedAt.get(at);
      if (fixed !== undefined) {
        if (!begun) {
          const unanswered = last < 0 ? 0 : countBits(pending & ~gives[fixed]!);
          paid += last < 0 ? first[fixed]! : cost[last]![fixed]! + unanswered * broken;
          pending = last < 0 ? 0 : needs[last]! & ~gives[fixed]!;
          last = fixed;
          continue;
        }
        const next = new Float64Array(codes).fill(Infinity);
        const from = new Int32Array(codes).fill(-1);
        for (let code = 0; code < codes; code++) {
          const value = layer[code]!;
          if (value === Infinity) continue;
          const before = last >= 0 ? last : movable[Math.floor(code / (memories * 4))]!;
          const still = code & 3;
          const total = value + cost[before]![fixed]! + countBits(still & ~gives[fixed]!) * broken;
          const to = code - still + (needs[before]! & ~gives[fixed]!);
          if (total < next[to]!) [next[to], from[to]] = [total, code];
        }
        predecessor.push(from);
        layer = next;
        last = fixed;
        continue;
      }
      const next = new Float64Array(codes).fill(Infinity);
      const from = new Int32Array(codes).fill(-1);
      const go = (value: number, before: number, still: number, x: number, memory: number, code: number): void => {
        for (let y = 0; y < count; y++) {
          const there = x < 0 ? -1 : placeNear[x]![y]!;
          if (there >= 0 && (memory & (1 << there)) !== 0) continue;
          const unit = movable[y]!;
          const step = before < 0 ? first[unit]! : cost[before]![unit]! + countBits(still & ~gives[unit]!) * broken;
          const asks = before < 0 ? 0 : needs[before]! & ~gives[unit]!;
          const remembered = x < 0 ? 1 << near[y]!.indexOf(y) : keep[x]![y]![memory]!;
          const to = (y * memories + remembered) * 4 + asks;
          const total = value + step - price[y]!;
          if (total < next[to]!) [next[to], from[to]] = [total, code];
        }
      };
      if (!begun) go(paid, last, pending, -1, 0, -1);
      else
        for (let code = 0; code < codes; code++) {
          const value = layer[code]!;
          if (value === Infinity) continue;
          const x = Math.floor(code / (memories * 4));
          go(value, last >= 0 ? last : movable[x]!, code & 3, x, (code >> 2) & (memories - 1), code);
        }
      begun = true;
      predecessor.push(from);
      layer = next;
      last = -1;
    }
    let [least, end] = [Infinity, -1];
    for (let code = 0; code < codes; code++) {
      if (layer[code] === Infinity) continue;
      const before = last >= 0 ? last : movable[Math.floor(code / (memories * 4))]!;
      const total = layer[code]! + (countBits(code & 3) + countBits(needs[before]!)) * broken;
      if (total < least) [least, end] = [total, code];
    }
    const bound = least + price.reduce((sum, one) => sum + one, 0);
    const better = bound > highest + 1e-9;
    highest = Math.max(highest, bound);
    // Costs are whole numbers: nothing lies between the bound and the known order any more.
    if (highest > good - 1 + 1e-6) break;
    const visits = new Int32Array(count);
    for (let i = predecessor.length - 1, code = end; i >= 0 && code >= 0; i--) {
      const before = predecessor[i]![code]!;
      const x = Math.floor(code / (memories * 4));
      const isFixed = before >= 0 && Math.floor(before / (memories * 4)) === x && before >> 2 === code >> 2;
      if (!isFixed) visits[x]!++;
      code = before;
    }
    const off = visits.reduce((sum, times) => sum + (times - 1) ** 2, 0);
    if (off === 0) break;
    if (!better) stretch *= 0.95;
    const step = (stretch * Math.max(1, good - bound)) / off;
    for (let y = 0; y < count; y++) price[y]! -= step * (visits[y]! - 1);
  }
  ticks(1);
  return Math.max(0, Math.ceil(highest - 1e-6));
}
