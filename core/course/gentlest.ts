/**
 * The gentlest way from where somebody is to where they should be, in so many weeks: the least largest step first, and
 * among those ways the least sum of the squares of the steps. By dynamic programming over the weeks (R. Bellman, 1957):
 * once for the largest step alone, as the lesser of two largest steps stays so whatever comes before it, and once for the
 * squares among all steps that are no larger.
 */

/** How something may grow from one week to the next. */
export interface Growth<S> {
  /** The same for states that are the same in all that counts. */
  keyOf: (state: S) => string;
  /** What the week after one in this state may be, with the size of the step; staying as it is has the size 0. */
  next: (state: S) => readonly { to: S; step: number }[];
  isAim: (state: S) => boolean;
}

interface Edge {
  to: string;
  step: number;
}
/** All states that can be reached week by week, and the steps from each to those of the week after. */
interface Layers<S> {
  states: Map<string, S>[];
  edges: Map<string, Edge[]>[];
}

function layersOf<S>({ keyOf, next }: Growth<S>, start: S, weeks: number): Layers<S> {
  const states = [new Map([[keyOf(start), start]])];
  const edges: Map<string, Edge[]>[] = [];
  for (let week = 1; week < weeks; week++) {
    const after = new Map<string, S>();
    const steps = new Map<string, Edge[]>();
    for (const [key, state] of states[week - 1] ?? []) {
      const own = next(state).map(({ to, step }): Edge => {
        const toKey = keyOf(to);
        if (!after.has(toKey)) after.set(toKey, to);
        return { to: toKey, step };
      });
      steps.set(key, own);
    }
    states.push(after);
    edges.push(steps);
  }
  return { states, edges };
}

/**
 * What is best from each state to the end, week by week from the last.
 * @param along what a step and what comes after it are together
 */
function toTheEnd<S>(
  { states, edges }: Layers<S>,
  isAim: (state: S) => boolean,
  along: (step: number, rest: number) => number,
) {
  let best = new Map([...(states.at(-1) ?? [])].map(([key, state]) => [key, isAim(state) ? 0 : Infinity]));
  const all = [best];
  for (const steps of edges.toReversed()) {
    const after = best;
    best = new Map(
      [...steps].map(([key, own]) => [
        key,
        own.reduce((least, { to, step }) => Math.min(least, along(step, after.get(to) ?? Infinity)), Infinity),
      ]),
    );
    all.unshift(best);
  }
  return all;
}

/** A way, a state for each week, with its largest step. */
export interface GentleWay<S> {
  states: S[];
  largest: number;
}

/**
 * The gentlest way of so many weeks, the first of them in the state that it starts from; undefined where the aim cannot
 * be reached in them. Of ways that are equally gentle, the one whose first steps are smaller.
 */
export function gentlest<S>(growth: Growth<S>, start: S, weeks: number): GentleWay<S> | undefined {
  const layers = layersOf(growth, start, weeks);
  const largest = toTheEnd(layers, growth.isAim, Math.max)[0]?.get(growth.keyOf(start)) ?? Infinity;
  if (largest === Infinity) return undefined;
  const costs = toTheEnd(layers, growth.isAim, (step, rest) => (step > largest ? Infinity : step * step + rest));
  const states = [start];
  let at = growth.keyOf(start);
  for (const [week, steps] of layers.edges.entries()) {
    const costOf = ({ to, step }: Edge): number =>
      step > largest ? Infinity : step * step + (costs[week + 1]?.get(to) ?? Infinity);
    const [edge] = (steps.get(at) ?? []).toSorted((a, b) => costOf(a) - costOf(b) || a.step - b.step);
    const state = edge && layers.states[week + 1]?.get(edge.to);
    if (!edge || state === undefined) break;
    states.push(state);
    at = edge.to;
  }
  return { states, largest };
}

/** Every state that the last of so many weeks can be in. */
export const reachable = <S>(growth: Growth<S>, start: S, weeks: number): S[] => [
  ...(layersOf(growth, start, weeks).states.at(-1)?.values() ?? []),
];

/** The earliest week, from 1, in which the aim can be reached; undefined where that is none of so many. */
export function earliestWeek<S>(growth: Growth<S>, start: S, most: number): number | undefined {
  let states = new Map([[growth.keyOf(start), start]]);
  for (let week = 1; week <= most; week++) {
    if ([...states.values()].some(growth.isAim)) return week;
    states = new Map(
      [...states.values()].flatMap((state) => growth.next(state).map(({ to }) => [growth.keyOf(to), to] as const)),
    );
  }
  return undefined;
}
