/**
 * The likeliest way to cut a stretch of time into segments, each in one state: the best path of a semi-Markov chain by
 * dynamic programming (S.-Z. Yu, Hidden semi-Markov models, Artificial Intelligence 174, 2010, section 3; S. Sarawagi
 * and W. W. Cohen, Semi-Markov conditional random fields, 2004).
 */

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
  /** The earliest moment a segment in a state may begin that ends at a moment. */
  earliest: (state: number, to: number) => number;
  /** What a segment is worth by where it begins and ends, at `to * (moments + 1) + from`. States may share a table. */
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

/** For each state its scores at all moments. */
type Scores = readonly Float64Array[];
const scoresOf = ({ states, moments }: Chain): Float64Array[] =>
  Array.from({ length: states }, () => new Float64Array(moments + 1).fill(NEVER));

/**
 * The beginning of the best segment that ends at `to` and begins in a range; −1 where none can be.
 * @param ahead what a path is worth up to each beginning, less what lies along it until there
 */
function bestStart(
  ahead: Float64Array,
  spans: Float64Array,
  [first, last, to]: readonly [number, number, number],
): number {
  const row = to * ahead.length;
  let score = NEVER;
  let from = -1;
  for (let i = first; i <= last; i++) {
    const total = ahead[i]! + spans[row + i]!;
    if (total > score) {
      score = total;
      from = i;
    }
  }
  return from;
}
/** What a path is worth that has a segment from one moment to another, up to its end. */
const scoreUpTo = (ahead: Float64Array, spans: Float64Array, along: Float64Array, from: number, to: number): number =>
  from < 0 ? NEVER : ahead[from]! + spans[to * along.length + from]! + along[to]!;

/** Decodes a chain exactly. Without any path that is possible, the score is −∞ and there are no segments. */
export function decode(chain: Chain): Decoded {
  const { moments, states, groups, groupOf, last, earliest } = chain;
  const entries = Array.from({ length: states }, (_, state) => chain.entry(state));
  const spans = Array.from({ length: states }, (_, state) => chain.spans(state));
  const along = Array.from({ length: states }, (_, state) => chain.along(state));
  const begins = Array.from({ length: states }, (_, state) => chain.begins(state));
  const leaving = Array.from({ length: states }, (_, state) => groupOf(state));
  const ended = scoresOf(chain);
  const ahead = scoresOf(chain);
  const before = Array.from({ length: states }, () => new Int32Array(moments + 1).fill(-1));
  const starts = Array.from({ length: states }, () => new Int32Array(moments + 1).fill(-1));
  const bestOf = new Float64Array(groups);
  const whichOf = new Int32Array(groups);

  for (let to = 0; to <= moments; to++) {
    bestOf.fill(NEVER);
    whichOf.fill(-1);
    for (let state = 0; state < states; state++) {
      const from = bestStart(ahead[state]!, spans[state]!, [earliest(state, to), to - 1, to]);
      const score = scoreUpTo(ahead[state]!, spans[state]!, along[state]!, from, to);
      ended[state]![to] = score;
      starts[state]![to] = from;
      const left = leaving[state];
      if (left && score + left.score > bestOf[left.group]!) {
        bestOf[left.group] = score + left.score;
        whichOf[left.group] = state;
      }
    }
    for (let state = 0; state < states; state++) {
      const entry = entries[state]!;
      let best = to === 0 ? entry.first : NEVER;
      let from = -1;
      for (const { group, score } of entry.groups)
        if (bestOf[group]! + score > best) {
          best = bestOf[group]! + score;
          from = whichOf[group]!;
        }
      for (const { state: other, score } of entry.states)
        if (ended[other]![to]! + score > best) {
          best = ended[other]![to]! + score;
          from = other;
        }
      ahead[state]![to] = best + begins[state]![to]! - along[state]![to]!;
      before[state]![to] = from;
    }
  }

  let [score, state] = [NEVER, -1];
  for (let one = 0; one < states; one++) {
    const total = ended[one]![moments]! + last(one);
    if (total > score) [score, state] = [total, one];
  }
  const segments: ChainSegment[] = [];
  for (let to = moments; state >= 0 && to > 0;) {
    const from = starts[state]![to]!;
    segments.unshift({ state, from, to });
    state = before[state]![from]!;
    to = from;
  }

  let known: Scores | undefined;
  return {
    score,
    segments,
    bestWith: (one, [firstFrom, lastFrom], [firstTo, lastTo]) => {
      const rests = (known ??= afterwards(chain, entries));
      let best = NEVER;
      for (let to = Math.max(1, firstTo); to <= Math.min(moments, lastTo); to++) {
        const rest = rests[one]![to]!;
        if (rest === NEVER) continue;
        const [first, last] = [Math.max(0, firstFrom, earliest(one, to)), Math.min(to - 1, lastFrom)];
        if (first > last) continue;
        const from = bestStart(ahead[one]!, spans[one]!, [first, last, to]);
        best = Math.max(best, scoreUpTo(ahead[one]!, spans[one]!, along[one]!, from, to) + rest);
      }
      return best;
    },
  };
}

/** The best score of all that comes after each state that ends at each moment. */
function afterwards(chain: Chain, entries: readonly Entry[]): Scores {
  const { moments, states, groups, groupOf, last, earliest } = chain;
  const rests = scoresOf(chain);
  /** What is best from each moment on, if a segment in a state begins there, with what lies along it until there. */
  const from = scoresOf(chain);
  const bestOf = new Float64Array(groups);
  const width = moments + 1;
  const leaving = Array.from({ length: states }, (_, state) => groupOf(state));
  const spansOf = Array.from({ length: states }, (_, state) => chain.spans(state));
  const alongOf = Array.from({ length: states }, (_, state) => chain.along(state));
  const beginsOf = Array.from({ length: states }, (_, state) => chain.begins(state));
  for (let at = moments; at >= 0; at--) {
    bestOf.fill(NEVER);
    for (let state = 0; state < states; state++) {
      const begins = from[state]![at]! + beginsOf[state]![at]! - alongOf[state]![at]!;
      if (begins === NEVER) continue;
      for (const { group, score } of entries[state]!.groups)
        if (begins + score > bestOf[group]!) bestOf[group] = begins + score;
      for (const { state: other, score } of entries[state]!.states)
        if (begins + score > rests[other]![at]!) rests[other]![at] = begins + score;
    }
    for (let state = 0; state < states; state++) {
      const left = leaving[state];
      if (left) rests[state]![at] = Math.max(rests[state]![at]!, bestOf[left.group]! + left.score);
      if (at === moments) rests[state]![at] = Math.max(rests[state]![at]!, last(state));
      const rest = rests[state]![at]!;
      if (rest === NEVER) continue;
      const [own, spans] = [from[state]!, spansOf[state]!];
      const upTo = rest + alongOf[state]![at]!;
      const row = at * width;
      for (let i = earliest(state, at); i < at; i++) {
        const score = upTo + spans[row + i]!;
        if (score > own[i]!) own[i] = score;
      }
    }
  }
  return rests;
}
