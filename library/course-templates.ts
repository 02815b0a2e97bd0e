import type { Ratio } from '#core/breath';
import { newCourse, whatCanGrow, type Course, type Thread } from '#core/course';
import type { Plan } from '#core/plan';
import { builtInLibrary } from './index';
import { TEMPLATES } from './templates';

/** A course to start from. */
export interface CourseTemplate {
  id: string;
  says: string;
  course: Course;
  /** Times of the sessions of a day, where a day has several; the first day is chosen when the course is made. */
  days?: { count: number; times: readonly string[] };
}

function planOf(template: string): Plan {
  const found = TEMPLATES.find(({ id }) => id === template);
  if (!found) throw new RangeError(`No template “${template}”.`);
  return found.plan;
}
/** What can grow in a plan under a key of `whatCanGrow`. */
function growing<K extends Thread['kind']>(plan: Plan, key: string): Extract<Thread, { kind: K }> {
  const found = whatCanGrow(plan, builtInLibrary).find((one) => one.key.startsWith(key));
  if (!found) throw new RangeError(`Nothing in “${plan.title}” can grow as “${key}”.`);
  return found.still as Extract<Thread, { kind: K }>;
}
const counts = (breathIn: number, holdFull: number, out: number): Ratio => ({
  in: breathIn,
  holdFull,
  out,
  holdEmpty: 0,
});

const noHolding = planOf('no-holding');
const yin = planOf('yin');
const inBed = planOf('in-bed');
const workshop = planOf('workshop');
const beginners = planOf('beginners');

/** Courses to start from; what grows in them can be changed and taken out as in any course. */
export const COURSE_TEMPLATES: readonly CourseTemplate[] = [
  {
    id: 'first-hold',
    says: 'An out-breath that is a little longer, then twice as long, and a hold of one count once both are easy.',
    course: {
      ...newCourse('Six weeks to a first short hold', noHolding, null, 6),
      threads: [
        {
          ...growing<'breath'>(noHolding, 'breath '),
          ...{ id: 'breath', from: counts(4, 0, 6), to: counts(4, 1, 6), easyAWeek: 3, byWeek: 6 },
        },
      ],
    },
  },
  {
    id: 'longer-holds',
    says: 'Seated holds grow to five and a half minutes a side, and the rest at the end to ten.',
    course: {
      ...newCourse('Eight weeks of longer holds', yin, null, 8),
      threads: [
        {
          ...growing<'length'>(yin, 'family seated'),
          id: 'holds',
          from: 240,
          to: 330,
          grid: 15,
          mostAWeek: 30,
          byWeek: 8,
        },
        { ...growing<'length'>(yin, 'length s13'), id: 'rest', from: 420, to: 600, grid: 30, mostAWeek: 60, byWeek: 8 },
      ],
    },
  },
  {
    id: 'before-sleep',
    says: 'Short evenings in bed, in which the out-breath lengthens without a hold.',
    course: {
      ...newCourse('Four weeks before sleep', inBed, null, 4),
      threads: [
        {
          ...growing<'breath'>(inBed, 'breath '),
          ...{ id: 'breath', from: counts(4, 0, 4), to: counts(4, 0, 6), easyAWeek: 3, byWeek: 4 },
        },
      ],
    },
  },
  {
    id: 'weekend',
    says: 'Two days with two sessions each, with the breaks between them and a log of the hours.',
    days: { count: 2, times: ['10:00', '14:00'] },
    course: {
      ...newCourse('Weekend workshop', workshop, null, 4),
      unit: 'session',
      dates: { kind: 'given', at: [] },
      themes: [
        { week: 1, theme: 'Arriving, and the breath as it is' },
        { week: 2, theme: 'Longer out-breaths' },
        { week: 3, theme: 'Breath and support' },
        { week: 4, theme: 'A practice to take home' },
      ],
    },
  },
  {
    id: 'one-to-one',
    says: 'An aim in their own words, a number from 0 to 10 each time, and notes of every meeting.',
    course: {
      ...newCourse('One-to-one', { ...beginners, groupSize: 1 }, null, 6),
      unit: 'session',
      aim: { words: 'What they would like to be able to do', measure: 'How easy it felt' },
    },
  },
];
