import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { GROWTH, LADDER, type Ratio, type Rung } from '#core/breath';
import { breathGrowth, rungCounts, type BreathState } from './breath-growth';
import { gentlest } from './gentlest';
import { growBreath } from './grow-course';
import type { ThreadOf } from './thread';

const ratio = (breathIn: number, holdFull: number, out: number, holdEmpty = 0): Ratio => ({
  in: breathIn,
  holdFull,
  out,
  holdEmpty,
});
const shown = ({ in: breathIn, holdFull, out, holdEmpty }: Ratio): string =>
  [breathIn, holdFull, out, ...(holdEmpty > 0 ? [holdEmpty] : [])].join(':');
const weeksTo = (last: number): number[] => Array.from({ length: last }, (_, i) => i + 1);
const none = LADDER.map(() => 0);

function grown(from: Ratio, to: Ratio, weeks: number, easyAWeek = 1, easy: readonly number[] = none) {
  const thread = { id: 'breath', kind: 'breath', step: 's', from, to, easyAWeek, byWeek: weeks } as const;
  const { levels, outcome } = growBreath(
    thread,
    from,
    { weeks: weeksTo(weeks), byWeek: weeks },
    { ladder: LADDER, rules: GROWTH, easy, isOver: false },
  );
  return { counts: levels.map(shown), outcome };
}

describe('a breath over the weeks', () => {
  test('waits for its gate, and then grows a count a week', () => {
    // 1 : 0 : 1 has to be easy three times before 2 : 0 : 3, which with five counts is 5, 0, 8 to whole counts.
    expect(rungCounts(LADDER[1]!, 5)).toEqual(ratio(5, 0, 8));
    expect(grown(ratio(5, 0, 5), ratio(5, 0, 8), 7)).toEqual({
      counts: ['5:0:5', '5:0:5', '5:0:5', '5:0:5', '5:0:6', '5:0:7', '5:0:8'],
      outcome: { kind: 'inTime' },
    });
  });

  test('goes on at once where the record has opened the gate', () => {
    const easy = none.map((_, i) => (i === 0 ? 3 : 0));
    expect(grown(ratio(5, 0, 5), ratio(5, 0, 8), 4, 1, easy).counts).toEqual(['5:0:5', '5:0:6', '5:0:7', '5:0:8']);
  });

  test('an aim behind a gate that the weeks cannot open: the nearest that can, what binds, and how many weeks more', () => {
    // From 1 : 1 : 1 : 1, 1 : 2 : 2 takes 14 easy sessions: seven weeks at two a week, then four counts of out-breath and
    // four of retention, one a week. The first can be in week 8, the last in week 15: twelve weeks end with 4 : 5 : 8.
    const { counts, outcome } = grown(ratio(4, 4, 4, 4), ratio(4, 8, 8), 12, 2);
    expect(outcome).toEqual({
      kind: 'never',
      nearest: ratio(4, 5, 8),
      moreWeeks: 3,
      binds: { kind: 'gate', rung: ratio(1, 2, 2), before: ratio(1, 1, 1, 1), gate: 14 },
    });
    expect(counts).toEqual([
      ...Array.from({ length: 7 }, () => '4:4:4:4'),
      ...['4:4:5', '4:4:6', '4:4:7', '4:4:8', '4:5:8'],
    ]);
  });

  test('an aim that takes longer than its week, but not longer than the course', () => {
    const thread: ThreadOf<'breath'> = {
      ...{ id: 'breath', kind: 'breath', step: 's', from: ratio(4, 0, 4), to: ratio(4, 0, 6), easyAWeek: 1, byWeek: 4 },
    };
    const record = { ladder: LADDER, rules: GROWTH, easy: none, isOver: false };
    const { levels, outcome } = growBreath(thread, thread.from, { weeks: weeksTo(8), byWeek: 4 }, record);
    expect(outcome).toMatchObject({ kind: 'late', week: 5, binds: { kind: 'gate', gate: 3 } });
    expect(levels.map(shown).slice(0, 6)).toEqual([...['4:0:4', '4:0:4', '4:0:4', '4:0:5', '4:0:6', '4:0:6']]);
  });

  test('a retention comes last: after the out-breath has been as it is', () => {
    const easy = none.map((_, i) => (i === 2 ? 5 : 0));
    expect(grown(ratio(4, 0, 8), ratio(4, 1, 6), 3, 1, easy).counts).toEqual(['4:0:8', '4:0:6', '4:1:6']);
  });
});

/** A ladder with small gates, so that all ways can be counted out. */
const SHORT: readonly Rung[] = [
  { ratio: ratio(1, 0, 1), gate: 0 },
  { ratio: ratio(2, 0, 3), gate: 1 },
  { ratio: ratio(2, 1, 3), gate: 2 },
];

/**
 * All ways of a breath with an in-breath of two counts, by the rules in words: it goes from rung to rung; one part gets
 * longer by one count, the retention last; what is too long gets as short as where it goes at once; a rung is a goal once the rung before it
 * has been easy often enough; and it never asks more than an open rung.
 */
function allBreaths(start: Ratio, aim: Ratio, weeks: number): Ratio[][] {
  const rungs = [ratio(2, 0, 2), ratio(2, 0, 3), ratio(2, 1, 3)];
  const key = (one: Ratio): string => JSON.stringify(one);
  interface At {
    way: Ratio[];
    easy: number[];
    goal: Ratio | null;
  }
  let ats: At[] = [{ way: [start], easy: [0, 0, 0], goal: null }];
  for (let week = 1; week < weeks; week++)
    ats = ats.flatMap(({ way, easy: before, goal }): At[] => {
      const now = way.at(-1)!;
      const easy = before.map((times, i) => times + (key(rungs[i]!) === key(now) ? 1 : 0));
      const open = [true, easy[0]! >= 1, easy[1]! >= 2];
      const within = (one: Ratio): boolean =>
        rungs.some((rung, i) => open[i] && one.out <= rung.out && one.holdFull <= rung.holdFull && one.holdEmpty === 0);
      const here = rungs.findIndex((rung) => key(rung) === key(now));
      const aimAt = rungs.findIndex((rung) => aim.out <= rung.out && aim.holdFull <= rung.holdFull);
      const goals = goal
        ? [goal]
        : [...rungs.filter((_, i) => i > here && i < aimAt && open[i]), ...(within(aim) ? [aim] : [])];
      const moves = goals.flatMap((to) => {
        const less = { ...now, out: Math.min(now.out, to.out), holdFull: Math.min(now.holdFull, to.holdFull) };
        const ways = [
          ...(key(less) === key(now) ? [] : [less]),
          ...(to.out > now.out ? [{ ...less, out: now.out + 1 }] : []),
          ...(to.holdFull > now.holdFull && less.out === to.out ? [{ ...less, holdFull: now.holdFull + 1 }] : []),
        ];
        return ways
          .filter(within)
          .map((one): At => ({ way: [...way, one], easy, goal: key(one) === key(to) ? null : to }));
      });
      return [{ way: [...way, now], easy, goal }, ...moves];
    });
  return ats.filter(({ way }) => key(way.at(-1)!) === key(aim)).map(({ way }) => way);
}
const stepsOf = (way: readonly Ratio[]): number[] =>
  way.slice(1).map((to, i) => Math.abs(to.out - way[i]!.out) + Math.abs(to.holdFull - way[i]!.holdFull));

test('no way of a breath is gentler than the one that is found', () => {
  const any = fc.constantFrom(ratio(2, 0, 2), ratio(2, 0, 3), ratio(2, 1, 3), ratio(2, 1, 2));
  fc.assert(
    fc.property(any, any, fc.integer({ min: 1, max: 8 }), (start, aim, weeks) => {
      const growth = breathGrowth(aim, { ladder: SHORT, rules: GROWTH, easyAWeek: 1 });
      const from: BreathState = { counts: start, goal: null, easy: [0, 0, 0], isOver: false };
      const found = gentlest(growth, from, weeks);
      const ways = allBreaths(start, aim, weeks);
      if (ways.length === 0) return expect(found).toBeUndefined();
      const worth = (way: readonly Ratio[]): number[] => {
        const steps = stepsOf(way);
        return [Math.max(0, ...steps), steps.reduce((sum, step) => sum + step * step, 0)];
      };
      const [best] = ways.map(worth).sort(([a = 0, x = 0], [b = 0, y = 0]) => a - b || x - y);
      expect(worth(found!.states.map(({ counts }) => counts))).toEqual(best);
      expect(ways).toContainEqual(found!.states.map(({ counts }) => counts));
    }),
  );
});
