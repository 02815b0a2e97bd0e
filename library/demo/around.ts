const DAY_MS = 86_400_000;
/** The day the demo data is written for: what was taught lies before it, what is planned after it. */
const WRITTEN_FOR = '2026-11-25';
const DATE = /^(\d{4}-\d{2}-\d{2})(T\d{2}:\d{2}.*)?$/;

const dayNumber = (day: string): number => Date.parse(`${day}T00:00Z`) / DAY_MS;

function later<T>(value: T, days: number): T {
  if (typeof value === 'string') {
    const [, day, time = ''] = DATE.exec(value) ?? [];
    if (day === undefined) return value;
    return (new Date((dayNumber(day) + days) * DAY_MS).toISOString().slice(0, 10) + time) as T;
  }
  if (Array.isArray(value)) return value.map((one: unknown) => later(one, days)) as T;
  if (value === null || typeof value !== 'object') return value;
  const moved = Object.entries(value).map(([key, one]) => [key, key === 'birthDate' ? one : later<unknown>(one, days)]);
  return Object.fromEntries(moved) as T;
}

/**
 * Returns what moves the dates of demo data so that they lie around a day (`2026-11-26`) as they lie around the day
 * they were written for: by whole weeks, so that a Thursday class stays one. Times of day, and birthdays, stay as they
 * are.
 */
export function datesAround(day: string): <T>(value: T) => T {
  const weeks = Math.floor((dayNumber(day) - dayNumber(WRITTEN_FOR)) / 7);
  return (value) => later(value, weeks * 7);
}
