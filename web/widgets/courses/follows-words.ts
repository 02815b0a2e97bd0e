import { weekName, type Course, type Follows } from '#core/course';
import { changeInWords } from '../plans/change-words';

/** So many changes of a week are named. */
const MAX_CHANGES = 4;

/** `Week 3`, as it begins a sentence or stands on a button. */
export const weekTitle = (course: Course, week: number): string => {
  const name = weekName(course, week);
  return name.charAt(0).toUpperCase() + name.slice(1);
};

/** What becomes of the weeks when a course is changed, a line for each week that becomes another. */
export function followsInWords(course: Course, follows: readonly Follows[]): string[] {
  return follows.map((one) => {
    const title = weekTitle(course, one.week);
    if (one.kind === 'added') return `${title} is held.`;
    if (one.kind === 'gone') return `${title} is not held.`;
    const isDateOnly = one.changes.every((change) => change.kind === 'field' && change.field === 'startsAt');
    if (isDateOnly) return `${title} is on another day.`;
    const changes = one.changes.filter((change) => change.kind !== 'field' || change.field !== 'startsAt');
    const shown = changes.slice(0, MAX_CHANGES).map(changeInWords).join('; ');
    return `${title}: ${shown}${changes.length > MAX_CHANGES ? `; ${changes.length - MAX_CHANGES} more` : ''}`;
  });
}
