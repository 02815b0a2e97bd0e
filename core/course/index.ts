/** Courses: weeks that grow from a base, the classes they are taught in, and what grows how fast. */
export { Course, newCourse, readCourse } from './course';
export { deriveCourse, threadWeeks, type CourseSettings } from './derive';
export type { CourseRecord } from './record';
