import { newCourse, planOfWeek, recordOfCourse, type Course, type CourseSession } from '#core/course';
import { ratiosOfPractice, type Ratio } from '#core/breath';
import { practiceOf, type Plan } from '#core/plan';
import { builtInLibrary } from '../index';
import { DEMO_PLANS, type DemoPlan } from './plans';
import { ledRun, nurses, NURSES, scaled, type DemoRun } from './runs';

export interface DemoCourse {
  id: string;
  course: Course;
  /** The plans of the weeks that were taught, and how they went. */
  plans: readonly DemoPlan[];
  runs: readonly DemoRun[];
}

const base = DEMO_PLANS.find(({ id }) => id === 'demo-nurses');
if (!base) throw new RangeError('The demo plan of the nurses is missing.');

const evenings: Course = {
  ...newCourse('Longer evenings', { ...base.plan, startsAt: null }, base.id, 7),
  note: 'By the last week they should be able to lie still for ten minutes, and know the way there.',
  dates: { kind: 'weekly', first: '2026-11-03', time: '18:00', leftOut: [] },
  themes: [{ week: 4, theme: 'The side ribs' }],
  threads: [
    {
      ...{ id: 'rest', kind: 'length', of: { kind: 'step', step: 's10' } },
      ...{ from: 420, to: 600, grid: 15, mostAWeek: 60, byWeek: 7 },
    },
    {
      ...{ id: 'out-breath', kind: 'breath', step: 's4', easyAWeek: 1, byWeek: 6 },
      from: { in: 5, holdFull: 0, out: 5, holdEmpty: 0 },
      to: { in: 5, holdFull: 0, out: 8, holdEmpty: 0 },
    },
    { id: 'forehead', kind: 'props', step: 's5', row: 'block-forehead', from: 2, to: 1, byWeek: 5 },
    { id: 'side-bend', kind: 'new', entry: 'lateral-bend-lying', week: 4, after: 's3', needs: [] },
  ],
  missed: [{ class: 3, how: 'shift', why: 'The hall was closed.' }],
  tags: ['winter term'],
};

const NURSES_ALL = ['demo-bryony', ...nurses(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11)];
/** The evenings that were held: when, who came, and for whom the breath was an effort. */
const HELD = [
  { day: '2026-11-03', present: NURSES_ALL, effortFor: [] },
  { day: '2026-11-10', present: NURSES_ALL.filter((id) => id !== 'demo-nurse-2'), effortFor: ['demo-nurse-9'] },
  {
    day: '2026-11-24',
    present: NURSES_ALL.filter((id) => id !== 'demo-nurse-6' && id !== 'demo-nurse-2'),
    effortFor: [],
  },
] as const;

/** The ratios of the long out-breath in a week. */
function practisedRatios({ steps }: Plan): Ratio[] {
  const step = steps.find(({ id }) => id === 's4');
  const practice = step && practiceOf(step);
  return practice ? ratiosOfPractice(practice) : [];
}

/** The course after its first weeks: each is the week that the record before it gave. */
function underWay(): DemoCourse {
  let course = evenings;
  const taught: { plan: Plan; session: CourseSession; run: DemoRun; id: string }[] = [];
  for (const [i, { day, present, effortFor }] of HELD.entries()) {
    const record = recordOfCourse(
      course,
      taught.map(({ session }) => session),
    );
    const week = i + 1;
    const plan = planOfWeek(course, week, record, { library: builtInLibrary })?.plan;
    if (!plan) throw new RangeError(`Week ${week} of the demo course is not taught.`);
    const id = `demo-longer-${week}`;
    course = { ...course, plans: [...course.plans, { week, planId: id, revision: 1 }] };
    const breath = { inOut: 'easy' as const, holds: null, effortFor: [...effortFor] };
    const number = plan.steps.findIndex((step) => step.id === 's4') + 1;
    const run = ledRun(plan, {
      id: `demo-run-longer-${week}`,
      planId: id,
      beganAt: `${day}T18:0${week}`,
      deviations: scaled(NURSES, 1 - 0.2 * i),
      annotations: { present: [...present], others: 0, review: { change: '', breaths: [[number, breath]] } },
    });
    const { group, groupId } = plan;
    const easyBreaths = practisedRatios(plan).map((ratio) => ({ ratio, effortFor: [...effortFor] }));
    taught.push({ id, plan, run, session: { planId: id, plan, group, groupId, people: present, easyBreaths } });
  }
  return {
    id: 'demo-longer-evenings',
    course,
    plans: taught.map(({ id, plan }) => ({ id, plan })),
    runs: taught.map(({ run }) => run),
  };
}

/** A course of the night-shift nurses, under way: four classes were to be held, and one of them was missed. */
export const demoCourses: readonly DemoCourse[] = [underWay()];
