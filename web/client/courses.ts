import { COURSES, CourseSessionsResponse } from '#api';
import { ask } from './http';

/** The sessions that a course counts: those of its group, and of the plans of its weeks. */
export const listCourseSessions = (id: string): Promise<CourseSessionsResponse> =>
  ask(CourseSessionsResponse, 'GET', `${COURSES.path}/${encodeURIComponent(id)}/sessions`);
