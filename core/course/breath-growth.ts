import { growthRefusals, QUARTERS, smallestRatio, type GrowthRules, type Ratio, type Rung } from '#core/breath';
import type { Growth } from './gentlest';

/** A breath in a week of a course. */
export interface BreathState {
  counts: Ratio;
  /** What it is on its way to: a rung with its in-breath, or the aim; null where it is at a rung and stays. */
  goal: Ratio | null;
  /** Easy sessions there were at each rung of the ladder. */
  easy: readonly number[];
  /** The week is over: its sessions are among those that were counted already. */
  isOver: boolean;
}

/** What a breath may grow by. */
export interface BreathGrowthRules {
  ladder: readonly Rung[];
  rules: GrowthRules;
  /** Easy sessions that a week is expected to bring. */
  easyAWeek: number;
}

const isSame = (a: Ratio, b: Ratio): boolean => QUARTERS.every((quarter) => a[quarter] === b[quarter]);

/** A rung with an in-breath of so many counts, to the nearest whole counts: 2 : 0 : 3 with five is 5, 0, 8, 0. */
export function rungCounts({ ratio }: Rung, breathIn: number): Ratio {
  const counts = { ...ratio };
  for (const quarter of QUARTERS) counts[quarter] = Math.round((ratio[quarter] * breathIn) / ratio.in);
  return counts;
}

/** The rung that a breath is on: that of its ratio, or one that comes to it in whole counts; −1 where it is between two. */
export function rungOf(ladder: readonly Rung[], counts: Ratio): number {
  const ratio = smallestRatio(counts);
  const exact = ladder.findIndex((rung) => isSame(smallestRatio(rung.ratio), ratio));
  return exact >= 0 ? exact : ladder.findIndex((rung) => isSame(rungCounts(rung, counts.in), counts));
}

/** Whether a breath asks no more, with its in-breath, than a rung does. */
const asksNoMore = (counts: Ratio, rung: Rung): boolean => {
  const most = rungCounts(rung, counts.in);
  return QUARTERS.every((quarter) => counts[quarter] <= most[quarter]);
};

/** The first rung that asks as much as a breath does; the length of the ladder where none does. */
export function rungAbove(ladder: readonly Rung[], counts: Ratio): number {
  const at = ladder.findIndex((rung) => asksNoMore(counts, rung));
  return at < 0 ? ladder.length : at;
}

/** Whether the gate of a rung is open: enough sessions at the rung before it were easy. */
const isOpen = (ladder: readonly Rung[], easy: readonly number[], rung: number): boolean =>
  rung === 0 || (easy[rung - 1] ?? 0) >= (ladder[rung]?.gate ?? Infinity);

/** Whether some open rung asks as much as a breath does. */
export const isAllowed = (ladder: readonly Rung[], easy: readonly number[], counts: Ratio): boolean =>
  ladder.some((rung, i) => isOpen(ladder, easy, i) && asksNoMore(counts, rung));

/**
 * What a breath may be a week later on its way to a goal: one part longer, the holds last, and what is too long as short
 * as it is there.
 */
function towards(counts: Ratio, goal: Ratio, rules: GrowthRules): Ratio[] {
  const shortened = { ...counts };
  for (const quarter of QUARTERS) shortened[quarter] = Math.min(counts[quarter], goal[quarter]);
  const isBreathThere = shortened.in === goal.in && shortened.out === goal.out;
  const mayGrow = QUARTERS.filter((quarter) => isBreathThere || quarter === 'in' || quarter === 'out');
  const grown = mayGrow.flatMap((quarter) =>
    Array.from({ length: Math.max(0, goal[quarter] - counts[quarter]) }, (_, i) => ({
      ...shortened,
      [quarter]: counts[quarter] + i + 1,
    })),
  );
  const asCounted = (ratio: Ratio) => ({ ratio, countSeconds: 1 });
  return [...(isSame(shortened, counts) ? [] : [shortened]), ...grown].filter(
    (to) => growthRefusals(asCounted(counts), asCounted(to), true, rules).length === 0,
  );
}

/**
 * How the counts of a breath may grow towards an aim: from rung to rung of the ladder, one part at a time by no more than
 * the settings say, and nowhere beyond what an open rung asks. A gate opens with the easy sessions at the rung before it,
 * so many a week. The step is how many counts change.
 */
export function breathGrowth(aim: Ratio, { ladder, rules, easyAWeek }: BreathGrowthRules): Growth<BreathState> {
  /** More easy sessions than a gate asks for open nothing more. */
  const enough = ladder.map((_, i) => ladder[i + 1]?.gate ?? 0);
  const known = new Map<string, Ratio[]>();
  const waysTo = (counts: Ratio, goal: Ratio): Ratio[] => {
    const key = [counts, goal].flatMap((one) => QUARTERS.map((quarter) => one[quarter])).join();
    const ways = known.get(key) ?? towards(counts, goal, rules);
    known.set(key, ways);
    return ways;
  };
  const lastRung = rungAbove(ladder, aim);
  const goalsFrom = (counts: Ratio, easy: readonly number[]): Ratio[] => {
    const at = rungOf(ladder, counts);
    const rungs = ladder.flatMap((rung, i) =>
      i > at && i < lastRung && isOpen(ladder, easy, i) ? [rungCounts(rung, counts.in)] : [],
    );
    return isAllowed(ladder, easy, aim) ? [...rungs, aim] : rungs;
  };
  return {
    keyOf: ({ counts, goal, easy, isOver }) =>
      [
        ...QUARTERS.map((quarter) => counts[quarter]),
        ...(goal ? QUARTERS.map((quarter) => goal[quarter]) : '-'),
        ...easy,
        isOver,
      ].join(),
    isAim: ({ counts }) => isSame(counts, aim),
    next: ({ counts, goal, easy, isOver }) => {
      const rung = isOver ? -1 : rungOf(ladder, counts);
      const after = easy.map((times, i) =>
        i === rung ? Math.max(times, Math.min(times + easyAWeek, enough[i] ?? 0)) : times,
      );
      const moves = (goal ? [goal] : goalsFrom(counts, after)).flatMap((to) =>
        waysTo(counts, to)
          .filter((one) => isAllowed(ladder, after, one))
          .map((one) => ({
            to: { counts: one, goal: isSame(one, to) ? null : to, easy: after, isOver: false },
            step: QUARTERS.reduce((sum, quarter) => sum + Math.abs(one[quarter] - counts[quarter]), 0),
          })),
      );
      return [{ to: { counts, goal, easy: after, isOver: false }, step: 0 }, ...moves];
    },
  };
}
