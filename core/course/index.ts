/** Courses: weeks that grow from a base, the classes they are taught in, and what grows how fast. */
export { Course, newCourse, readCourse } from './course';
export { deriveCourse, threadWeeks, type CourseRecord, type CourseSettings } from './derive';
