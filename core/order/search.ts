import { seeded } from '#core/numbers';
import type { Found } from './exact';
import { costOfSequence, sequenceOf, type Problem } from './problem';

const LONGEST_MOVED = 4;
const SHAKES = 60;

/**
 * A good order of many movable units: from the order there is, stretches of up to four are taken to where they cost
 * least until none is better anywhere, then the best so far is shaken and bettered again, with a given seed. Never
 * worse than the order there is, where that keeps what comes before what. null if no order that does was found.
 */
export function goodOrder(
  problem: Problem,
  seed: number,
  ticks: (share: number) => void = () => undefined,
): Found | null {
  const random = seeded(seed);
  const costOf = (order: readonly number[]): number => costOfSequence(problem, sequenceOf(problem, order));

  function bettered(from: number[]): Found {
    let [order, cost] = [from, costOf(from)];
    for (let again = true; again;) {
      again = false;
      for (let length = 1; length <= LONGEST_MOVED; length++)
        for (let at = 0; at + length <= order.length; at++)
          for (let to = 0; to <= order.length - length; to++) {
            if (to === at) continue;
            const moved = order.toSpliced(at, length).toSpliced(to, 0, ...order.slice(at, at + length));
            const now = costOf(moved);
            if (now < cost) [order, cost, again] = [moved, now, true];
          }
    }
    return { order, cost };
  }

  /** The order there is, corrected where it breaks what comes before what: always the first that may come. */
  function sorted(order: readonly number[]): number[] {
    const rest = [...order];
    const done: number[] = [];
    while (rest.length > 0) {
      const may = rest.findIndex((unit) => !problem.before[unit]!.some((one) => rest.includes(one)));
      done.push(...rest.splice(Math.max(0, may), 1));
    }
    return done;
  }

  let best = bettered(sorted(problem.movable));
  for (let shake = 0; shake < SHAKES; shake++) {
    ticks(shake / SHAKES);
    const order = [...best.order];
    // Three cuts, and the two middle pieces exchanged: a change that single moves do not undo at once.
    const cuts = [0, 1, 2].map(() => Math.floor(random() * (order.length + 1))).sort((a, b) => a - b);
    const [a, b, c] = cuts as [number, number, number];
    const found = bettered([...order.slice(0, a), ...order.slice(b, c), ...order.slice(a, b), ...order.slice(c)]);
    if (found.cost < best.cost) best = found;
  }
  ticks(1);
  return best.cost === Infinity ? null : best;
}
