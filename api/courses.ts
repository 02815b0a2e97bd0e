import { z } from 'zod';
import { Course, readCourse } from '#core/course';
import { Plan } from '#core/plan';
import { resourceOf, type StoredDocument } from './documents';
import { PractisedOnce } from './practised';
import { Unreadable } from './unreadable';

/** Courses: their base, what grows in them and what is different in some weeks. */
export const COURSES = resourceOf<Course>({ noun: 'course', path: '/courses', document: Course, read: readCourse });
export type StoredCourse = StoredDocument<Course>;

/** A session that a course counts: its group’s, or of the plan of one of its weeks, which comes with it. */
export const CourseSessionOnce = PractisedOnce.pick({
  beganAtMs: true,
  planId: true,
  group: true,
  groupId: true,
  people: true,
  easyBreaths: true,
  ended: true,
}).extend({
  runId: z.string(),
  /** The week whose plan it is; null for the other sessions of the group. */
  week: z.int().nullable(),
  plan: Plan.nullable(),
  /** How many came; null where nobody noted it. */
  came: z.int().min(0).nullable(),
});
export type CourseSessionOnce = z.infer<typeof CourseSessionOnce>;
/** In order of time. */
export const CourseSessionsResponse = z.object({ sessions: z.array(CourseSessionOnce), unreadable: Unreadable });
export type CourseSessionsResponse = z.infer<typeof CourseSessionsResponse>;
