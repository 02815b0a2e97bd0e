import { expect, test } from '@jest/globals';
import { emptyPlan, holdFrom, type Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary as library } from '#library';
import { courseBalance } from './balance';
import { newCourse, type Course } from './course';
import { deriveCourse } from './derive';

test('each week in figures: parts of the body, sides, what is new, what is held and what has to be brought', () => {
  const fold = holdFrom(library.position('head-to-knee')!, 'yin', 'fold');
  const plan: Plan = {
    ...emptyPlan('Evening', 'yin'),
    groupSize: 5,
    classSeconds: 1800,
    steps: [
      {
        ...fold,
        locked: true,
        sides: { kind: 'each', first: 'left', length: { kind: 'perSide', left: 180, right: 150 } },
        unevenIntended: true,
        stages: [],
      },
    ],
  };
  const course: Course = {
    ...newCourse('Evenings', plan, null, 2),
    threads: [{ id: 'n', kind: 'new', entry: 'sphinx', week: 2, after: 'fold', needs: [] }],
  };
  const [first, second] = courseBalance(
    deriveCourse(course, { taught: [], easyRatios: [] }, { library }).map((week) => ({
      ...week,
      timeline: compileTimeline(week.plan, library),
    })),
    library,
  );
  expect(first).toMatchObject({ week: 1, leftMs: 180_000, rightMs: 150_000, newMs: 0, longestRetentionMs: 0 });
  expect(second).toMatchObject({ week: 2, leftMs: 180_000, rightMs: 150_000 });
  // A hold counts for each area that its position is for, both sides together.
  expect(new Map(first!.areas.map(({ area, ms }) => [area, ms]))).toEqual(
    new Map(library.position('head-to-knee')!.areas.map((area) => [area, 330_000])),
  );
  expect(second!.newMs).toBeGreaterThan(0);
  expect(second!.knownMs).toBe(first!.knownMs);
  for (const { kind, count } of fold.setUp) {
    if (kind === 'wall') continue;
    const brought = first!.props.find((one) => one.kind === kind)?.group ?? 0;
    expect(brought).toBeGreaterThanOrEqual(5 * count);
  }
});
