const dayFormat = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const longDay = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** `Thu 7 Nov`. */
export const dayOf = (ms: number): string => dayFormat.format(ms);

/** `Thursday 7 November`. */
export const longDayOf = (ms: number): string => longDay.format(ms);

/** `19:02`. */
export const clockTime = (ms: number): string => clock.format(ms);

/** A plan's local start as `Thursday 26 November, 18:30`; empty if none is set. */
export function startInWords(startsAt: string | null): string {
  if (!startsAt) return '';
  const ms = new Date(startsAt).getTime();
  return `${longDayOf(ms)}, ${clockTime(ms)}`;
}

const shortDay = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });

/** A day as `23 Nov`: of a moment, or of a date such as `2026-11-23`. */
export const shortDayOf = (when: number | string): string =>
  shortDay.format(typeof when === 'number' ? when : new Date(`${when}T12:00`));
