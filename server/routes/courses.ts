import type { Router } from 'express';
import type { Course } from '#core/course';
import { COURSES, type StoredCourse } from '#api';
import type { Store } from '../store/store';
import { createIn, documentRoutes, type DocumentResource } from './document-resource';

/** How many courses there can be. */
const MAX_COURSES = 500;

const COURSE: DocumentResource<Course> = {
  resource: COURSES,
  table: 'courses',
  titleOf: ({ title }) => title,
  max: MAX_COURSES,
  full: `There are ${MAX_COURSES} courses already. Delete one first.`,
};

/** Makes a course; asked twice with the same, it is the same. */
export const createCourse = (store: Store, id: string, course: Course): Promise<StoredCourse> =>
  createIn(COURSE, store, id, course);

/** Courses: list, make, read, save with a revision, into the bin. */
export const courseRoutes = (store: Store): Router => documentRoutes(COURSE, store);
