import { atEnd, BROKEN, outOfPlace, placeCost, transition, type Problem } from './problem';

/** Up to this many movable units, every order is considered. */
export const MAX_EXACT = 14;

export interface Found {
  order: number[];
  cost: number;
}

/** The counterposes that may be pending: none, after a fold, after a back bend, or both. */
const PENDING_STATES = 4;

/**
 * The order of the movable units with the least cost, of all there are: dynamic programming over the set of those that
 * have come, the last of them, and what the one before it still asks (M. Held and R. M. Karp, A dynamic programming
 * approach to sequencing problems, J. SIAM 10, 1962). Fixed units come in their places. null if no order keeps what
 * comes before what. Work grows with 2^n·n²: at most `MAX_EXACT` movable units. `ticks` hears how much is done, from 0
 * to 1.
 */
export function exactOrder(problem: Problem, ticks: (share: number) => void = () => undefined): Found | null {
  const { movable, units, fixedAt, before } = problem;
  const count = movable.length;
  if (count > MAX_EXACT)
    throw new RangeError(`${count} movable units; every order of at most ${MAX_EXACT} is considered.`);
  const place = new Map(movable.map((unit, i) => [unit, i]));
  const bitsOf = (list: readonly number[]): number =>
    list.reduce((bits, unit) => (place.has(unit) ? bits | (1 << place.get(unit)!) : bits), 0);
  // runs[k]: the fixed units that come when k movable ones have; fixedBy[k]: all that have come then.
  const runs: number[][] = Array.from({ length: count + 1 }, () => []);
  let come = 0;
  for (let at = 0; at < units.length; at++) {
    const fixed = fixedAt.get(at);
    if (fixed === undefined) come++;
    else runs[come]!.push(fixed);
  }
  const fixedBy = runs.map((_, k) => new Set(runs.slice(0, k + 1).flat()));
  const mayCome = movable.map((unit) => ({
    bits: bitsOf(before[unit]!),
    fixed: before[unit]!.filter((one) => !place.has(one)),
  }));

  /**
   * Places the fixed units that come next: the cost so far, the last unit and what is pending; Infinity if one comes
   * too early.
   */
  const applyFixed = (k: number, mask: number, from: number, pending: number) => {
    let [cost, last, still] = [0, from, pending];
    const placed = new Set(k > 0 ? fixedBy[k - 1] : []);
    for (const fixed of runs[k]!) {
      const isPlaced = (unit: number): boolean =>
        place.has(unit) ? (mask & (1 << place.get(unit)!)) !== 0 : placed.has(unit);
      if (!before[fixed]!.every(isPlaced)) return { cost: Infinity, last, pending: still };
      const next = transition(problem, last, still, fixed);
      cost += next.cost + placeCost(problem, fixed, isPlaced);
      [last, still] = [fixed, next.pending];
      placed.add(fixed);
    }
    return { cost, last, pending: still };
  };

  const states = count * PENDING_STATES;
  const best = new Float64Array((1 << count) * states).fill(Infinity);
  const predecessor = new Uint8Array(best.length);
  const start = applyFixed(0, 0, -1, 0);
  if (start.cost === Infinity) return null;
  if (count === 0) return { order: [], cost: start.cost + atEnd(problem, start.last, start.pending) };

  const sizes = Array.from({ length: 1 << count }, (_, mask) => {
    let size = 0;
    for (let rest = mask; rest > 0; rest &= rest - 1) size++;
    return size;
  });
  /** Places movable unit `x` next, and keeps it if no cheaper way to the same state is known. */
  const relax = (
    mask: number,
    k: number,
    x: number,
    from: number,
    pending: number,
    cost: number,
    code: number,
  ): void => {
    const unit = movable[x]!;
    const { bits, fixed } = mayCome[x]!;
    if ((bits & mask) !== bits || !fixed.every((one) => fixedBy[k]!.has(one))) return;
    const next = transition(problem, from, pending, unit);
    let total = cost + next.cost + placeCosts[x]!(mask, k);
    const set = mask | (1 << x);
    let still = next.pending;
    if (runs[k + 1]!.length > 0) {
      const run = applyFixed(k + 1, set, unit, still);
      total += run.cost;
      still = run.pending;
    }
    const at = set * states + x * PENDING_STATES + still;
    if (total < best[at]!) {
      best[at] = total;
      predecessor[at] = code;
    }
  };
  const holdBits = bitsOf(units.map((_, i) => i).filter((i) => units[i]!.isHold));
  const fixedHolds = runs.map((_, k) => [...fixedBy[k]!].filter((i) => units[i]!.isHold).length);
  const quietBits = bitsOf(units.map((_, i) => i).filter((i) => units[i]!.effect === 'quieting'));
  const fixedQuiet = runs.map((_, k) => [...fixedBy[k]!].some((i) => units[i]!.effect === 'quieting'));
  const placeCosts = movable.map((unit) => (mask: number, k: number): number => {
    const rouses = problem.rousing && units[unit]!.effect === 'rousing';
    const late = rouses && ((mask & quietBits) !== 0 || fixedQuiet[k]!) ? BROKEN : 0;
    if (!units[unit]!.isBreath) return late;
    const before = (mask & holdBits) !== 0 || fixedHolds[k]! > 0;
    const after = (mask & holdBits) !== holdBits || fixedHolds[k]! < fixedHolds.at(-1)!;
    return late + (outOfPlace(problem.breath, before, after) ? BROKEN : 0);
  });
  for (let x = 0; x < count; x++) relax(0, 0, x, start.last, start.pending, start.cost, 0);
  // The last of a state is the movable one that came last, or the fixed one that follows it.
  const lastAfter = (k: number, x: number): number => runs[k]!.at(-1) ?? movable[x]!;
  for (let mask = 1; mask < 1 << count; mask++) {
    if ((mask & 255) === 0) ticks(mask / (1 << count));
    const k = sizes[mask]!;
    for (let x = 0; x < count; x++) {
      if ((mask & (1 << x)) === 0) continue;
      const from = lastAfter(k, x);
      for (let pending = 0; pending < PENDING_STATES; pending++) {
        const cost = best[mask * states + x * PENDING_STATES + pending]!;
        if (cost === Infinity) continue;
        const code = x * PENDING_STATES + pending;
        for (let y = 0; y < count; y++) if ((mask & (1 << y)) === 0) relax(mask, k, y, from, pending, cost, code);
      }
    }
  }
  ticks(1);

  const full = (1 << count) - 1;
  let [least, state] = [Infinity, -1];
  for (let code = 0; code < states; code++) {
    const cost = best[full * states + code]!;
    const total = cost + atEnd(problem, lastAfter(count, Math.floor(code / PENDING_STATES)), code % PENDING_STATES);
    if (total < least) [least, state] = [total, code];
  }
  if (state < 0) return null;
  const order: number[] = [];
  for (let mask = full; mask > 0;) {
    const x = Math.floor(state / PENDING_STATES);
    order.unshift(movable[x]!);
    state = predecessor[mask * states + state]!;
    mask &= ~(1 << x);
  }
  return { order, cost: least };
}
