import type { Ms } from '#core/numbers';

const DAY_MS = 86_400_000;
const WEEK_MS = 7 * DAY_MS;
const MINUTE_MS = 60_000;

const known = new Map<string, Intl.DateTimeFormat>();
/** Throws a RangeError for a zone that is not known, such as `Atlantis/Harbour`. */
function formatOf(zone: string): Intl.DateTimeFormat {
  const before = known.get(zone);
  if (before) return before;
  const numeric = 'numeric' as const;
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    calendar: 'iso8601',
    hourCycle: 'h23',
    year: numeric,
    month: numeric,
    day: numeric,
    hour: numeric,
    minute: numeric,
    second: numeric,
  });
  known.set(zone, format);
  return format;
}

/** How far a zone’s clocks are ahead of UTC at a moment, in minutes. */
export function zoneOffset(zone: string, atMs: Ms): number {
  const parts = new Map(
    formatOf(zone)
      .formatToParts(atMs)
      .map(({ type, value }) => [type, Number(value)]),
  );
  const of = (type: Intl.DateTimeFormatPartTypes): number => parts.get(type) ?? 0;
  const wall = Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second'));
  return Math.round((wall - Math.floor(atMs / 1000) * 1000) / MINUTE_MS);
}

/** What a clock so many minutes ahead of UTC shows at a moment: `2026-11-26T18:30:00`. */
export const wallAt = (atMs: Ms, offset: number): string =>
  new Date(atMs + offset * MINUTE_MS).toISOString().slice(0, 19);

/** What the clocks of a zone show at a moment: `2026-11-26T18:30:00`. */
export const wallClock = (zone: string, atMs: Ms): string => wallAt(atMs, zoneOffset(zone, atMs));

/**
 * The moment at which the clocks of a zone show a time, such as `2026-11-26T18:30`: the first of two where they are put back,
 * and where they are put forward over it, as if they had not been yet.
 */
export function momentOnWall(zone: string, wall: string): Ms {
  const asUtc = Date.parse(`${wall}Z`);
  const moments = [zoneOffset(zone, asUtc - DAY_MS), zoneOffset(zone, asUtc + DAY_MS)].map(
    (offset) => asUtc - offset * MINUTE_MS,
  );
  const shown = moments.filter((atMs) => Date.parse(`${wallClock(zone, atMs)}Z`) === asUtc);
  return shown.length > 0 ? Math.min(...shown) : (moments[0] ?? asUtc);
}

/** A change of a zone’s clocks: when, and from and to how many minutes ahead of UTC. */
export interface ZoneChange {
  atMs: Ms;
  from: number;
  to: number;
}

/** The first moment of a stretch at which the clocks are no more as they were at its beginning, to the minute. */
function momentOfChange(zone: string, fromMs: Ms, toMs: Ms): Ms {
  const before = zoneOffset(zone, fromMs);
  let [low, high] = [fromMs, toMs];
  while (high - low > MINUTE_MS) {
    const middle = low + Math.floor((high - low) / 2 / MINUTE_MS) * MINUTE_MS;
    if (zoneOffset(zone, middle) === before) low = middle;
    else high = middle;
  }
  return high;
}

/** Every change of a zone’s clocks between two moments, in order. Clocks that are changed and back within a week are missed. */
export function zoneChanges(zone: string, fromMs: Ms, toMs: Ms): ZoneChange[] {
  const changes: ZoneChange[] = [];
  const start = Math.floor(fromMs / MINUTE_MS) * MINUTE_MS;
  for (let atMs = start; atMs < toMs; atMs += WEEK_MS) {
    const [from, to] = [zoneOffset(zone, atMs), zoneOffset(zone, atMs + WEEK_MS)];
    if (from !== to) changes.push({ atMs: momentOfChange(zone, atMs, atMs + WEEK_MS), from, to });
  }
  return changes;
}
