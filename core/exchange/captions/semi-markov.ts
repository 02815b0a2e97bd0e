/**
 * The likeliest way to cut a stretch of time into segments, each in one state: the best path of a semi-Markov chain by
 * dynamic programming (S.-Z. Yu, Hidden semi-Markov models, Artificial Intelligence 174, 2010, section 3; S. Sarawagi
 * and W. W. Cohen, Semi-Markov conditional random fields, 2004).
 */

import { Row, Table } from './best-of-rows';

/** States that may come before others are put together in groups, so that not each pair has to be looked at. */
export interface Entry {
  /** Any state of a group may come before: what that costs, beside what leaving it costs. */
  groups: readonly { group: number; score: number }[];
  /** These states may come before, for just so much. */
  states: readonly { state: number; score: number }[];
  /** It may come first. */
  first: number;
}

/** A chain over the moments 0 … `moments`, as scores that are added up; −∞ is what cannot be. */
export interface Chain {
  moments: number;
  states: number;
  groups: number;
  /** The groups a state belongs to when it ends, and what leaving it for any state of the others costs. */
  groupOf: (state: number) => { group: number; score: number } | undefined;
  entry: (state: number) => Entry;
  /** What it is worth that a state comes last. */
  last: (state: number) => number;
  /**
   * What a segment is worth by where it begins and ends, at `to * (moments + 1) + from`; −∞ where none can be, as
   * where `from` is not before `to`. States may share a table.
   */
  spans: (state: number) => Float64Array;
  /** What it is worth that a segment in a state begins at each moment. */
  begins: (state: number) => Float64Array;
  /** What lies along it, summed up to each moment: a segment has the difference of its two. */
  along: (state: number) => Float64Array;
}

export interface ChainSegment {
  state: number;
  from: number;
  to: number;
}

/** The best path, with what is needed to compare it with others. */
export interface Decoded {
  score: number;
  segments: ChainSegment[];
  /** The best score of any path that has a segment in a state that begins and ends in these ranges, both inclusive. */
  bestWith: (state: number, from: readonly [number, number], to: readonly [number, number]) => number;
}

const NEVER = -Infinity;

/** For each state the table of its spans, made once for all that share it. */
function tablesOf({ states, moments, spans }: Chain): Table[] {
  const made = new Map<Float64Array, Table>();
  return Array.from({ length: states }, (_, state) => {
    const values = spans(state);
    const table = made.get(values) ?? new Table(values, moments + 1);
    made.set(values, table);
    return table;
  });
}

/** What may come before each state, in one list that is quick to run along. */
interface Steps {
  /** The lists of groups that states let in, each once, and which one is that of each state. */
  lists: readonly Entry['groups'][];
  listOf: Int32Array;
  /** The states that may come before a state, and at what score, from its offset to the next one's. */
  offsets: Int32Array;
  before: Int32Array;
  scores: Float64Array;
}
function stepsOf(entries: readonly Entry[]): Steps {
  const lists = [...new Set(entries.map(({ groups }) => groups))];
  const all = entries.flatMap(({ states }) => states);
  const offsets = new Int32Array(entries.length + 1);
  for (const [i, { states }] of entries.entries()) offsets[i + 1] = offsets[i]! + states.length;
  return {
    lists,
    listOf: Int32Array.from(entries, ({ groups }) => lists.indexOf(groups)),
    offsets,
    before: Int32Array.from(all, ({ state }) => state),
    scores: Float64Array.from(all, ({ score }) => score),
  };
}

/** Decodes a chain exactly. Without any path that is possible, the score is −∞ and there are no segments. */
export function decode(chain: Chain): Decoded {
  const { moments, states, groups, groupOf, last } = chain;
  const width = moments + 1;
  const tables = tablesOf(chain);
  const entries = Array.from({ length: states }, (_, state) => chain.entry(state));
  const steps = stepsOf(entries);
  const along = Array.from({ length: states }, (_, state) => chain.along(state));
  const begins = Array.from({ length: states }, (_, state) => chain.begins(state));
  const leaving = Array.from({ length: states }, (_, state) => groupOf(state));
  const ended = new Float64Array(states);
  /** What a path is worth up to each beginning of a segment, less what lies along it until there. */
  const ahead = Array.from({ length: states }, () => new Row(width));
  /** Where the best segment of a state begins that ends at a moment, and what comes before one that begins there. */
  const starts = new Int32Array(width * states).fill(-1);
  const before = new Int32Array(width * states).fill(-1);
  const bestOf = new Float64Array(groups);
  const whichOf = new Int32Array(groups);
  const bestOfList = new Float64Array(steps.lists.length);
  const whichOfList = new Int32Array(steps.lists.length);
  /** What a path is worth that has a segment from one moment to another, up to its end. */
  const scoreUpTo = (state: number, from: number, to: number): number =>
    from < 0 ? NEVER : ahead[state]!.values[from]! + tables[state]!.values[to * width + from]! + along[state]![to]!;

  for (let to = 0; to <= moments; to++) {
    bestOf.fill(NEVER);
    whichOf.fill(-1);
    for (let state = 0; state < states; state++) {
      const near = to > 0 ? starts[(to - 1) * states + state]! : -1;
      const from = tables[state]!.best(to, ahead[state]!, 0, to - 1, NEVER, near);
      const score = scoreUpTo(state, from, to);
      ended[state] = score;
      starts[to * states + state] = from;
      const left = leaving[state];
      if (left && score + left.score > bestOf[left.group]!) {
        bestOf[left.group] = score + left.score;
        whichOf[left.group] = state;
      }
    }
    for (const [list, some] of steps.lists.entries()) {
      bestOfList[list] = NEVER;
      for (const { group, score } of some)
        if (bestOf[group]! + score > bestOfList[list]!) {
          bestOfList[list] = bestOf[group]! + score;
          whichOfList[list] = whichOf[group]!;
        }
    }
    for (let state = 0; state < states; state++) {
      const list = steps.listOf[state]!;
      let best = to === 0 ? entries[state]!.first : NEVER;
      let from = -1;
      if (bestOfList[list]! > best) {
        best = bestOfList[list]!;
        from = whichOfList[list]!;
      }
      for (let i = steps.offsets[state]!; i < steps.offsets[state + 1]!; i++) {
        const total = ended[steps.before[i]!]! + steps.scores[i]!;
        if (total > best) {
          best = total;
          from = steps.before[i]!;
        }
      }
      ahead[state]!.set(to, best + begins[state]![to]! - along[state]![to]!);
      before[to * states + state] = from;
    }
  }

  let [score, state] = [NEVER, -1];
  for (let one = 0; one < states; one++) {
    const total = ended[one]! + last(one);
    if (total > score) [score, state] = [total, one];
  }
  const segments: ChainSegment[] = [];
  for (let to = moments; state >= 0 && to > 0;) {
    const from = starts[to * states + state]!;
    segments.unshift({ state, from, to });
    state = before[from * states + state]!;
    to = from;
  }

  let rests: Float64Array | undefined;
  return {
    score,
    segments,
    bestWith: (one, [firstFrom, lastFrom], [firstTo, lastTo]) => {
      rests ??= afterwards(chain, steps, tables);
      let best = NEVER;
      for (let to = Math.max(1, firstTo); to <= Math.min(moments, lastTo); to++) {
        const rest = rests[to * states + one]!;
        if (rest === NEVER) continue;
        const needed = best - rest - along[one]![to]!;
        const near = starts[to * states + one]!;
        const from = tables[one]!.best(
          to,
          ahead[one]!,
          Math.max(0, firstFrom),
          Math.min(to - 1, lastFrom),
          needed,
          near,
        );
        if (from >= 0) best = Math.max(best, scoreUpTo(one, from, to) + rest);
      }
      return best;
    },
  };
}

/** The best score of all that comes after each state that ends at each moment, at `moment * states + state`. */
function afterwards(chain: Chain, steps: Steps, tables: readonly Table[]): Float64Array {
  const { moments, states, groups, groupOf, last } = chain;
  const width = moments + 1;
  const rests = new Float64Array(width * states).fill(NEVER);
  /** What is best after an end at each moment, with what lies along a segment until there. */
  const behind = Array.from({ length: states }, () => new Row(width));
  const bestOf = new Float64Array(groups);
  const bestOfList = new Float64Array(steps.lists.length);
  const near = new Int32Array(states).fill(-1);
  const turned = new Map([...new Set(tables)].map((table) => [table, table.turned()]));
  const columns = tables.map((table) => turned.get(table)!);
  const leaving = Array.from({ length: states }, (_, state) => groupOf(state));
  const along = Array.from({ length: states }, (_, state) => chain.along(state));
  const begins = Array.from({ length: states }, (_, state) => chain.begins(state));
  for (let at = moments; at >= 0; at--) {
    const now = at * states;
    bestOfList.fill(NEVER);
    for (let state = 0; state < states; state++) {
      const to = columns[state]!.best(at, behind[state]!, at + 1, moments, NEVER, near[state]!);
      near[state] = to;
      if (to < 0) continue;
      const rest = behind[state]!.values[to]! + columns[state]!.values[at * width + to]!;
      const total = rest + begins[state]![at]! - along[state]![at]!;
      const list = steps.listOf[state]!;
      if (total > bestOfList[list]!) bestOfList[list] = total;
      for (let i = steps.offsets[state]!; i < steps.offsets[state + 1]!; i++) {
        const other = now + steps.before[i]!;
        if (total + steps.scores[i]! > rests[other]!) rests[other] = total + steps.scores[i]!;
      }
    }
    bestOf.fill(NEVER);
    for (const [list, some] of steps.lists.entries())
      for (const { group, score } of some) bestOf[group] = Math.max(bestOf[group]!, bestOfList[list]! + score);
    for (let state = 0; state < states; state++) {
      const left = leaving[state];
      const alone = at === moments ? last(state) : NEVER;
      const rest = Math.max(rests[now + state]!, alone, left ? bestOf[left.group]! + left.score : NEVER);
      rests[now + state] = rest;
      behind[state]!.set(at, rest + along[state]![at]!);
    }
  }
  return rests;
}
