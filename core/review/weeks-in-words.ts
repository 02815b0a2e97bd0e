import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import {
  correlation,
  type AreaWeeks,
  type transitionTimes,
  type breathBySession,
  type plannedAndDone,
  type sidesByWeek,
  type strengthAgainstLength,
} from './weeks';

const sum = <T>(all: readonly T[], of: (one: T) => number): number => all.reduce((total, one) => total + of(one), 0);
const minutes = (ms: Ms): string => {
  const whole = Math.round(ms / 60_000);
  return `${whole} ${whole === 1 ? 'minute' : 'minutes'}`;
};
const several = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/**
 * What the time by part of the body says: `Most time went to the hamstrings, 84 minutes in 4 weeks; least to the chest,
 * 6 minutes.` Without any, `none`; `called` is what each is called in it.
 */
export function areasInWords(
  { weeks, areas }: AreaWeeks,
  none = 'No holds completed in this period.',
  called: (area: string) => string = (area) => area,
): string {
  const [most] = areas;
  const least = areas.at(-1);
  if (!most || !least) return none;
  const sentence = `Most time went to ${called(most.area)}, ${minutes(most.totalMs)} in ${several(weeks.length, 'week', 'weeks')}`;
  return least === most ? `${sentence}.` : `${sentence}; least to ${called(least.area)}, ${minutes(least.totalMs)}.`;
}

const WORTH_SAYING_SHARE = 0.02;

/** What left against right says: which side had less, by how much and by what share, and whether they come closer. */
export function sidesInWords(weeks: ReturnType<typeof sidesByWeek>): string {
  const [left, right] = [sum(weeks, (week) => week.leftMs), sum(weeks, (week) => week.rightMs)];
  if (left + right === 0) return 'No two-sided holds completed in this period.';
  const off = Math.abs(left - right);
  const share = off / Math.max(left, right);
  if (share < WORTH_SAYING_SHARE) return `Left and right are even: within ${clockOfMs(off)} of each other.`;
  const [less, more] = left < right ? ['Left', 'right'] : ['Right', 'left'];
  const sentence = `${less} sides had ${Math.round(share * 100)} % less than ${more} ones, ${clockOfMs(off)} in total`;
  const shareOf = ({ leftMs, rightMs }: { leftMs: Ms; rightMs: Ms }): number =>
    Math.abs(leftMs - rightMs) / Math.max(leftMs, rightMs, 1);
  const [firstWeek, lastWeek] = [weeks[0], weeks.at(-1)];
  if (!firstWeek || !lastWeek || weeks.length < 3) return `${sentence}.`;
  const [first, last] = [shareOf(firstWeek), shareOf(lastWeek)];
  if (Math.abs(first - last) < WORTH_SAYING_SHARE) return `${sentence}.`;
  return `${sentence}; they are ${last < first ? 'coming closer' : 'drifting apart'}.`;
}

/** What planned against done says: how much longer or shorter sessions are than planned. */
export function plannedInWords(runs: ReturnType<typeof plannedAndDone>): string {
  if (runs.length === 0) return 'No planned sessions in this period.';
  const [plannedMs, doneMs] = [sum(runs, (run) => run.plannedMs), sum(runs, (run) => run.doneMs)];
  const off = doneMs - plannedMs;
  const share = plannedMs > 0 ? Math.abs(off) / plannedMs : 0;
  const many = several(runs.length, 'session', 'sessions');
  if (share < 0.01) return `${many} took as long as planned, within a per cent.`;
  const each = clockOfMs(Math.abs(off) / runs.length);
  return `${many} ran ${Math.round(share * 100)} % ${off > 0 ? 'over' : 'under'} the plan, ${each} on average.`;
}

const TRANSITION_WORDS = { setUp: 'setting up or changing', entries: 'getting in or coming out', talk: 'a talk' };

/** What set-ups, getting in and coming out and talk really take. */
export function transitionTimesInWords(parts: ReturnType<typeof transitionTimes>): string {
  if (parts.length === 0) return 'No planned sessions in this period.';
  const sentence = parts.map(
    ({ what, plannedMs, doneMs }) =>
      `${TRANSITION_WORDS[what]} takes ${clockOfMs(doneMs)} (planned ${clockOfMs(plannedMs)})`,
  );
  const text = sentence.join(', ');
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

const CLEAR = 0.4;

/** What strength against length says, for one position. */
export function strengthInWords({ name, points }: ReturnType<typeof strengthAgainstLength>[number]): string {
  const by = correlation(points.map(({ doneMs, strength }) => [doneMs, strength]));
  const mean = sum(points, ({ strength }) => strength) / points.length;
  const about = `${name}: ${mean.toFixed(1)} of 10 on average over ${several(points.length, 'hold', 'holds')}`;
  if (by === null) return `${about}; too few differences yet to say how intensity goes with length.`;
  if (by >= CLEAR) return `${about}; longer holds felt more intense.`;
  if (by <= -CLEAR) return `${about}; longer holds felt milder.`;
  return `${about}; intensity did not depend on length.`;
}

/**
 * What the breath over time says: how the longest hold and the slowest breath went, from the first to the last session.
 */
export function breathTrendInWords(sessions: ReturnType<typeof breathBySession>): string {
  if (sessions.length === 0) return 'No breath practised in this period.';
  const ends = (of: (one: (typeof sessions)[number]) => number | null): [number, number] | null => {
    const known = sessions.flatMap((one) => of(one) ?? []);
    const [first, last] = [known[0], known.at(-1)];
    return first === undefined || last === undefined ? null : [first, last];
  };
  const sentence: string[] = [];
  const seconds = (ms: Ms): string => `${Math.round(ms / 1000)} s`;
  const retention = ends((one) => one.longestRetentionMs);
  const rate = ends((one) => one.slowestRate);
  const moved = (what: string, [from, to]: [number, number], show: (n: number) => string): string =>
    show(from) === show(to) ? `${what} stayed at ${show(to)}` : `${what} went from ${show(from)} to ${show(to)}`;
  if (retention) sentence.push(moved('The longest retention', retention, seconds));
  if (rate)
    sentence.push(
      moved(sentence.length > 0 ? 'the slowest breathing' : 'The slowest breathing', rate, (n) => n.toFixed(1)),
    );
  const rounds = sum(sessions, (one) => one.rounds ?? 0);
  if (sentence.length === 0)
    return `${several(rounds, 'round', 'rounds')} in ${several(sessions.length, 'session', 'sessions')}.`;
  return `${sentence.join('; ')}${rate ? ' a minute' : ''}; ${several(rounds, 'round', 'rounds')} in total.`;
}
