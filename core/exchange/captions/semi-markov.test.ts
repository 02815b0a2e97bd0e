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
    spans: (state) =>
      Float64Array.from({ length: (moments + 1) ** 2 }, (_, i) => {
        const [from, to] = [i % (moments + 1), Math.floor(i / (moments + 1))];
        return from < to && from >= to - longest[state]! ? spanOf(tables, state, from, to) : -Infinity;
      }),
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
const tablesWith = (size: { moments: fc.IntegerConstraints; states: fc.IntegerConstraints; longest: number }) =>
  fc.record({ moments: fc.integer(size.moments), states: fc.integer(size.states) }).chain(({ moments, states }) =>
    fc.record({
      moments: fc.constant(moments),
      states: fc.constant(states),
      scores: fc.array(score, { minLength: 11, maxLength: 37 }),
      steps: fc.array(maybe, { minLength: states * states, maxLength: states * states }),
      first: fc.array(maybe, { minLength: states, maxLength: states }),
      last: fc.array(maybe, { minLength: states, maxLength: states }),
      longest: fc.array(fc.integer({ min: 1, max: size.longest }), { minLength: states, maxLength: states }),
      leaving: fc.array(score, { minLength: states, maxLength: states }),
      lets: fc.array(maybe, { minLength: states, maxLength: states }),
    }),
  );
const tables = tablesWith({ moments: { min: 1, max: 5 }, states: { min: 1, max: 4 }, longest: 5 });

const longTables = tablesWith({ moments: { min: 30, max: 70 }, states: { min: 1, max: 3 }, longest: 60 });

/** The best score of a chain by the plain recursion over all ends and beginnings; around one segment if it is given. */
function bestOfLong(tables: Tables, given?: ChainSegment): number {
  const { moments, states, steps, first, last, longest, leaving, lets } = tables;
  const change = (before: number, state: number): number => {
    const isLet = lets[state] !== null && before % 2 === (state % 3 === 0 ? 0 : 1);
    return Math.max(never(steps[before * states + state]), isLet ? lets[state]! + leaving[before]! : -Infinity);
  };
  const isOver = (from: number, to: number): boolean => given !== undefined && from < given.to && given.from < to;
  const isGiven = (state: number, from: number, to: number): boolean =>
    given?.state === state && given.from === from && given.to === to;
  /** By the end and the state of the last segment up to it. */
  const best = Array.from({ length: moments + 1 }, () => Array.from({ length: states }, () => -Infinity));
  for (let to = 1; to <= moments; to++)
    for (let state = 0; state < states; state++)
      for (let from = Math.max(0, to - longest[state]!); from < to; from++) {
        if (isOver(from, to) && !isGiven(state, from, to)) continue;
        const before =
          from === 0
            ? never(first[state])
            : Math.max(...best[from]!.map((score, other) => score + change(other, state)));
        best[to]![state] = Math.max(best[to]![state]!, before + scoreOf(tables, state, from, to));
      }
  return Math.max(...best[moments]!.map((score, state) => score + never(last[state])));
}

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

  test('is the best of a long chain as well, where most beginnings are passed over', () => {
    fc.assert(
      fc.property(longTables, fc.nat(3), fc.nat(70), fc.nat(70), (one, state, from, to) => {
        const found = decode(chainOf(one));
        expect(found.score).toBe(bestOfLong(one));
        fc.pre(state < one.states && from < to && to <= one.moments);
        expect(found.bestWith(state, [from, from], [to, to])).toBe(bestOfLong(one, { state, from, to }));
      }),
      { numRuns: 100 },
    );
  });
});
