import { Course, readCourse } from '#core/course';
import { resourceOf, type StoredDocument } from './documents';

/** Courses: their base, what grows in them and what is different in some weeks. */
export const COURSES = resourceOf<Course>({ noun: 'course', path: '/courses', document: Course, read: readCourse });
export type StoredCourse = StoredDocument<Course>;
