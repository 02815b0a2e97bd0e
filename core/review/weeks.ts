import type { Ms } from '#core/numbers';
import type { TransitionTime, Practised, PractisedHold } from './practised';

/** What to look at of all that was practised; null does not ask. Moments in milliseconds since 1970 UTC. */
export interface PractisedFilter {
  planId: string | null;
  group: string | null;
  person: string | null;
  /** A position: then only its holds count, and only where there are some. */
  position: string | null;
  fromMs: Ms | null;
  /** Up to, not including. */
  untilMs: Ms | null;
}

export const EVERYTHING: PractisedFilter = {
  planId: null,
  group: null,
  person: null,
  position: null,
  fromMs: null,
  untilMs: null,
};

/** What a filter lets through, the oldest first. */
export function filterPractised(all: readonly Practised[], filter: PractisedFilter): Practised[] {
  const { planId, group, person, position, fromMs, untilMs } = filter;
  return all
    .filter((one) => planId === null || one.planId === planId)
    .filter((one) => group === null || one.group === group)
    .filter((one) => person === null || one.people.includes(person))
    .filter(({ beganAtMs }) => (fromMs === null || beganAtMs >= fromMs) && (untilMs === null || beganAtMs < untilMs))
    .map((one) =>
      position === null
        ? one
        : { ...one, holds: one.holds.filter((hold) => hold.position === position), breaths: [] as never[] },
    )
    .filter(({ holds }) => position === null || holds.length > 0)
    .toSorted((a, b) => a.beganAtMs - b.beganAtMs);
}

const sum = <T>(all: readonly T[], of: (one: T) => number): number => all.reduce((total, one) => total + of(one), 0);

function grouped<T>(all: readonly T[], by: (one: T) => string): [key: string, group: T[]][] {
  const groups = new Map<string, T[]>();
  for (const one of all) groups.set(by(one), [...(groups.get(by(one)) ?? []), one]);
  return [...groups];
}

/** The weeks in order, each with what was practised in it. `weekOf` names the week of a moment so that names sort. */
function weeksOf(all: readonly Practised[], weekOf: (ms: Ms) => string): [week: string, practised: Practised[]][] {
  return grouped(all, ({ beganAtMs }) => weekOf(beganAtMs)).toSorted(([a], [b]) => (a < b ? -1 : 1));
}

/** Milliseconds held by part of the body (or what else holds are counted by) and by week. */
export interface AreaWeeks {
  weeks: string[];
  /** The part with most time first; `weekMs` in the order of the weeks. */
  areas: { area: string; weekMs: Ms[]; totalMs: Ms }[];
}

/** What a hold counts for: each of the parts of the body its position is for, unless something else is asked for. */
const areasOfHold = ({ areas }: PractisedHold): readonly string[] => areas;

export function areasByWeek(
  all: readonly Practised[],
  weekOf: (ms: Ms) => string,
  partsOf: (hold: PractisedHold) => readonly string[] = areasOfHold,
): AreaWeeks {
  const weeks = weeksOf(all, weekOf);
  const names = [...new Set(all.flatMap(({ holds }) => holds.flatMap(partsOf)))];
  const areas = names.map((area) => {
    const weekMs = weeks.map(([, practised]) =>
      sum(practised, ({ holds }) => sum(holds, (hold) => (partsOf(hold).includes(area) ? hold.doneMs : 0))),
    );
    return { area, weekMs, totalMs: sum(weekMs, (ms) => ms) };
  });
  return { weeks: weeks.map(([week]) => week), areas: areas.toSorted((a, b) => b.totalMs - a.totalMs) };
}

/** Milliseconds held on the left and on the right, by week, of holds that had both sides. */
export function sidesByWeek(all: readonly Practised[], weekOf: (ms: Ms) => string) {
  const of = (practised: readonly Practised[], side: PractisedHold['side']): Ms =>
    sum(practised, ({ holds }) => sum(holds, (hold) => (hold.paired && hold.side === side ? hold.doneMs : 0)));
  return weeksOf(all, weekOf)
    .map(([week, practised]) => ({ week, leftMs: of(practised, 'left'), rightMs: of(practised, 'right') }))
    .filter(({ leftMs, rightMs }) => leftMs + rightMs > 0);
}

/** Every run that was ended, with its whole length as planned and as it was, pauses included. */
export const plannedAndDone = (all: readonly Practised[]) =>
  all
    .filter(({ kind, ended }) => kind === 'run' && ended)
    .map(({ id, beganAtMs, title, total: { plannedMs, doneMs } }) => ({ id, beganAtMs, title, plannedMs, doneMs }));

const BETWEENS = ['setUp', 'entries', 'talk'] as const;

/** How set-ups and changes, getting in and coming out, and talk really went: the mean of one, in milliseconds. */
export function transitionTimes(all: readonly Practised[]) {
  return BETWEENS.map((what) => {
    const parts: TransitionTime[] = all.map((one) => one[what]);
    const times = sum(parts, (part) => part.times);
    const mean = (of: (part: TransitionTime) => Ms): Ms => (times > 0 ? Math.round(sum(parts, of) / times) : 0);
    return { what, times, plannedMs: mean((part) => part.plannedMs), doneMs: mean((part) => part.doneMs) };
  }).filter(({ times }) => times > 0);
}

/** Holds with a rated intensity, by position: how long, and how strong. */
export function strengthAgainstLength(all: readonly Practised[]) {
  const ratedHolds = all.flatMap(({ beganAtMs, holds }) =>
    holds.flatMap(({ position, name, side, doneMs, strength }) =>
      strength === null ? [] : [{ position, name, side, doneMs, strength, beganAtMs }],
    ),
  );
  return grouped(ratedHolds, ({ position }) => position)
    .map(([position, points]) => ({ position, name: points[0]?.name ?? position, points }))
    .toSorted((a, b) => b.points.length - a.points.length || a.name.localeCompare(b.name));
}

/** The breath of every session that had any: the longest hold, the slowest breath, and all rounds. */
export function breathBySession(all: readonly Practised[]) {
  return all
    .filter(({ breaths }) => breaths.length > 0)
    .map(({ id, beganAtMs, title, breaths }) => {
      const known = (of: (breath: (typeof breaths)[number]) => number | null): number[] =>
        breaths.flatMap((breath) => of(breath) ?? []);
      const retentions = known((breath) => breath.longestRetentionMs);
      const rates = known((breath) => breath.breathsPerMinute);
      const rounds = known((breath) => breath.rounds);
      return {
        id,
        beganAtMs,
        title,
        longestRetentionMs: retentions.length > 0 ? Math.max(...retentions) : null,
        slowestRate: rates.length > 0 ? Math.min(...rates) : null,
        rounds: rounds.length > 0 ? sum(rounds, (n) => n) : null,
      };
    });
}

/**
 * How strength goes with length: the correlation of K. Pearson, Notes on regression and inheritance, 1895, from −1 to
 * 1; null for fewer than three points, or where one of the two is always the same.
 */
export function correlation(points: readonly (readonly [number, number])[]): number | null {
  const n = points.length;
  if (n < 3) return null;
  const meanX = sum(points, ([x]) => x) / n;
  const meanY = sum(points, ([, y]) => y) / n;
  const xx = sum(points, ([x]) => (x - meanX) ** 2);
  const yy = sum(points, ([, y]) => (y - meanY) ** 2);
  if (xx === 0 || yy === 0) return null;
  return sum(points, ([x, y]) => (x - meanX) * (y - meanY)) / Math.sqrt(xx * yy);
}
