import {
  classesOf,
  outcomeInWords,
  threadName,
  valueInWords,
  weekName,
  type Course,
  type CourseClass,
  type Thread,
  type ThreadWeeks,
} from '#core/course';
import type { Ratio } from '#core/breath';
import type { Library } from '#core/catalogue';
import type { WorkedOutCourse } from '#core/jobs';
import { clockTime, dayOf, shortDayOf } from '../../ui/dates';
import { editInWords } from '../../widgets/plans/edit-words';
import { parseISO } from 'date-fns';

const several = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
export const weeksInWords = ({ unit, weeks }: Course): string => several(weeks, unit);
/** `Thu 5 Nov`, with its hour where a day may have several classes. */
export function classDay({ unit }: Course, { startsAt }: CourseClass): string {
  if (startsAt === null) return 'no date yet';
  const ms = parseISO(startsAt).getTime();
  return unit === 'session' ? `${dayOf(ms)}, ${clockTime(ms)}` : dayOf(ms);
}

/** When it is, in one line: `Tuesdays, 18:00 to 19:00`, `4 sessions, 28 to 29 Nov`. */
export function datesInWords(course: Course): string {
  const held = classesOf(course).flatMap(({ startsAt }) => startsAt ?? []);
  const [first, last] = [held[0], held.at(-1)];
  if (!first || !last) return '';
  if (course.dates.kind === 'weekly') {
    const ms = parseISO(first).getTime();
    const day = new Intl.DateTimeFormat('en-GB', { weekday: 'long' }).format(ms);
    return `${day}s, ${clockTime(ms)} to ${clockTime(ms + course.base.plan.classSeconds * 1000)}, from ${shortDayOf(first)} to ${shortDayOf(last)}`;
  }
  return first.slice(0, 10) === last.slice(0, 10) ? shortDayOf(first) : `${shortDayOf(first)} to ${shortDayOf(last)}`;
}

/** What a thread does over the course: `7:00 to 10:00 by week 7, in steps of 15 seconds`. */
export function threadInWords(thread: Thread, course: Course): string {
  if (thread.kind === 'new') return `comes in ${weekName(course, thread.week)}`;
  // Of pieces and hundredths the unit stands once.
  const isCounted = thread.kind === 'props' || thread.kind === 'talk';
  const from = isCounted ? String(thread.from) : valueInWords(thread, thread.from);
  const by = `${from} to ${valueInWords(thread, thread.to)} by ${weekName(course, thread.byWeek)}`;
  if (thread.kind === 'length') return `${by}, in steps of ${thread.grid} seconds`;
  return thread.kind === 'breath' ? `${by}, ${several(thread.easyAWeek, 'easy session')} a week` : by;
}

/** The value of a thread in a week; undefined where the week is not taught, or has nothing to say of it. */
export function levelAt({ levels }: ThreadWeeks, week: number): number | Ratio | undefined {
  const level = levels.get(week);
  return level && level.kind !== 'new' ? level.value : undefined;
}

/** What is in a week that was not in the week before it, in a few words each; `isNew` is what had never been there. */
export interface WeekWord {
  text: string;
  isNew?: boolean;
}

/** What a week has that is different from the one before: what grew, what is new, and what was changed by hand. */
export function weekInWords(course: Course, worked: WorkedOutCourse, week: number, library: Library): WeekWord[] {
  const base = course.base.plan;
  const at = worked.weeks.findIndex((one) => one.week === week);
  const before = worked.weeks[at - 1];
  const words: WeekWord[] = [];
  for (const one of worked.threads) {
    const name = threadName(one.thread, base, library);
    const level = one.levels.get(week);
    const earlier = before ? one.levels.get(before.week) : undefined;
    if (level?.kind === 'new') {
      if (level.isNew && !(earlier?.kind === 'new' && earlier.isNew)) words.push({ text: `new: ${name}`, isNew: true });
      continue;
    }
    const [now, was] = [levelAt(one, week), before && levelAt(one, before.week)];
    if (now !== undefined && JSON.stringify(now) !== JSON.stringify(was))
      words.push({ text: `${name} ${valueInWords(one.thread, now)}` });
  }
  const plan = worked.weeks[at]?.plan;
  for (const { week: of, onward, edit } of course.differences)
    if (of === week) words.push({ text: `${editInWords(edit, plan)}${onward ? ', from here on' : ''}` });
  if (words.length === 0) return [{ text: at === 0 ? 'as the first plan' : 'as the one before' }];
  return words;
}

const MISSED_WORDS = {
  shift: (course: Course) => `everything moved on by a ${course.unit === 'week' ? 'week' : 'session'}`,
  drop: () => 'skipped',
  join: () => 'what was new in it came with the next',
} as const;
/** What became of a class that was not held. */
export const missedInWords = (course: Course, { missed }: CourseClass): string =>
  missed ? `missed${missed.why ? ` (${missed.why.replace(/\.$/, '')})` : ''}: ${MISSED_WORDS[missed.how](course)}` : '';

/** The ways to go on after a missed class, as they are chosen from. */
export const WAY_LABELS = {
  shift: 'Move everything on',
  drop: 'Skip it',
  join: 'Join it with the next',
} as const;

/** Why what grows does not reach its aim in time; empty where it does. */
export const outcomeOf = (one: ThreadWeeks): string => outcomeInWords(one) ?? '';
