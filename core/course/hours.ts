import { daysLater } from '#core/people';
import type { Seconds } from '#core/numbers';
import { classesOf } from './classes';
import type { Course } from './course';

/** A class in the log of hours. */
export interface LoggedClass {
  week: number;
  /** `2026-11-28`, and times of day on the clock of the place. */
  day: string;
  from: string;
  until: string;
  seconds: Seconds;
  /** How long after it the next class of the same day begins; null for the last of a day. Negative where they overlap. */
  breakSeconds: Seconds | null;
}

const secondsOf = (time: string): Seconds => Number(time.slice(0, 2)) * 3600 + Number(time.slice(3, 5)) * 60;
const two = (n: number): string => String(n).padStart(2, '0');
const timeOf = (seconds: Seconds): string =>
  `${two(Math.floor(seconds / 3600) % 24)}:${two(Math.floor(seconds / 60) % 60)}`;

/** The classes of a course that are held on a known date, with their hours and the breaks between them. */
export function hoursLog(course: Course): LoggedClass[] {
  const seconds = course.base.plan.classSeconds;
  const held = classesOf(course).flatMap(({ week, missed, startsAt }) =>
    week === null || missed || startsAt === null
      ? []
      : [{ week, day: startsAt.slice(0, 10), from: startsAt.slice(11) }],
  );
  return held.map(({ week, day, from }, i): LoggedClass => {
    const next = held[i + 1];
    const end = secondsOf(from) + seconds;
    const breakSeconds = next?.day === day ? secondsOf(next.from) - end : null;
    return { week, day, from, until: timeOf(end), seconds, breakSeconds };
  });
}

/** Dates for sessions on days that follow each other, so many a day, at these times of day. */
export const daysOfSessions = (firstDay: string, days: number, times: readonly string[]): string[] =>
  Array.from({ length: days }, (_, i) => daysLater(firstDay, i)).flatMap((day) =>
    times.map((time) => `${day}T${time}`),
  );
