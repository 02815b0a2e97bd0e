/** Courses: weeks that grow from a base, the classes they are taught in, and what grows how fast. */
export { Course, newCourse, readCourse, type Missed } from './course';
export { classesOf, taughtWeeks, type CourseClass } from './classes';
export {
  deriveCourse,
  planOfWeek,
  threadWeeks,
  type CourseSettings,
  type CourseWeek,
  type ThreadWeeks,
} from './derive';
export {
  whatFollows,
  withEdit,
  withMissed,
  withOnward,
  withThread,
  withoutDifference,
  withoutThread,
  type EditScope,
  type Follows,
} from './edit-course';
export { courseBalance, type WeekBalance } from './balance';
export { entriesOfCourse } from './entries';
export { recordOfCourse, type CourseRecord, type CourseSession } from './record';
export { daysOfSessions, hoursLog } from './hours';
export { Thread, type ThreadOf } from './thread';
export { sameAs, whatCanGrow } from './what-can-grow';
export { readAim, suggestedAim, threadRefusal } from './aim';
export { tooEarlyFor } from './too-early';
export { outcomeInWords, threadName, valueInWords } from './words';
export { weekName } from './week-count';
