/** Courses: weeks that grow from a base, the classes they are taught in, and what grows how fast. */
export { Course, newCourse, readCourse, type Difference, type Missed } from './course';
export { classesOf, taughtWeeks, type CourseClass } from './classes';
export { deriveCourse, threadWeeks, type CourseRecord, type CourseSettings, type CourseWeek } from './derive';
