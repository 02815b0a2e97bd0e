import { QUARTERS, type GrowthRules, type Ratio, type Rung } from '#core/breath';
import { breathGrowth, rungAbove, type BreathState } from './breath-growth';
import { earliestWeek, gentlest, reachable, type Growth } from './gentlest';
import { numericGrowth } from './numeric-growth';
import { remembering } from './remembering';
import type { ThreadOf } from './thread';
import { COURSE_LIMITS } from './limits';

/** What stands in the way of an aim: the largest step of a week, or a gate of the ladder. */
export type Bind =
  | { kind: 'step' }
  | {
      kind: 'gate';
      /** The rung behind the gate, the one before it, and how many easy sessions at that one open it. */
      rung: Ratio;
      before: Ratio;
      gate: number;
    };

/** How something grows over the weeks of a course. */
export interface Grown<L> {
  /** What each week has, in the order of the weeks that were given. */
  levels: L[];
  outcome:
    | { kind: 'inTime' }
    /** The aim is reached in a later week of the course. */
    | { kind: 'late'; week: number; binds: Bind | null }
    /** It is not reached in this course: how near it comes, and in how many more weeks it could be. */
    | { kind: 'never'; nearest: L; moreWeeks: number | null; binds: Bind | null };
}

/** Weeks that are looked ahead to say when an aim could be reached. */
const MAX_AHEAD = COURSE_LIMITS.maxWeeks;

interface Weeks {
  /** The numbers of the weeks that are still to come, the one that it starts from first. */
  weeks: readonly number[];
  byWeek: number;
}

/**
 * The gentlest way to an aim by a week; where that cannot be, the gentlest by the earliest week that can; and where none
 * can, the gentlest to what is nearest to it.
 * @param distance how far from the aim a state is
 * @param bindsAt what stands in the way, where the aim takes so many weeks
 */
function grow<S>(
  growth: Growth<S>,
  start: S,
  { weeks, byWeek }: Weeks,
  distance: (state: S) => readonly number[],
  bindsAt: (earliest: number | undefined) => Bind | null,
): Grown<S> {
  const fill = (states: readonly S[]): S[] => weeks.map((_, i) => states[Math.min(i, states.length - 1)] ?? start);
  const inTime = weeks.filter((week, i) => i === 0 || week <= byWeek).length;
  const way = gentlest(growth, start, inTime);
  if (way) return { levels: fill(way.states), outcome: { kind: 'inTime' } };
  const earliest = earliestWeek(growth, start, MAX_AHEAD);
  const binds = bindsAt(earliest);
  if (earliest !== undefined && earliest <= weeks.length) {
    const late = gentlest(growth, start, earliest);
    return {
      levels: fill(late?.states ?? []),
      outcome: { kind: 'late', week: weeks[earliest - 1] ?? earliest, binds },
    };
  }
  const compare = (a: readonly number[], b: readonly number[]): number => {
    const at = a.findIndex((value, i) => value !== b[i]);
    return at < 0 ? 0 : (a[at] ?? 0) - (b[at] ?? 0);
  };
  const nearest =
    reachable(growth, start, weeks.length).toSorted((a, b) => compare(distance(a), distance(b)))[0] ?? start;
  const isNearest = (state: S): boolean => compare(distance(state), distance(nearest)) === 0;
  const near = gentlest({ ...growth, isAim: isNearest }, start, weeks.length);
  return {
    levels: fill(near?.states ?? []),
    outcome: {
      kind: 'never',
      nearest,
      moreWeeks: earliest === undefined ? null : earliest - weeks.length,
      binds,
    },
  };
}

/** How a length, a number of pieces or a share grows from a value that it has. */
export function growNumber(thread: ThreadOf<'length' | 'props' | 'talk'>, start: number, weeks: Weeks): Grown<number> {
  const { grid, most } =
    thread.kind === 'length' ? { grid: thread.grid, most: thread.mostAWeek } : { grid: 1, most: Infinity };
  return grow(
    numericGrowth(thread.to, grid, most),
    start,
    weeks,
    (value) => [Math.abs(thread.to - value)],
    () => ({ kind: 'step' }),
  );
}

/** What is known of how a group breathes, and what its breath may grow by. */
export interface BreathRecord {
  ladder: readonly Rung[];
  rules: GrowthRules;
  /** Sessions in which each rung of the ladder was easy. */
  easy: readonly number[];
  /** The first of the weeks is over, and its sessions are among these. */
  isOver: boolean;
}

/** How the counts of a breath grow, along the ladder and through its gates. */
export const growBreath = (
  { to, easyAWeek }: ThreadOf<'breath'>,
  start: Ratio,
  weeks: Weeks,
  record: BreathRecord,
): Grown<Ratio> => grownBreath(to, easyAWeek, start, weeks, record);

/** So many breaths are remembered: a change of anything else in a course asks the same of them again. */
const BREATHS = 48;
const grownBreath = remembering(breathAnew, BREATHS);

function breathAnew(
  aim: Ratio,
  easyAWeek: number,
  start: Ratio,
  weeks: Weeks,
  { ladder, rules, easy, isOver }: BreathRecord,
): Grown<Ratio> {
  const from: BreathState = { counts: start, goal: null, easy, isOver };
  const growthOn = (rungs: readonly Rung[]): Growth<BreathState> =>
    breathGrowth(aim, { ladder: rungs, rules, easyAWeek });
  const inTime = weeks.weeks.filter((week, i) => i === 0 || week <= weeks.byWeek).length;
  /** The gate without which the aim would be reached soonest; none where it takes as long without all of them. */
  const bindsAt = (earliest: number | undefined): Bind => {
    const free = earliestWeek(growthOn(ladder.map((rung) => ({ ...rung, gate: 0 }))), from, MAX_AHEAD);
    if (free === undefined || free > inTime) return { kind: 'step' };
    const without = ladder.map((rung, i) => {
      const opened = ladder.map((one, j) => (i === j ? { ...one, gate: 0 } : one));
      const week = rung.gate === 0 ? undefined : earliestWeek(growthOn(opened), from, MAX_AHEAD);
      return { rung, before: ladder[i - 1], saved: (earliest ?? MAX_AHEAD + 1) - (week ?? earliest ?? MAX_AHEAD + 1) };
    });
    const [worst] = without.toSorted((a, b) => b.saved - a.saved);
    if (!worst?.before || worst.saved <= 0) return { kind: 'step' };
    return { kind: 'gate', rung: worst.rung.ratio, before: worst.before.ratio, gate: worst.rung.gate };
  };
  const aimRung = rungAbove(ladder, aim);
  const { levels, outcome } = grow(
    growthOn(ladder),
    from,
    weeks,
    // The nearest asks as much as a rung that is as near as can be to the aim’s, and then differs in the fewest counts.
    ({ counts }) => [
      Math.abs(aimRung - rungAbove(ladder, counts)),
      QUARTERS.reduce((sum, quarter) => sum + Math.abs(aim[quarter] - counts[quarter]), 0),
    ],
    bindsAt,
  );
  return {
    levels: levels.map(({ counts }) => counts),
    outcome: outcome.kind === 'never' ? { ...outcome, nearest: outcome.nearest.counts } : outcome,
  };
}
