import type { ClassChain } from './class-chain';
import type { SegmentKind } from './class-state';
import type { ChainSegment, Decoded } from './semi-markov';
import { LENGTHS } from './worth';

/** What of a segment is not sure: whether it is a hold at all, which one, which side, and when it ends. */
export type Doubt = 'whether' | 'name' | 'side' | 'end';

/** A decision is doubtful when the best class without it is less than so much less likely (natural logarithm). */
const SURE = { whether: 3, name: 2.5, side: 2.5, end: 3 } as const;
/** Other boundaries that are looked at on either side when a name or a side is doubted, in moments. */
const NEARBY = 4;
/** An end is another end when it is so far away. */
const OTHER_END_MS = 20_000;

/** Kinds of time in which nothing is held, nor gone into. */
const NOT_HELD = ['talk', 'shown', 'out', 'rest'] as const;

/**
 * What of a held segment could well be otherwise.
 * @param isUnknown whether no entry has its name, so that it may be no name at all
 */
export function doubtsOf(
  chain: ClassChain,
  { score, bestWith }: Decoded,
  segment: ChainSegment,
  isUnknown: boolean,
): Doubt[] {
  const own = chain.stateAt(segment.state);
  const middleMs = ((chain.momentsMs[segment.from] ?? 0) + (chain.momentsMs[segment.to] ?? 0)) / 2;
  const middle = Math.max(
    segment.from,
    chain.momentsMs.findLastIndex((ms) => ms <= middleMs),
  );
  // Another name or side has the middle of it: what lies beside it has a name and a side of its own.
  const from: [number, number] = [segment.from - NEARBY, Math.min(segment.from + NEARBY, middle)];
  const to: [number, number] = [Math.max(segment.to - NEARBY, middle + 1), segment.to + NEARBY];
  let [name, side] = [-Infinity, -Infinity];
  for (let state = 0; state < chain.states; state++) {
    const other = chain.stateAt(state);
    if (other.kind !== own.kind) continue;
    if (other.id !== own.id) name = Math.max(name, bestWith(state, from, to));
    else if (other.side !== own.side) side = Math.max(side, bestWith(state, from, to));
  }
  let whether = -Infinity;
  /** Nothing that lies over the middle ends later. */
  const latest = new Map(
    NOT_HELD.map((kind) => {
      const lastMs = (chain.momentsMs[middle] ?? 0) + LENGTHS[kind].longestMs;
      return [kind as SegmentKind, chain.momentsMs.findLastIndex((ms) => ms <= lastMs)];
    }),
  );
  for (let state = 0; state < chain.states; state++) {
    const last = latest.get(chain.stateAt(state).kind);
    if (last !== undefined) whether = Math.max(whether, bestWith(state, [0, middle], [middle + 1, last]));
  }
  const endMs = chain.momentsMs[segment.to] ?? 0;
  const early = chain.momentsMs.findLastIndex((ms) => ms <= endMs - OTHER_END_MS);
  const late = chain.momentsMs.findIndex((ms) => ms >= endMs + OTHER_END_MS);
  const end = Math.max(
    bestWith(segment.state, from, [segment.from + 1, early]),
    late < 0 ? -Infinity : bestWith(segment.state, from, [late, chain.moments]),
  );
  const isDoubtful = { whether, name, side, end };
  return (Object.keys(SURE) as Doubt[]).filter(
    (one) => score - isDoubtful[one] < SURE[one] || (one === 'name' && isUnknown),
  );
}
