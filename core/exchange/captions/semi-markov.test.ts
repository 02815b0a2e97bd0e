import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { decode, type Chain, type ChainSegment, type Entry } from './semi-markov';

/** A small chain from tables: scores by state, from and to; which state may follow which; and what may come first and last. */
interface Tables {
  moments: number;
  states: number;
  scores: number[];
  /** From one state to another, or null where it may not. */
  steps: (number | null)[];
  first: (number | null)[];
  last: (number | null)[];
  longest: number[];
  /** States from this one on may be left for any state of their group that lets the group in. */
  leaving: number[];
  lets: (number | null)[];
}
const never = (score: number | null | undefined): number => score ?? -Infinity;

const spanOf = ({ scores }: Tables, state: number, from: number, to: number): number =>
  scores[(state * 7 + from * 3 + to * 5) % scores.length]!;
/** What lies at one moment for a state. */
const pieceOf = ({ scores }: Tables, state: number, moment: number): number =>
  scores[(state * 3 + moment) % scores.length]!;
/** What it is worth to begin at a moment. */
const beginOf = ({ scores }: Tables, state: number, moment: number): number =>
  scores[(state * 2 + moment * 5 + 1) % scores.length]!;
function scoreOf(tables: Tables, state: number, from: number, to: number): number {
  let total = beginOf(tables, state, from) + spanOf(tables, state, from, to);
  for (let moment = from; moment < to; moment++) total += pieceOf(tables, state, moment);
  return total;
}
const groupOf = (state: number): number => state % 2;

function chainOf(tables: Tables): Chain {
  const { moments, states, steps, first, last, longest, leaving, lets } = tables;
  return {
    moments,
    states,
    groups: 2,
    groupOf: (state) => ({ group: groupOf(state), score: leaving[state]! }),
    entry: (state): Entry => ({
      first: never(first[state]),
      groups: lets[state] === null ? [] : [{ group: state % 3 === 0 ? 0 : 1, score: lets[state]! }],
      states: Array.from({ length: states }, (_, other) => ({
        state: other,
        score: steps[other * states + state],
      })).flatMap(({ state: other, score }) =>
        score === null || score === undefined ? [] : [{ state: other, score }],
      ),
    }),
    last: (state) => never(last[state]),
    earliest: (state, to) => Math.max(0, to - longest[state]!),
    spans: (state) =>
      Float64Array.from({ length: (moments + 1) ** 2 }, (_, i) =>
        spanOf(tables, state, i % (moments + 1), Math.floor(i / (moments + 1))),
      ),
    begins: (state) => Float64Array.from({ length: moments + 1 }, (_, moment) => beginOf(tables, state, moment)),
    along: (state) => {
      const sums = new Float64Array(moments + 1);
      for (let i = 0; i < moments; i++) sums[i + 1] = sums[i]! + pieceOf(tables, state, i);
      return sums;
    },
  };
}

/** Every way to cut the time, with its score: written from the meaning of a chain, without any of its code. */
function allPaths(tables: Tables): { score: number; path: ChainSegment[] }[] {
  const { moments, states, steps, first, last, longest, leaving, lets } = tables;
  const found: { score: number; path: ChainSegment[] }[] = [];
  const go = (at: number, before: number | undefined, score: number, path: ChainSegment[]): void => {
    if (at === moments) {
      if (before !== undefined) found.push({ score: score + never(last[before]), path });
      return;
    }
    for (let state = 0; state < states; state++)
      for (let to = at + 1; to <= Math.min(moments, at + longest[state]!); to++) {
        let change = never(before === undefined ? first[state] : steps[before * states + state]);
        const group = state % 3 === 0 ? 0 : 1;
        if (before !== undefined && lets[state] !== null && before % 2 === group)
          change = Math.max(change, lets[state]! + leaving[before]!);
        if (change === -Infinity) continue;
        go(to, state, score + change + scoreOf(tables, state, at, to), [...path, { state, from: at, to }]);
      }
  };
  go(0, undefined, 0, []);
  return found.filter((one) => one.score > -Infinity);
}

const score = fc.integer({ min: -9, max: 9 });
const maybe = fc.option(score, { freq: 2 });
const tables = fc
  .record({ moments: fc.integer({ min: 1, max: 5 }), states: fc.integer({ min: 1, max: 4 }) })
  .chain(({ moments, states }) =>
    fc.record({
      moments: fc.constant(moments),
      states: fc.constant(states),
      scores: fc.array(score, { minLength: 11, maxLength: 37 }),
      steps: fc.array(maybe, { minLength: states * states, maxLength: states * states }),
      first: fc.array(maybe, { minLength: states, maxLength: states }),
      last: fc.array(maybe, { minLength: states, maxLength: states }),
      longest: fc.array(fc.integer({ min: 1, max: 5 }), { minLength: states, maxLength: states }),
      leaving: fc.array(score, { minLength: states, maxLength: states }),
      lets: fc.array(maybe, { minLength: states, maxLength: states }),
    }),
  );

describe('the likeliest way to cut a stretch of time', () => {
  test('is the best of all there are, and has the score it says', () => {
    fc.assert(
      fc.property(tables, (one) => {
        const paths = allPaths(one);
        const best = Math.max(...paths.map((path) => path.score), -Infinity);
        const found = decode(chainOf(one));
        expect(found.score).toBe(best);
        if (best === -Infinity) return expect(found.segments).toEqual([]);
        const itself = paths.find(({ path }) => JSON.stringify(path) === JSON.stringify(found.segments));
        expect(itself?.score).toBe(best);
      }),
      { numRuns: 400 },
    );
  });

  test('the best with a segment in some state at some place is the best of those that have it', () => {
    fc.assert(
      fc.property(tables, fc.nat(3), fc.nat(5), fc.nat(5), fc.nat(5), fc.nat(5), (one, state, a, b, c, d) => {
        fc.pre(state < one.states);
        const [from, to] = [
          [Math.min(a, b), Math.max(a, b)],
          [Math.min(c, d), Math.max(c, d)],
        ] as const;
        const having = allPaths(one).filter(({ path }) =>
          path.some(
            (part) =>
              part.state === state &&
              part.from >= from[0] &&
              part.from <= from[1] &&
              part.to >= to[0] &&
              part.to <= to[1],
          ),
        );
        const best = Math.max(...having.map((path) => path.score), -Infinity);
        expect(decode(chainOf(one)).bestWith(state, from, to)).toBe(best);
      }),
      { numRuns: 400 },
    );
  });
});
