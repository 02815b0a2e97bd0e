import {
  deriveCourse,
  newCourse,
  threadWeeks,
  type Course,
  type CourseRecord,
  type CourseSettings,
} from '#core/course';
import { doJob, jobOf } from '#core/jobs';
import { builtInLibrary as library } from '#library';
import { DEMO_PLANS } from '#library/demo';
import { msFigure, percentile, timed, type Figure } from './measure';

const WEEKS = 12;
const NOTHING: CourseRecord = { taught: [], easyRatios: [] };

/** A course of twelve weeks from the demo plan with most steps, in which two holds, a breath and the talk grow. */
function twelveWeeks(): Course {
  const plan = DEMO_PLANS.map((one) => one.plan).reduce((most, one) =>
    one.steps.length > most.steps.length ? one : most,
  );
  const holds = plan.steps.filter(({ kind }) => kind === 'hold');
  const breath = plan.steps.find(({ kind }) => kind === 'breath');
  const longer = (id: string, from: number, to: number) =>
    ({ id, kind: 'length', of: { kind: 'step', step: id }, from, to, grid: 15, mostAWeek: 60, byWeek: WEEKS }) as const;
  return {
    ...newCourse('Twelve weeks', plan, null, WEEKS),
    threads: [
      longer(holds[0]?.id ?? '', 180, 360),
      longer(holds[1]?.id ?? '', 180, 300),
      {
        ...({ id: 'breath', kind: 'breath', step: breath?.id ?? '', easyAWeek: 3, byWeek: WEEKS } as const),
        from: { in: 4, holdFull: 0, out: 4, holdEmpty: 0 },
        to: { in: 4, holdFull: 4, out: 8, holdEmpty: 0 },
      },
      { id: 'talk', kind: 'talk', from: 10, to: 4, byWeek: WEEKS },
    ],
  };
}

/** The same, asked in another way each time, so that nothing that was worked out before is remembered. */
const unknown = (course: Course, time: number): Course => ({
  ...course,
  threads: course.threads.map((thread) => (thread.kind === 'breath' ? { ...thread, byWeek: WEEKS + time } : thread)),
});

/** A course of twelve weeks: all plans derived and fitted, and what grows in it by itself. */
export function benchCourse(): Figure[] {
  const course = twelveWeeks();
  const settings: CourseSettings = { library };
  let first = 0;
  const derived = timed(10, () => deriveCourse(unknown(course, ++first), NOTHING, settings));
  let next = 100;
  const grown = timed(10, () => threadWeeks(unknown(course, ++next), NOTHING, settings));
  // Each time another base: a plan of the teacher’s that was changed by a second.
  const bases = Array.from({ length: 10 }, (_, i) => {
    const { plan } = course.base;
    const steps = plan.steps.map((step) => (step.kind === 'talk' ? { ...step, seconds: step.seconds + i } : step));
    return { ...course, base: { ...course.base, plan: { ...plan, steps } } };
  });
  let at = 0;
  const rebased = timed(30, () => {
    const one = bases[at++ % bases.length] ?? course;
    doJob(jobOf('course', one.base.plan, library, { course: one, record: NOTHING, rules: {} }));
  });
  const what = `course of ${WEEKS} weeks, ${course.base.plan.steps.length} steps`;
  return [
    msFigure(`${what}: plans fitted`, percentile(derived, 0.5), 150),
    msFigure(`${what}: another base, with ribbons and figures`, percentile(rebased, 0.5), 50),
    msFigure(`${what}: four things that grow`, percentile(grown, 0.5), 500),
  ];
}
