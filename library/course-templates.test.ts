import { describe, expect, test } from '@jest/globals';
import { deriveCourse, readCourse, threadWeeks } from '#core/course';
import { builtInLibrary as library } from '#library';
import { COURSE_TEMPLATES } from './course-templates';

const NOTHING = { taught: [], easyRatios: [] };

describe.each(COURSE_TEMPLATES.map((one) => [one.id, one] as const))('the course “%s”', (_, { course }) => {
  test('is a course, and every week of it fits and is in order', () => {
    expect(readCourse(course)).toMatchObject({ ok: true });
    for (const { misfits, overMs } of deriveCourse(course, NOTHING, { library })) {
      expect(misfits).toEqual([]);
      expect(overMs).toBeLessThanOrEqual(0);
    }
  });
  test('reaches what it promises by its last week, if it goes well', () => {
    expect(threadWeeks(course, NOTHING, { library }).map(({ outcome }) => outcome)).toEqual(
      course.threads.map(() => ({ kind: 'inTime' })),
    );
  });
});
