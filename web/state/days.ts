/** A moment on the clock of this place, without a zone: `2026-11-26T18:30`. */
export function localMoment(now: Date): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
  return `${day}T${two(now.getHours())}:${two(now.getMinutes())}`;
}

/** The day it is here: `2026-11-26`. */
export const today = (): string => localMoment(new Date()).slice(0, 10);

/**
 * The Monday a moment's week begins with, on the clock of this place: `2026-11-23`; these sort as they follow each
 * other.
 */
export function weekOf(ms: number): string {
  const day = new Date(ms);
  day.setHours(12, 0, 0, 0);
  day.setDate(day.getDate() - ((day.getDay() + 6) % 7));
  return localMoment(day).slice(0, 10);
}
