import { addDays, differenceInCalendarDays, isValid, lightFormat, parseISO } from 'date-fns';
import { z } from 'zod';

/** A pregnancy lasts forty weeks; what is typed as more than this is a slip. */
export const MAX_WEEKS = 42;

/** A day of the calendar without an hour: `2026-11-26`. Refused where there is no such day. */
export const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'A day like 2026-11-26.')
  .refine((day) => isValid(parseISO(day)), 'There is no such day.');

/** The day so many days later, or earlier below zero. */
export const daysLater = (day: string, days: number): string => lightFormat(addDays(parseISO(day), days), 'yyyy-MM-dd');

/** Whole weeks from one day to another; negative where the other comes first. */
export const weeksBetween = (from: string, to: string): number =>
  Math.floor(differenceInCalendarDays(parseISO(to), parseISO(from)) / 7);

/** Whole months from one day to another, by the calendar: from the 31st of January to the 28th of February none. */
export function monthsBetween(from: string, to: string): number {
  const [fromYear = 0, fromMonth = 0, fromDay = 0] = from.split('-').map(Number);
  const [toYear = 0, toMonth = 0, toDay = 0] = to.split('-').map(Number);
  return (toYear - fromYear) * 12 + (toMonth - fromMonth) - (toDay < fromDay ? 1 : 0);
}

/** The day a pregnancy of so many weeks on a day is counted from. */
export const countedFrom = (weeks: number, on: string): string => daysLater(on, -7 * weeks);

/** What is wrong with a number of weeks of pregnancy; undefined if nothing is. */
export function weeksRefusal(weeks: number): string | undefined {
  if (!Number.isInteger(weeks)) return 'Weeks of pregnancy are a whole number.';
  if (weeks < 0) return 'Weeks cannot be below zero.';
  return weeks > MAX_WEEKS
    ? `A pregnancy has at most ${MAX_WEEKS} weeks. After the birth, choose “A birth in the last months”.`
    : undefined;
}

/** What is wrong with a day that has to have come already; undefined if nothing is. Empty is none. */
export function pastDayRefusal(day: string, what: string, today: string): string | undefined {
  if (day === '') return undefined;
  const read = Day.safeParse(day);
  if (!read.success) return read.error.issues[0]?.message ?? 'A day like 2026-11-26.';
  return day > today ? `${what} cannot be in the future.` : undefined;
}
