import isEqual from 'fast-deep-equal';
import { GROWTH, LADDER, type GrowthRules, type Ratio, type Rung } from '#core/breath';
import type { Library } from '#core/catalogue';
import { fitHolds, usualFitOptions } from '#core/fit';
import type { Ms } from '#core/numbers';
import { applyEdit, entriesOf, withLengths, type Plan, type PlanEdit } from '#core/plan';
import { DEFAULT_RULES, rulesFor, totalsOfPlan, type TimelineRules } from '#core/timeline';
import { classesOf, taughtWeeks, type CourseClass } from './classes';
import type { Course } from './course';
import { growBreath, growNumber, type Grown } from './grow-course';
import { easyAt, type CourseRecord } from './record';
import { weekName } from './week-count';
import type { Thread, ThreadOf } from './thread';
import {
  breathEdits,
  countsIn,
  lengthEdits,
  newEdits,
  numberIn,
  propsEdits,
  stepsOfLength,
  talkEdits,
  type ThreadEdits,
} from './thread-edits';

/** What a course is worked out with. */
export interface CourseSettings {
  library: Library;
  ladder?: readonly Rung[];
  growth?: GrowthRules;
  timeline?: TimelineRules;
}

/** What a thread has in a week: seconds, pieces or hundredths; counts; or whether what is new is there. */
type Level = { kind: 'number'; value: number } | { kind: 'counts'; value: Ratio } | { kind: 'new'; isNew: boolean };

/** A thread over the weeks that are taught. */
export interface ThreadWeeks {
  thread: Thread;
  levels: ReadonlyMap<number, Level>;
  outcome: Grown<number | Ratio>['outcome'];
}

/** A part of a course that does not fit the plan of a week, and why. */
interface Misfit {
  of: 'thread' | 'difference';
  id: string;
  reason: string;
}

/** The plan of a week as it is worked out. */
export interface CourseWeek {
  week: number;
  held: CourseClass;
  plan: Plan;
  misfits: Misfit[];
  /** How much longer than the class it is at its shortest; negative where it stays shorter; 0 where it fits. */
  overMs: Ms;
}

/**
 * The weeks of a thread that are over, with what they had, or what the week before had where one was not taught; and
 * those to come, the last that was taught before them.
 */
function pastAndAhead<L>(
  weeks: readonly number[],
  record: CourseRecord,
  valueIn: (plan: Plan) => L | undefined,
  first: L,
) {
  const past = new Map<number, L>();
  let start = first;
  const last = weeks.findLastIndex((week) => record.taught.some((one) => one.week === week));
  for (const week of weeks.slice(0, last + 1)) {
    const taught = record.taught.find((one) => one.week === week);
    start = (taught && valueIn(taught.plan)) ?? start;
    past.set(week, start);
  }
  const from = Math.max(0, last);
  return { past, start, ahead: weeks.slice(from) };
}

/** The threads of a course over its weeks: what was taught stays, and what is to come grows from the last week taught. */
export function threadWeeks(course: Course, record: CourseRecord, settings: CourseSettings): ThreadWeeks[] {
  const { library, ladder = LADDER, growth = GROWTH } = settings;
  const weeks = taughtWeeks(course);
  return course.threads.map((thread): ThreadWeeks => {
    if (thread.kind === 'new') return newWeeks(thread, course);
    const levels = new Map<number, Level>();
    if (thread.kind === 'breath') {
      const { past, start, ahead } = pastAndAhead(weeks, record, (plan) => countsIn(thread, plan), thread.from);
      const easy = easyAt(ladder, record.easyRatios);
      const grown = growBreath(
        thread,
        start,
        { weeks: ahead, byWeek: thread.byWeek },
        { ladder, rules: growth, easy, isOver: past.size > 0 },
      );
      for (const [i, week] of ahead.entries()) levels.set(week, { kind: 'counts', value: grown.levels[i] ?? start });
      for (const [week, value] of past) levels.set(week, { kind: 'counts', value });
      return { thread, levels, outcome: grown.outcome };
    }
    const { past, start, ahead } = pastAndAhead(weeks, record, (plan) => numberIn(thread, plan, library), thread.from);
    const grown = growNumber(thread, start, { weeks: ahead, byWeek: thread.byWeek });
    for (const [i, week] of ahead.entries()) levels.set(week, { kind: 'number', value: grown.levels[i] ?? start });
    for (const [week, value] of past) levels.set(week, { kind: 'number', value });
    return { thread, levels, outcome: grown.outcome };
  });
}

/** The weeks in which something new is there: from its own on, or from the one it was joined with. */
function newWeeks(thread: ThreadOf<'new'>, course: Course): ThreadWeeks {
  const held = classesOf(course);
  const own = held.find(({ week }) => week === thread.week);
  const isDropped = own?.missed?.how === 'drop';
  const weeks = taughtWeeks(course);
  const levels = weeks.map((week): [number, Level] => [
    week,
    { kind: 'new', isNew: !isDropped && week >= thread.week },
  ]);
  return { thread, levels: new Map(levels), outcome: { kind: 'inTime' } };
}

function editsOf(thread: Thread, level: Level | undefined, plan: Plan, library: Library): ThreadEdits {
  const none: ThreadEdits = { ok: true, edits: [] };
  if (!level) return none;
  switch (thread.kind) {
    case 'length':
      return level.kind === 'number' ? lengthEdits(thread, plan, library, level.value) : none;
    case 'breath':
      return level.kind === 'counts' ? breathEdits(thread, plan, level.value) : none;
    case 'props':
      return level.kind === 'number' ? propsEdits(thread, plan, level.value) : none;
    case 'talk':
      return level.kind === 'number' ? talkEdits(plan, level.value) : none;
    case 'new':
      return level.kind === 'new' && level.isNew ? newEdits(thread, plan, library) : none;
  }
}

/** The steps that an edit is about, whose lengths a fitting then leaves as they are. */
const stepsOfEdit = (edit: PlanEdit): string[] =>
  edit.kind === 'several'
    ? edit.edits.flatMap(stepsOfEdit)
    : 'step' in edit && typeof edit.step === 'string'
      ? [edit.step]
      : [];

/** A plan as long as its class, with what its threads say left as it is; and what it cannot be brought to. */
function fitted(
  plan: Plan,
  kept: ReadonlySet<string>,
  { library, timeline }: CourseSettings,
): { plan: Plan; overMs: Ms } {
  const rules = rulesFor(plan, timeline ?? DEFAULT_RULES);
  const held = { ...plan, steps: plan.steps.map((step) => (kept.has(step.id) ? { ...step, locked: true } : step)) };
  const fit = fitHolds({ plan: held, library, rules }, usualFitOptions(held, library));
  if (fit.kind === 'fits') return { plan: withLengths(plan, fit.lengths), overMs: 0 };
  if (fit.kind !== 'refused') {
    const lengths = withLengths(plan, fit.lengths);
    return { plan: lengths, overMs: fit.kind === 'tooLong' ? fit.overMs : -fit.missingMs };
  }
  const { totalMs } = totalsOfPlan(plan, library, rules);
  return { plan, overMs: totalMs - plan.classSeconds * 1000 };
}

/**
 * The plans of all weeks that are taught: the base, then what its threads say, then the differences of the week, fitted
 * to the length of the class. Week 1 is the base as it is where nothing changes it. Whatever does not fit is reported. Weeks that
 * were taught already are worked out like the others; what was really taught stands in the record.
 * @param threads what `threadWeeks` has for the same course, where that is known already
 */
export const deriveCourse = (
  course: Course,
  record: CourseRecord,
  settings: CourseSettings,
  threads: readonly ThreadWeeks[] = threadWeeks(course, record, settings),
): CourseWeek[] => derived(course, threads, settings, () => true);

/** The plan of one week, as `deriveCourse` works it out; undefined where that week is not taught. */
export const planOfWeek = (
  course: Course,
  week: number,
  record: CourseRecord,
  settings: CourseSettings,
): CourseWeek | undefined =>
  derived(course, threadWeeks(course, record, settings), settings, (one) => one === week).find(
    (one) => one.week === week,
  );

/** Only the weeks that are wanted are fitted: the others are as long as what they are made of. */
function derived(
  course: Course,
  threads: readonly ThreadWeeks[],
  settings: CourseSettings,
  isWanted: (week: number) => boolean,
): CourseWeek[] {
  const { library } = settings;
  const known = new Set(entriesOf(course.base.plan));
  const joined = new Map(classesOf(course).map(({ week, joins }) => [week, new Set(joins)]));

  /** The base of a week with what its threads and differences say, what does not fit, and the steps whose length stays. */
  function edited(base: Plan, week: number) {
    const misfits: Misfit[] = [];
    const kept = new Set<string>();
    let plan = base;
    const take = (of: Misfit['of'], id: string, edits: readonly PlanEdit[]): void => {
      for (const edit of edits) {
        const applied = applyEdit(plan, edit);
        if (applied.ok) plan = applied.plan;
        else misfits.push({ of, id, reason: applied.issues[0]?.reason ?? '' });
      }
    };
    for (const { thread, levels } of threads) {
      const missing = thread.kind === 'new' ? thread.needs.find((id) => !known.has(id)) : undefined;
      const level = levels.get(week);
      if (missing !== undefined && level?.kind === 'new' && level.isNew) {
        const name = (library.position(missing) ?? library.technique(missing))?.names.english ?? missing;
        misfits.push({ of: 'thread', id: thread.id, reason: `It waits until ${name} has been taught.` });
        continue;
      }
      const found = editsOf(thread, level, plan, library);
      if (!found.ok) misfits.push({ of: 'thread', id: thread.id, reason: found.reason });
      else take('thread', thread.id, found.edits);
      if (thread.kind === 'length') for (const { id } of stepsOfLength(thread, plan, library)) kept.add(id);
    }
    for (const { id, week: of, onward, edit } of course.differences) {
      if (of !== week && !(onward && of < week) && !joined.get(week)?.has(of)) continue;
      take('difference', id, [edit]);
      for (const step of stepsOfEdit(edit)) kept.add(step);
    }
    return { plan, misfits, kept };
  }

  return classesOf(course).flatMap((held) => {
    const { week, missed, startsAt } = held;
    if (week === null || missed) return [];
    const title = `${course.title}, ${weekName(course, week)}`;
    const base = { ...course.base.plan, title, startsAt };
    const { plan, misfits, kept } = edited(base, week);
    const isAsItIs = !isWanted(week) || isEqual(plan, base);
    const { plan: finished, overMs } = isAsItIs ? { plan, overMs: 0 } : fitted(plan, kept, settings);
    for (const id of entriesOf(finished)) known.add(id);
    return [{ week, held, plan: finished, misfits, overMs }];
  });
}
