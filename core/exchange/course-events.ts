import { classesOf, weekName, type Course } from '#core/course';
import type { Ms } from '#core/numbers';
import type { ClassEvent } from './calendar';
import { uidOf } from './class-event';

/** What the events of a course are made from, besides the course itself. */
interface AboutCourse {
  id: string;
  revision: number;
  changedMs: Ms;
  /** The zone of the place, or of the device where the place has none. */
  zone: string;
}

/**
 * The classes of a course that have a date, as events of a calendar, each with its theme. One that was not held is
 * cancelled. A class whose plan has been made is the event of that plan.
 */
export function courseEvents(course: Course, { id, revision, changedMs, zone }: AboutCourse): ClassEvent[] {
  const { plan } = course.base;
  return classesOf(course).flatMap(({ number, startsAt, week, missed }): ClassEvent[] => {
    if (startsAt === null) return [];
    const made = missed ? undefined : course.plans.find((one) => one.week === week);
    const name = week === null ? course.title : `${course.title}, ${weekName(course, week)}`;
    return [
      {
        uid: made ? uidOf(made.planId) : `${id}.class-${number}@zovrin`,
        sequence: revision + (missed ? 1 : 0),
        title: name,
        startsAt,
        zone,
        changedMs,
        seconds: plan.classSeconds,
        place: plan.place,
        says: course.themes.find((one) => one.week === week)?.theme ?? '',
        cancelled: missed !== null,
      },
    ];
  });
}
