import { newCourse, type Course } from '#core/course';
import { DEMO_PLANS } from './plans';

export interface DemoCourse {
  id: string;
  course: Course;
}

const nurses = DEMO_PLANS.find(({ id }) => id === 'demo-nurses');
if (!nurses) throw new RangeError('The demo plan of the nurses is missing.');

/** A course of the night-shift nurses, under way: three classes were to be held, and one of them was missed. */
export const demoCourses: readonly DemoCourse[] = [
  {
    id: 'demo-longer-evenings',
    course: {
      ...newCourse('Longer evenings', nurses.plan, nurses.id, 7),
      note: 'By the last week they should be able to lie still for ten minutes, and know the way there.',
      dates: { kind: 'weekly', first: '2026-11-05', time: '18:00', leftOut: [] },
      threads: [
        {
          ...{ id: 'rest', kind: 'length', of: { kind: 'step', step: 's10' } },
          ...{ from: 420, to: 600, grid: 15, mostAWeek: 60, byWeek: 7 },
        },
        {
          ...{ id: 'out-breath', kind: 'breath', step: 's4', easyAWeek: 1, byWeek: 7 },
          from: { in: 5, holdFull: 0, out: 5, holdEmpty: 0 },
          to: { in: 5, holdFull: 0, out: 8, holdEmpty: 0 },
        },
        { id: 'forehead', kind: 'props', step: 's5', row: 'block-forehead', from: 2, to: 1, byWeek: 5 },
        { id: 'side-bend', kind: 'new', entry: 'lateral-bend-lying', week: 4, after: 's3', needs: [] },
      ],
      missed: [{ class: 3, how: 'shift', why: 'The hall was closed.' }],
      tags: ['winter term'],
    },
  },
];
