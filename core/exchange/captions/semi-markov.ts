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
  /** What a segment is worth by where it begins and ends, at `from * (moments + 1) + to`. States may share a table. */
  spans: (state: number) => Float64Array;
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

/** The best score over a range of beginnings of a segment that ends at `to`, and where it begins. */
function bestStart(
  begun: Float64Array,
  spans: Float64Array,
  along: Float64Array,
  [first, last, to]: readonly [number, number, number],
): { score: number; from: number } {
  const width = along.length;
  let [score, from] = [NEVER, -1];
  for (let i = first; i <= last; i++) {
    const total = begun[i]! - along[i]! + spans[i * width + to]!;
    if (total > score) [score, from] = [total, i];
  }
  return { score: score + along[to]!, from };
}

/** Decodes a chain exactly. Without any path that is possible, the score is −∞ and there are no segments. */
export function decode(chain: Chain): Decoded {
  const { moments, states, groups, groupOf, last, earliest } = chain;
  const entries = Array.from({ length: states }, (_, state) => chain.entry(state));
  const spans = Array.from({ length: states }, (_, state) => chain.spans(state));
  const along = Array.from({ length: states }, (_, state) => chain.along(state));
  const ended = scoresOf(chain);
  const begun = scoresOf(chain);
  const before = Array.from({ length: states }, () => new Int32Array(moments + 1).fill(-1));
  const starts = Array.from({ length: states }, () => new Int32Array(moments + 1).fill(-1));
  const bestOf = new Float64Array(groups);
  const whichOf = new Int32Array(groups);

  for (let to = 0; to <= moments; to++) {
    bestOf.fill(NEVER);
    whichOf.fill(-1);
    for (let state = 0; state < states; state++) {
      const range = [earliest(state, to), to - 1, to] as const;
      const { score, from } = bestStart(begun[state]!, spans[state]!, along[state]!, range);
      ended[state]![to] = score;
      starts[state]![to] = from;
      const leaving = groupOf(state);
      if (leaving && score + leaving.score > bestOf[leaving.group]!)
        [bestOf[leaving.group], whichOf[leaving.group]] = [score + leaving.score, state];
    }
    for (const [state, entry] of entries.entries()) {
      let [best, from] = [to === 0 ? entry.first : NEVER, -1];
      for (const { group, score } of entry.groups)
        if (bestOf[group]! + score > best) [best, from] = [bestOf[group]! + score, whichOf[group]!];
      for (const { state: other, score } of entry.states)
        if (ended[other]![to]! + score > best) [best, from] = [ended[other]![to]! + score, other];
      begun[state]![to] = best;
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
        const range = [Math.max(0, firstFrom, earliest(one, to)), Math.min(to - 1, lastFrom), to] as const;
        best = Math.max(best, bestStart(begun[one]!, spans[one]!, along[one]!, range).score + rest);
      }
      return best;
    },
  };
}

/** The best score of all that comes after each state that ends at each moment. */
function afterwards(chain: Chain, entries: readonly Entry[]): Scores {
  const { moments, states, groups, groupOf, last, earliest } = chain;
  const rests = scoresOf(chain);
  /** What is best from each moment on, if a segment in a state begins there. */
  const from = scoresOf(chain);
  const bestOf = new Float64Array(groups);
  const width = moments + 1;
  for (let at = moments; at >= 0; at--) {
    bestOf.fill(NEVER);
    for (const [state, entry] of entries.entries()) {
      const begins = from[state]![at]!;
      if (begins === NEVER) continue;
      for (const { group, score } of entry.groups) bestOf[group] = Math.max(bestOf[group]!, begins + score);
      for (const { state: other, score } of entry.states)
        rests[other]![at] = Math.max(rests[other]![at]!, begins + score);
    }
    for (let state = 0; state < states; state++) {
      const leaving = groupOf(state);
      if (leaving) rests[state]![at] = Math.max(rests[state]![at]!, bestOf[leaving.group]! + leaving.score);
      if (at === moments) rests[state]![at] = Math.max(rests[state]![at]!, last(state));
      const rest = rests[state]![at]!;
      if (rest === NEVER) continue;
      const [own, spans, along] = [from[state]!, chain.spans(state), chain.along(state)];
      for (let i = earliest(state, at); i < at; i++)
        own[i] = Math.max(own[i]!, rest + spans[i * width + at]! + along[at]! - along[i]!);
    }
  }
  return rests;
}
