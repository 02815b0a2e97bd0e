import { z } from 'zod';
import { Id, oneOf, readDocument, tagsOf, text, words, type DocumentKind, type Read } from '#core/document';
import { Day } from '#core/people';
import { Plan, PlanEdit } from '#core/plan';
import { COURSE_LIMITS } from './limits';
import { Theme, Thread, Week } from './thread';

const COURSE_FORMAT = 'zovrin-course';
const COURSE_VERSION = 1;

const Hour = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time of day like 18:30.');
/** A local date and time without a zone, as a plan has it: the hour on the hall's own clock. */
const Moment = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/, 'A date and time like 2026-11-26T18:30.')
  .refine((moment) => Day.safeParse(moment.slice(0, 10)).success, 'There is no such day.');

/** When the classes are: not known yet, on the same day of every week, or on dates that are given. */
const CourseDates = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({
    kind: z.literal('weekly'),
    first: Day,
    time: Hour,
    /** Days on which there is no class, such as holidays; the course goes on a week later. */
    leftOut: z.array(Day).max(COURSE_LIMITS.maxWeeks, `At most ${COURSE_LIMITS.maxWeeks} days are left out.`),
  }),
  z.strictObject({
    kind: z.literal('given'),
    at: z.array(Moment).max(COURSE_LIMITS.maxWeeks, `A course has at most ${COURSE_LIMITS.maxWeeks} dates.`),
  }),
]);

const COURSE_UNITS = ['week', 'session'] as const;

export const MISSED_WAYS = ['shift', 'drop', 'join'] as const;
/**
 * A class that was not held, by its place among all classes, from 1. Everything moves on by a class, or its week is
 * left out, or what it had that is new comes with the week after it.
 */
const Missed = z.strictObject({
  class: z
    .int()
    .min(1)
    .max(2 * COURSE_LIMITS.maxWeeks),
  how: oneOf('What becomes of a missed class', MISSED_WAYS),
  why: text('A reason', 200),
});
export type Missed = z.infer<typeof Missed>;

/** An edit of the plan of one week, or of that week and all after it. */
const Difference = z.strictObject({ id: Id, week: Week, onward: z.boolean(), edit: PlanEdit });

/** Refuses the second of two that are the same. */
function once<T>(values: readonly T[], path: string, message: (value: T) => string, context: z.RefinementCtx): void {
  for (const [i, value] of values.entries())
    if (values.indexOf(value) < i) context.addIssue({ code: 'custom', path: [path, i], message: message(value) });
}

/**
 * A course: a base, what grows from it week by week, and what is different in some weeks. The plans of its weeks are
 * worked out from these (`planOfWeek`) and stand nowhere.
 */
export const Course = z
  .strictObject({
    format: z.literal(COURSE_FORMAT, 'This is not a course.'),
    version: z.literal(COURSE_VERSION),
    title: words('A title', COURSE_LIMITS.maxTitle),
    note: text('A note', COURSE_LIMITS.maxNote),
    /** The plan of week 1, as a copy: the plan it came from may be changed or deleted. */
    base: z.strictObject({ planId: Id.nullable(), plan: Plan }),
    /** What its classes are counted in: weeks, or sessions, of which a day may have several. */
    unit: z.enum(COURSE_UNITS),
    weeks: Week,
    dates: CourseDates,
    themes: z.array(Theme).max(COURSE_LIMITS.maxWeeks),
    threads: z
      .array(Thread)
      .max(COURSE_LIMITS.maxThreads, `A course has at most ${COURSE_LIMITS.maxThreads} things that grow.`),
    /** In the order in which they are applied. */
    differences: z
      .array(Difference)
      .max(COURSE_LIMITS.maxDifferences, `A course has at most ${COURSE_LIMITS.maxDifferences} differences.`),
    missed: z.array(Missed).max(COURSE_LIMITS.maxWeeks),
    /** The plans that were made of weeks, to be led, each with the revision at which it is as it was made. */
    plans: z.array(z.strictObject({ week: Week, planId: Id, revision: z.int().min(1) })).max(COURSE_LIMITS.maxWeeks),
    /** Where somebody is heading, and what is asked about each time on a scale from 0 to 10; null where nothing is. */
    aim: z
      .strictObject({
        words: words('An aim', COURSE_LIMITS.maxTheme),
        measure: text('What is measured', COURSE_LIMITS.maxTitle),
      })
      .nullable(),
    /** What was noted of a week, and how the measure was. */
    notes: z
      .array(
        z.strictObject({
          week: Week,
          measure: z.int('Whole numbers from 0 to 10.').min(0, 'At least 0.').max(10, 'At most 10.').nullable(),
          note: text('A note', COURSE_LIMITS.maxNote),
        }),
      )
      .max(COURSE_LIMITS.maxWeeks),
    tags: tagsOf('course'),
    archived: z.boolean(),
  })
  .superRefine(({ dates, themes, threads, differences, missed, plans, notes }, context) => {
    const ids = (all: readonly { id: string }[]): string[] => all.map(({ id }) => id);
    once(ids(threads), 'threads', (id) => `Two things that grow have the id “${id}”.`, context);
    once(ids(differences), 'differences', (id) => `Two differences have the id “${id}”.`, context);
    const weeks = (all: readonly { week: number }[]): number[] => all.map(({ week }) => week);
    once(weeks(themes), 'themes', (week) => `Week ${week} has two themes.`, context);
    once(weeks(plans), 'plans', (week) => `Week ${week} has two plans.`, context);
    once(weeks(notes), 'notes', (week) => `Week ${week} has two notes.`, context);
    const classes = missed.map((one) => one.class);
    once(classes, 'missed', (one) => `Class ${one} is listed as missed twice.`, context);
    if (dates.kind !== 'given') return;
    const refuse = (i: number, message: string): void => {
      context.addIssue({ code: 'custom', path: ['dates', 'at', i], message });
    };
    for (const [i, at] of dates.at.entries())
      if (dates.at.indexOf(at) < i) refuse(i, `Two classes begin on ${at.slice(0, 10)} at ${at.slice(11)}.`);
      else if (i > 0 && at < (dates.at[i - 1] ?? '')) refuse(i, 'This class comes before the one above it.');
  });
export type Course = z.infer<typeof Course>;

const COURSE_DOCUMENT: DocumentKind<Course> = {
  format: COURSE_FORMAT,
  called: 'a course',
  version: COURSE_VERSION,
  migrations: {},
  schema: Course,
};

/** Reads a course from any value. Returns the course, or every invalid field with the reason. Never throws. */
export const readCourse = (value: unknown): Read<Course> => readDocument(COURSE_DOCUMENT, value);

/** A course of some weeks from a plan, in which nothing grows yet. */
export const newCourse = (title: string, plan: Plan, planId: string | null, weeks: number): Course => ({
  format: COURSE_FORMAT,
  version: COURSE_VERSION,
  title,
  note: '',
  base: { planId, plan },
  unit: 'week',
  weeks,
  dates: { kind: 'none' },
  themes: [],
  threads: [],
  differences: [],
  missed: [],
  plans: [],
  aim: null,
  notes: [],
  tags: [],
  archived: false,
});
