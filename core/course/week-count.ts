import type { Course } from './course';

/** `week 3`, or `session 3` where a course is counted in sessions: as it stands in a sentence. */
export const weekName = ({ unit }: Pick<Course, 'unit'>, week: number): string => `${unit} ${week}`;
