import { daysLater } from '#core/people';
import type { Course, Missed } from './course';

/** A class of a course: when it is, and which week of the course is taught in it. */
export interface CourseClass {
  /** Its place among all classes, from 1. */
  number: number;
  /** A local date and time; null where it is not known. */
  startsAt: string | null;
  /** The week of the course; null where the class was missed and everything moved on. */
  week: number | null;
  missed: Missed | null;
  /** The weeks that were missed and whose new things come with this one. */
  joins: readonly number[];
}

/** Moments of the classes, in order: as many as are wanted and known. */
function* moments({ dates }: Course): Generator<string | null> {
  if (dates.kind === 'given') yield* dates.at;
  if (dates.kind === 'weekly') {
    const leftOut = new Set(dates.leftOut);
    for (let week = 0; ; week++) {
      const day = daysLater(dates.first, 7 * week);
      if (!leftOut.has(day)) yield `${day}T${dates.time}`;
    }
  }
  for (;;) yield null;
}

/**
 * All classes of a course, in order. A missed class that moved everything on takes no week; one that was left out or
 * joined takes its week with it. The last class is always held: where it was missed, another follows unless it was dropped.
 */
export function classesOf(course: Course): CourseClass[] {
  const found: CourseClass[] = [];
  const at = moments(course);
  let joins: number[] = [];
  for (let week = 1; week <= course.weeks;) {
    const number = found.length + 1;
    const startsAt = at.next().value ?? null;
    const missed = course.missed.find((one) => one.class === number) ?? null;
    if (missed?.how === 'shift') {
      found.push({ number, startsAt, week: null, missed, joins: [] });
      continue;
    }
    if (missed?.how === 'join') joins.push(week);
    found.push({ number, startsAt, week, missed, joins: missed ? [] : joins });
    if (!missed) joins = [];
    week++;
  }
  return found;
}

/** The weeks that are taught, in order: all but those whose class was left out or joined with the next. */
export const taughtWeeks = (course: Course): number[] =>
  classesOf(course).flatMap(({ week, missed }) => (week === null || missed ? [] : [week]));
